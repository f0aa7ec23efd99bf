/** What a plant and its pot are judged by. Common practice, no source, but where one is named. */
import { cp } from '../src/params/index.ts';
import type { GrowthGroup } from '../src/taxa/index.ts';

/** Days a kind bears roots in mix that nothing drinks from. */
export const BEARS_WET: Readonly<Record<GrowthGroup, number>> = {
  'deciduous-broadleaf': 9,
  'oak-like': 7,
  pine: 6,
  'juniper-cypress': 6,
  'deciduous-conifer': 12,
  'evergreen-broadleaf': 8,
  'sensitive-shrub': 5,
  'swollen-base': 3,
  'tropical-broadleaf': 8,
};

/** Leaf a stem carries, m² for each cm² of its cross-section (pipe model, Shinozaki et al. 1964). */
export const LEAF_PER_WOOD: Readonly<Record<GrowthGroup, number>> = {
  'deciduous-broadleaf': 0.35,
  'oak-like': 0.3,
  pine: 0.25,
  'juniper-cypress': 0.25,
  'deciduous-conifer': 0.3,
  'evergreen-broadleaf': 0.35,
  'sensitive-shrub': 0.25,
  'swollen-base': 0.1,
  'tropical-broadleaf': 0.35,
};

/** A leaf gives off so much water on a mild day. */
export const DRINKS = cp(1, 'L/m² a day');
/** Room round the ball that mix is worked into, at its sides and below it. */
export const CLEAR = { side: cp(12, 'mm'), below: cp(15, 'mm') } as const;
/** Ball of a root record that tells no depth: so deep for its width. */
export const BALL_DEEP = cp(0.6, 'of its width');
/** New roots run so far in a week of growth. */
export const ROOTS_RUN = cp(8, 'mm a week');
/** Wind on an open bench; the crown lets a part of it through. */
export const WIND = cp(12, 'm/s');
export const GAPS = cp(0.5, 'of the crown');
/** Crown of a free young plant: so wide for its height, and its middle so high. */
export const CROWN = { wide: cp(0.4, 'of the height'), middle: cp(0.6, 'of the height') } as const;
/** Dry matter above the soil against fresh weight, and its share of the plant. */
export const FRESH = cp(2.2, 'of the dry weight');
export const ABOVE = cp(0.7, 'of the plant');
/** A pot on show is so long for the height of its tree, and so deep for its trunk. */
export const SHOWN = { long: [0.55, 0.8], deep: [0.8, 1.8] } as const;

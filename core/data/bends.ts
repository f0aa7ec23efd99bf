/** What stems bear when they are bent. Common practice, no source, but where one is named. */
import { cp } from '../src/params/index.ts';
import type { GrowthGroup } from '../src/taxa/index.ts';

/** Strain the outer wood of a one-year stem bears, 0..1: half its thickness by the radius of the bend. */
export const BEARS_STRAIN: Readonly<Record<GrowthGroup, number>> = {
  'deciduous-broadleaf': 0.1,
  'oak-like': 0.08,
  pine: 0.12,
  'juniper-cypress': 0.14,
  'deciduous-conifer': 0.1,
  'evergreen-broadleaf': 0.08,
  'sensitive-shrub': 0.06,
  'swollen-base': 0.04,
  'tropical-broadleaf': 0.1,
};
/** Each year of age leaves so much of it, and never less than the least. */
export const STIFFENS = cp(0.85, 'a year');
export const STIFFEST = cp(0.35, 'of a young stem');

/** Lines of a cohort are no nearer to each other than this, of their length. */
export const APART = cp(0.08, 'of the length');
/** A line is not flat: its smallest extent by its largest. */
export const NOT_FLAT = cp(0.1, 'of the largest');
/** Bends are uneven: the variation of the curvature along the line. */
export const UNEVEN = cp(0.3, '');

/** What a young stem is wired for, and how its line goes. */
export const LINES = [
  { id: 'upright', name: 'informal upright', lean: [0, 15], bends: [2, 5] },
  { id: 'slanting', name: 'slanting', lean: [20, 50], bends: [2, 4] },
  { id: 'wild', name: 'wild', lean: [10, 60], bends: [2, 6] },
] as const;

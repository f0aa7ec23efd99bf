import type { Stage } from '../src/starts/stages.ts';
import { cp, type Param } from '../src/params/index.ts';
import type { GrowthGroup } from './growth-groups.ts';

/** How plants begin, as far as their survival differs. */
export type Beginning =
  'seed' | 'softwood' | 'semi-ripe' | 'hardwood' | 'root' | 'water' | 'offshoot' | 'layer' | 'grown';

const share = (value: number) => cp(value, 'share');

/** Share of what was started that shows: seed up, cuttings rooted, layers severed. Common practice, no source. */
export const SHOWING: Record<Beginning, Param> = {
  seed: share(0.6),
  softwood: share(0.7),
  'semi-ripe': share(0.68),
  hardwood: share(0.6),
  root: share(0.6),
  water: share(0.8),
  offshoot: share(0.88),
  layer: share(0.85),
  grown: share(0.97),
};
/** Kinds that show more or less often than the table says. Common practice, no source. */
export const SHOWING_BY_GROUP: Partial<Record<GrowthGroup, Partial<Record<Beginning, Param>>>> = {
  pine: { seed: share(0.7), 'semi-ripe': share(0.15) },
  'oak-like': { seed: share(0.7), 'semi-ripe': share(0.2) },
  'juniper-cypress': { seed: share(0.35), 'semi-ripe': share(0.55) },
  'sensitive-shrub': { 'semi-ripe': share(0.72) },
};
/** Share of the plants at one stage that reach the next, culls counted as losses. Common practice, no source. */
export const GOING_ON: Record<Exclude<Stage, 'showing'>, Param> = {
  rooted: share(0.75),
  single: share(0.93),
  corrected: share(0.9),
  graded: share(0.86),
  chopped: share(0.94),
  training: share(0.95),
};

/** Correlation of plants that share a tray or batch, until five batches of one's own say otherwise. */
export const TRAY_RHO = cp(0.1, 'within-batch correlation');
/** Plants of experience, each on its own, that weigh as much as the library's share. */
export const LIBRARY_WEIGHT = cp(12, 'plants');
/** Batches from which the correlation is estimated. */
export const RHO_BATCHES = 5;

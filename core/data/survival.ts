import type { Stage } from '../src/starts/stages.ts';
import { cp, type Param } from '../src/params/index.ts';
import type { GrowthGroup } from './growth-groups.ts';

/** Kinds of cutting that root by the wood they are made of. */
export type CuttingWood = 'softwood' | 'semi-ripe' | 'hardwood' | 'root' | 'water';
/** How plants begin, as far as their survival differs. */
export type Beginning = 'seed' | CuttingWood | 'offshoot' | 'layer' | 'grown';

const share = (value: number) => cp(value, 'share');

/** Share of what was started that shows: seed up, offshoots taken hold. Cuttings and layers go by the kind. */
export const SHOWING: Record<Exclude<Beginning, CuttingWood | 'layer'>, Param> = {
  seed: share(0.6),
  offshoot: share(0.88),
  grown: share(0.97),
};
/** Seed that shows more or less often than the table says. Common practice, no source. */
export const SEED_BY_GROUP: Partial<Record<GrowthGroup, Param>> = {
  pine: share(0.7),
  'oak-like': share(0.7),
  'juniper-cypress': share(0.35),
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

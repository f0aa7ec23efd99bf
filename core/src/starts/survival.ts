import {
  GOING_ON,
  LIBRARY_WEIGHT,
  RHO_BATCHES,
  SEED_BY_GROUP,
  SHOWING,
  TRAY_RHO,
  type Beginning,
} from '../../data/survival.ts';
import { workOf } from '../operations/index.ts';
import type { Param } from '../params/index.ts';
import type { Programme } from '../programmes/index.ts';
import { wilson, withinCorrelation, type Share, type Shared } from '../stats/index.ts';
import { EASE, type CuttingWood, type Ease, type Taxon } from '../taxa/index.ts';
import type { Stage } from './stages.ts';

export type { Beginning };

/** How the plants of a programme begin. */
export function beginningOf(p: Pick<Programme, 'method' | 'steps'>): Beginning {
  if (p.method === 'seed' || p.method === 'layer') return p.method;
  const first = p.steps.length > 0 ? workOf(p.steps[0].operation) : null;
  if (first === 'stick-softwood') return 'softwood';
  if (first === 'stick-hardwood') return 'hardwood';
  if (first === 'stick-root') return 'root';
  if (first === 'root-in-water' || first === 'hardwood-in-water') return 'water';
  if (first === 'part-offshoots') return 'offshoot';
  return p.method === 'cutting' ? 'semi-ripe' : 'grown';
}

/** Plants of one batch that reached a stage, of those that stood at the one before. */
export interface Passed {
  k: number;
  n: number;
}

/** What is known of a share of a batch to come, and what it rests on. */
export interface BatchShare extends Shared {
  library: Param;
  /** batches of one's own, and the plants in them */
  batches: number;
  own: Share | null;
  /** the correlation was estimated from one's own batches */
  ownRho: boolean;
}

/** What is known of a stage. */
export interface StageEstimate extends BatchShare {
  stage: Stage;
}

type Rooting = Pick<Taxon, 'group' | 'roots' | 'layering'>;
const isWood = (b: Beginning, t: Rooting): b is CuttingWood => Object.hasOwn(t.roots, b);

/** How readily a kind roots when it is begun in this way; null where that is no matter of rooting. */
export function rootingEase(t: Rooting, beginning: Beginning): Ease | null {
  if (beginning === 'layer') return t.layering;
  return isWood(beginning, t) ? t.roots[beginning] : null;
}

/** The library's share of what is started that shows, for a kind begun in a way. */
function showing(t: Rooting, beginning: Beginning): Param {
  if (beginning === 'layer') return EASE[t.layering].layers;
  if (isWood(beginning, t)) return EASE[t.roots[beginning]].cuttings;
  if (beginning === 'seed') return SEED_BY_GROUP[t.group] ?? SHOWING.seed;
  return SHOWING[beginning];
}

/** The library's share for a stage. */
export const libraryShare = (stage: Stage, beginning: Beginning, t: Rooting): Param =>
  stage === 'showing' ? showing(t, beginning) : GOING_ON[stage];

/**
 * The share of the next batch of which something comes true. Batches, not plants, are what experience is made of: plants
 * of one batch share its luck, so n of them weigh as n / (1 + (n − 1)ρ) plants on their own. The library's
 * share weighs as twelve. The doubt about the mean is added to the spread between batches.
 */
export function batchShare(library: Param, history: readonly Passed[]): BatchShare {
  const used = history.filter((h) => h.n > 0);
  const estimated = used.length >= RHO_BATCHES ? withinCorrelation(used) : null;
  const rho = estimated === null ? TRAY_RHO.value : Math.max(0.01, estimated);
  const weight = (n: number) => n / (1 + (n - 1) * rho);
  const all = used.reduce((s, h) => s + weight(h.n), LIBRARY_WEIGHT.value);
  const mean =
    used.reduce((s, h) => s + weight(h.n) * (h.k / h.n), LIBRARY_WEIGHT.value * library.value) / all;
  const k = used.reduce((s, h) => s + h.k, 0);
  const n = used.reduce((s, h) => s + h.n, 0);
  return {
    library,
    mean: Math.min(0.995, Math.max(0.005, mean)),
    rho: Math.min(0.6, rho + (1 - rho) / (all + 1)),
    batches: used.length,
    own: wilson(k, n),
    ownRho: estimated !== null,
  };
}

/** The share of the next batch that reaches a stage. */
export const stageEstimate = (stage: Stage, library: Param, history: readonly Passed[]): StageEstimate => ({
  stage,
  ...batchShare(library, history),
});

/**
 * All stages as one: the mean and variance of a product of independent beta variables are exact, and the
 * beta distribution with that mean and variance stands for it; checked by simulation.
 */
export function throughAll(stages: readonly Shared[]): Shared {
  let mean = 1;
  let square = 1;
  for (const s of stages) {
    mean *= s.mean;
    square *= s.mean * s.mean + s.rho * s.mean * (1 - s.mean);
  }
  const spread = mean * (1 - mean);
  return { mean, rho: spread === 0 ? 0 : Math.max(0, (square - mean * mean) / spread) };
}

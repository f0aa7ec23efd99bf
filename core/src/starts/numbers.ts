import {
  betaBinomialAtLeast,
  binomialAtLeast,
  sharedMasses,
  sharedQuantile,
  smallestCount,
  type Shared,
} from '../stats/index.ts';

/** More than this is started nowhere: beyond it the answer is "not attainable". */
export const MOST_STARTED = 5000;
/** Confidences shown side by side. */
export const CONFIDENCES = [0.5, 0.6, 0.7, 0.8, 0.9, 0.95, 0.99] as const;

export type StartNumber =
  | { kind: 'start'; count: number; /** if every plant had its own luck */ alone: number | null }
  /** even the most that may be started reaches it only this often */
  | { kind: 'not-attainable'; most: number; reached: number; alone: number | null };

/** Chance that at least `wanted` of `count` started reach the stage. */
export const chanceOf = (wanted: number, count: number, share: Shared): number =>
  betaBinomialAtLeast(wanted, count, share);

/**
 * Smallest number to start so that at least `wanted` reach the stage with this confidence (0..1), no more than
 * `most`. Plants of the batch share their fate by ρ; `alone` is the answer of the exact binomial, without it.
 */
export function startNumber(
  wanted: number,
  confidence: number,
  share: Shared,
  most = MOST_STARTED,
): StartNumber {
  const alone = smallestCount(wanted, MOST_STARTED, confidence, (n) =>
    binomialAtLeast(wanted, n, share.mean),
  );
  const count = smallestCount(wanted, most, confidence, (n) => chanceOf(wanted, n, share));
  return count === null
    ? { kind: 'not-attainable', most, reached: most < wanted ? 0 : chanceOf(wanted, most, share), alone }
    : { kind: 'start', count, alone };
}

/** What a start costs and the room it takes. */
export interface StartCost {
  /** of seed, cutting or layer, in cents each */
  centsEach: number;
  minutesEach: number;
  /** wage, cents an hour */
  wage: number;
  /** plants in one tray, and the bench it takes, m² */
  perTray: number;
  trayArea: number;
  /** bench for one plant at the stage wanted, m² */
  areaAtStage: number;
}

export interface Choice {
  confidence: number;
  number: StartNumber;
  cents: number | null;
  trays: number | null;
  /** plants at the stage: one year in ten fewer, the middle, one year in ten more */
  plants: [p10: number, p50: number, p90: number] | null;
  /** bench for the many of a good year, m² */
  area: number | null;
}

/** The same want at several confidences, with cost and space: how sure is worth how much. */
export function choices(wanted: number, share: Shared, cost: StartCost, most = MOST_STARTED): Choice[] {
  return CONFIDENCES.map((confidence) => {
    const number = startNumber(wanted, confidence, share, most);
    if (number.kind === 'not-attainable')
      return { confidence, number, cents: null, trays: null, plants: null, area: null };
    const n = number.count;
    const plants: Choice['plants'] = [
      sharedQuantile(0.1, n, share),
      sharedQuantile(0.5, n, share),
      sharedQuantile(0.9, n, share),
    ];
    return {
      confidence,
      number,
      cents: Math.round(n * (cost.centsEach + (cost.minutesEach * cost.wage) / 60)),
      trays: Math.ceil(n / cost.perTray),
      plants,
      area: Math.round(plants[2] * cost.areaAtStage * 100) / 100,
    };
  });
}

/** A batch already under way towards a goal: how many stand, and their share still to come. */
export interface UnderWay {
  count: number;
  share: Shared;
}

export interface GoalState {
  /** plants that may be counted on: mean and one year in ten fewer, more */
  expected: number;
  low: number;
  high: number;
  /** chance that the batches under way give what is wanted */
  chance: number;
  met: boolean;
  /** still to start, in one more batch of this share; null: nothing, or not attainable within the cap */
  more: number | null;
}

const LARGE = 400;

/** Sum of independent batches by convolution; large batches are thinned to steps so that it stays quick. */
function sumOf(batches: readonly UnderWay[]): { mass: Float64Array; step: number } {
  const total = batches.reduce((s, b) => s + b.count, 0);
  const step = Math.max(1, Math.ceil(total / LARGE));
  let sum: Float64Array = Float64Array.of(1);
  for (const b of batches) {
    const thin = new Float64Array(Math.floor(b.count / step) + 1);
    sharedMasses(b.count, b.share).forEach((m, k) => (thin[Math.floor(k / step)] += m));
    const next = new Float64Array(sum.length + thin.length - 1);
    for (let i = 0; i < sum.length; i++)
      for (let k = 0; k < thin.length; k++) next[i + k] += sum[i] * thin[k];
    sum = next;
  }
  return { mass: sum, step };
}

/**
 * Where a goal stands: batches under way are independent of each other, plants within a batch are not. Met once
 * what is under way gives `wanted` with the confidence asked for; then nothing more is offered.
 */
export function goalState(
  wanted: number,
  confidence: number,
  underWay: readonly UnderWay[],
  next: Shared,
  most = MOST_STARTED,
): GoalState {
  const { mass, step } = sumOf(underWay);
  const quantile = (q: number) => {
    let sum = 0;
    for (let i = 0; i < mass.length; i++) if ((sum += mass[i]) >= q) return i * step;
    return (mass.length - 1) * step;
  };
  /** chance with n more started: over what is under way, the rest must come from the new batch */
  const withMore = (n: number) => {
    const masses = sharedMasses(n, next);
    // tails[k]: chance of k or more from the new batch
    const tails = new Float64Array(n + 2);
    for (let k = n; k >= 0; k--) tails[k] = tails[k + 1] + masses[k];
    return mass.reduce((s, m, i) => s + m * tails[Math.min(n + 1, Math.max(0, wanted - i * step))], 0);
  };
  const chance = withMore(0);
  const met = chance >= confidence;
  return {
    expected: Math.round(underWay.reduce((s, b) => s + b.count * b.share.mean, 0)),
    low: quantile(0.1),
    high: quantile(0.9),
    chance,
    met,
    more: met ? null : smallestCount(1, Math.max(1, most), confidence, withMore),
  };
}

import { EVEN_ENOUGH, POINTS, TIGHT, UNEVEN_MOST } from '../../data/root-values.ts';
import type { RootRecord } from './record.ts';
import { ends, type Arm, type Choice, type Crossing } from './choices.ts';

/** How good a set of choices is: what strangles and what crosses comes first, then points; compared in this order. */
export interface Score {
  strangling: number;
  crossing: number;
  points: number;
}

/** Above 0 where the first is better. Points closer than a millionth are the same. */
export function compareScores(a: Score, b: Score): number {
  if (a.strangling !== b.strangling) return b.strangling - a.strangling;
  if (a.crossing !== b.crossing) return b.crossing - a.crossing;
  return Math.abs(a.points - b.points) < 1e-6 ? 0 : a.points - b.points;
}

/** What two neighbours, clockwise from one to the other, come to; a moved root does not pass its neighbour. */
export function neighbours(from: Arm, to: Arm, gap = to.azimuth - from.azimuth): number {
  if (gap < 0) return -Infinity;
  const apart = Math.abs(Math.log(from.strength / to.strength));
  const ratio = Math.max(0, Math.min(UNEVEN_MOST, apart) - EVEN_ENOUGH);
  return (
    -POINTS.gap.value * (gap / 360) ** 2 -
    (gap < 360 ? POINTS.uneven.value * ratio : 0) -
    (gap < TIGHT.value ? POINTS.doubled.value : 0)
  );
}

/** Points within a choice of several arms. */
export const within = (arms: readonly Arm[]): number =>
  arms.slice(1).reduce((sum, arm, i) => sum + neighbours(arms[i], arm), 0);

/** Points of a base without a root. */
export const BARE = -2 * POINTS.gap.value;

/** Points of choices in order of azimuth, one for each root. */
export function pointsOf(inOrder: readonly Choice[]): number {
  const arms = inOrder.flatMap((c) => c.arms);
  const own = inOrder.reduce((sum, c) => sum + c.value, 0);
  if (arms.length === 0) return own + BARE;
  const between = arms.reduce((sum, arm, i) => {
    const next = arms[(i + 1) % arms.length];
    const round = i + 1 < arms.length ? 0 : 360;
    return sum + neighbours(arm, next, next.azimuth + round - arm.azimuth);
  }, 0);
  return own + between;
}

/** Indices of roots in order of azimuth. */
export const inAzimuth = (record: RootRecord): number[] =>
  record.roots.map((_, i) => i).sort((a, b) => record.roots[a].azimuth - record.roots[b].azimuth || a - b);

/** The score of one choice for each root, given in the order of the record. */
export function scoreOf(
  choices: readonly Choice[],
  record: RootRecord,
  crossings: readonly Crossing[],
): Score {
  return {
    strangling: choices.filter((c) => c.strangles).length,
    crossing: crossings.filter((x) => !ends(choices[x.one], x, record) && !ends(choices[x.other], x, record))
      .length,
    points: pointsOf(inAzimuth(record).map((i) => choices[i])),
  };
}

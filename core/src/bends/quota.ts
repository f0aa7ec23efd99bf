import { FIRST_BRANCH } from '../stem/index.ts';
import { LINES, type LineId } from './recipe.ts';

/** How many of a hundred are to have each line. */
export type Shares = Readonly<Record<LineId, number>>;

/** Half upright, the others shared. Common practice, no source. */
export const USUAL_SHARES: Shares = { upright: 50, slanting: 25, wild: 25 };

/**
 * How many of so many plants get each line, by the method of the largest remainder: the counts add up, and none is off by
 * one or more from its share. Throws RangeError where no share is above 0.
 *
 * @example quotas(10, { upright: 50, slanting: 25, wild: 25 }) // { upright: 5, slanting: 3, wild: 2 }
 */
export function quotas(plants: number, shares: Shares): Record<LineId, number> {
  const all = LINES.reduce((n, l) => n + Math.max(0, shares[l.id]), 0);
  if (!(all > 0)) throw new RangeError('no line has a share');
  const exact = LINES.map((l) => ({ id: l.id, part: (plants * Math.max(0, shares[l.id])) / all }));
  const out = Object.fromEntries(exact.map((e) => [e.id, Math.floor(e.part)])) as Record<LineId, number>;
  let left = plants - exact.reduce((n, e) => n + Math.floor(e.part), 0);
  for (const e of exact.toSorted((a, b) => (b.part % 1) - (a.part % 1))) if (left-- > 0) out[e.id]++;
  return out;
}

/** The line of each of so many plants, spread evenly over the cohort. */
export function linesFor(plants: number, shares: Shares): LineId[] {
  const left = quotas(plants, shares);
  const all = { ...left };
  return Array.from({ length: plants }, (_, i) => {
    // whoever is farthest behind its share of those so far
    const behind = (id: LineId) => (all[id] * (i + 1)) / plants - (all[id] - left[id]);
    const next = LINES.filter((l) => left[l.id] > 0).reduce((a, b) => (behind(b.id) > behind(a.id) ? b : a));
    left[next.id]--;
    return next.id;
  });
}

/**
 * The finished height a stem with its lowest living bud at a height can come to, mm: the first branch stands at about a
 * third. @example heightFrom(60) // 180
 */
export const heightFrom = (lowest: number): number => lowest / FIRST_BRANCH;

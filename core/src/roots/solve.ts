import type { RootRecord } from './record.ts';
import { choicesOf, crossingsOf, ends, type Choice, type Crossing, type Terms } from './choices.ts';
import { inAzimuth, scoreOf, type Score } from './objective.ts';
import { solveRing, type RingAnswer } from './ring.ts';

/** Crossing pairs that are all thought through; with more the answer is not proved best. */
export const PROVED_CROSSINGS = 4;
/** Strangling roots that are all thought through. */
const PROVED_STRANGLERS = 4;

export interface Solved {
  /** one choice for each root, in the order of the record */
  choices: readonly Choice[];
  score: Score;
  /** feeders that go, tenths of a per cent */
  cost: number;
  /** nothing within the limit is better */
  proved: boolean;
}

type Filter = (c: Choice) => boolean;
/** A way to settle one conflict: which choices it leaves, and whether the conflict stays. */
interface Settled {
  allows: Filter;
  stays: boolean;
}

/** Both ways with a root that strangles: it goes, or stays. */
const strangler = (root: number): Settled[] => [
  { allows: (c) => c.root !== root || !c.strangles, stays: false },
  { allows: () => true, stays: true },
];

/** The ways with a pair that crosses, none of them twice: the one gives way, the other does, neither. */
function crossing(x: Crossing, record: RootRecord): Settled[] {
  const gives = (c: Choice) => ends(c, x, record);
  return [
    { allows: (c) => c.root !== x.one || gives(c), stays: false },
    {
      allows: (c) => (c.root === x.one ? !gives(c) : c.root !== x.other || gives(c)),
      stays: false,
    },
    { allows: () => true, stays: true },
  ];
}

/** All ways of settling several conflicts, by how many stay. */
function waysOf(conflicts: readonly Settled[][]): Filter[][] {
  let ways: { stay: number; allows: Filter[] }[] = [{ stay: 0, allows: [] }];
  for (const settle of conflicts)
    ways = ways.flatMap((w) =>
      settle.map((s) => ({ stay: w.stay + (s.stays ? 1 : 0), allows: [...w.allows, s.allows] })),
    );
  return Array.from({ length: conflicts.length + 1 }, (_, k) =>
    ways.filter((w) => w.stay === k).map((w) => (c: Choice) => w.allows.every((f) => f(c))),
  );
}

const cheapest = (perRoot: readonly (readonly Choice[])[]): number =>
  perRoot.reduce((sum, cs) => sum + Math.min(...cs.map((c) => c.cost)), 0);

/** The best answer among ways of settling the conflicts; null where none of them keeps within the limit. */
function bestOf(
  perRoot: readonly (readonly Choice[])[],
  order: readonly number[],
  strangling: readonly Filter[],
  crossed: readonly Filter[],
  limit: number,
): RingAnswer | null {
  let best: RingAnswer | null = null;
  for (const a of strangling)
    for (const b of crossed) {
      const left = perRoot.map((cs) => cs.filter((c) => a(c) && b(c)));
      if (left.some((cs) => cs.length === 0) || cheapest(left) > limit) continue;
      const points: number = best?.points ?? -Infinity;
      best =
        solveRing(
          order.map((i) => left[i]),
          limit,
          points,
        ) ?? best;
    }
  return best;
}

/**
 * The best thing to do with each root so that at most `limit` (0..1) of the feeders go: fewest that strangle, then
 * fewest that cross, then most points. Exact where `proved`. What costs nothing can always be done, so there is
 * always an answer, unless overruled choices alone cost more than the limit: then null.
 */
export function solve(record: RootRecord, terms: Terms, limit: number): Solved | null {
  const perRoot = choicesOf(record, terms);
  const crossings = crossingsOf(record);
  const order = inAzimuth(record);
  const most = Math.floor(limit * 1000 + 1e-9);
  const stranglers = perRoot.flatMap((cs, i) => (cs.some((c) => c.strangles) ? [i] : []));
  const thought = crossings.slice(0, PROVED_CROSSINGS);
  const byStrangling = waysOf(stranglers.slice(0, PROVED_STRANGLERS).map(strangler));
  const byCrossing = waysOf(thought.map((x) => crossing(x, record)));
  const proved = crossings.length <= PROVED_CROSSINGS && stranglers.length <= PROVED_STRANGLERS;
  for (const strangling of byStrangling)
    for (const crossed of byCrossing) {
      const best = bestOf(perRoot, order, strangling, crossed, most);
      if (!best) continue;
      const choices: Choice[] = [];
      order.forEach((root, i) => (choices[root] = best.choices[i]));
      const cost = choices.reduce((sum, c) => sum + c.cost, 0);
      return { choices, score: scoreOf(choices, record, crossings), cost, proved };
    }
  return null;
}

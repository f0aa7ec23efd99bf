import { isDownward, type Root, type RootRecord } from './record.ts';
import { choicesOf, crossingsOf, ends, type Action, type Choice, type Term, type Terms } from './choices.ts';
import { applied, ofHundred, regrown, standingScore } from './apply.ts';
import { measure, type Measures } from './measures.ts';
import { solve, type Solved } from './solve.ts';

/** A thing to do at this sitting, in the order of work. */
export interface Cut {
  /** index of the root in the record */
  root: number;
  id: string;
  action: Action;
  /** what to do, and why, in words */
  title: string;
  because: string;
  /** mm left of it */
  length: number;
  turn: number;
  /** feeders it costs, 0..1 */
  share: number;
  /** what this and keeping it whole come to by themselves */
  terms: readonly Term[];
  instead: readonly Term[];
}

/** What is left for another time, and why. */
export interface Deferred {
  id: string;
  action: Action;
  note: string;
}

export interface Stage {
  /** seasons from now */
  after: number;
  /** feeders that go then, 0..1 */
  share: number;
  score: number;
  cuts: number;
}

export interface RootPlan {
  cuts: Cut[];
  choices: readonly Choice[];
  /** feeders that go, and the most that may, 0..1 */
  share: number;
  limit: number;
  proved: boolean;
  deferred: Deferred[];
  /** of a hundred: as it is, after the work, and after two seasons of growth */
  score: { now: number; after: number; later: number };
  measures: { now: Measures; after: Measures; later: Measures };
  /** this sitting and those to come */
  stages: Stage[];
}

/** Seasons between two sittings. Common practice, no source. */
export const BETWEEN = 2;
const SITTINGS = 3;

const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];
/** A direction in words: "south-east". */
export const compassWord = (azimuth: number): string =>
  COMPASS[Math.round((((azimuth % 360) + 360) % 360) / 45) % 8];

const degrees = (azimuth: number) => `${Math.round(((azimuth % 360) + 360) % 360)}°`;

/** How a root is named: "the root at 210°, 4 mm". */
export const rootWords = (r: Root): string =>
  `root at ${degrees(r.azimuth)}, ${Math.round(r.diameter * 10) / 10} mm`;

/** Fewer feeders than its thickness lets expect: what is left of the share a root of its size should have. */
const FEEDS_LITTLE = 0.4;

/** What a wall makes of a root. */
const WALLS = ['deeper than the pot', 'keeps the trunk from its place', 'folded at the wall'];

/** Why a root goes, is cut short or moved: the first thing that applies. */
function because(
  record: RootRecord,
  all: readonly Choice[],
  choice: Choice,
  fibre: number,
  keep: readonly Term[],
): string {
  const root = record.roots[choice.root];
  const has = (f: Root['faults'][number]) => root.faults.includes(f);
  if (has('strangling')) return 'lies over others and would strangle them';
  if (has('rotten')) return 'rot: cut back to sound wood, tool wiped';
  if (has('dead')) return 'dead';
  const crossing = crossingsOf(record).find(
    (x) =>
      (x.one === choice.root || x.other === choice.root) &&
      ends(choice, x, record) &&
      !ends(all[x.one === choice.root ? x.other : x.one], x, record),
  );
  if (crossing) {
    const other = record.roots[crossing.one === choice.root ? crossing.other : crossing.one];
    return `crosses the ${rootWords(other)}`;
  }
  if (isDownward(root)) return 'goes straight down under the base';
  const wall = keep.find((t) => WALLS.includes(t.label));
  if (wall) return wall.label;
  if (choice.action === 'shorten') return 'too strong for its neighbours: thick ones shorter than thin ones';
  if (choice.action === 'split') return 'two roots where there was one';
  if (choice.action === 'move')
    return choice.bend === 0 ? 'fills a bare side better there' : 'brought to the angle of the school';
  const twin = record.roots.find(
    (r, i) =>
      i !== choice.root &&
      all[i].length > 0 &&
      !isDownward(r) &&
      Math.abs(((r.azimuth - root.azimuth + 540) % 360) - 180) < 12,
  );
  if (twin) return `stands double with the ${rootWords(twin)}`;
  const whole = record.roots.reduce((sum, r) => sum + r.diameter ** 1.5, 0);
  if (fibre < (FEEDS_LITTLE * root.diameter ** 1.5) / whole) return 'carries little fine root';
  const worst = keep.filter((t) => t.points < -0.4).sort((x, y) => x.points - y.points)[0];
  if (worst) return worst.label;
  return 'better without it, for its neighbours';
}

function titleOf(root: Root, c: Choice): string {
  const name = `${isDownward(root) ? 'downward ' : ''}${rootWords(root)}`;
  switch (c.action) {
    case 'trim':
      return `Cut the ${name}, flush with the underside`;
    case 'shorten':
      return `Shorten the ${name} to ${Math.round(c.length)} mm`;
    case 'move': {
      const swing = c.turn === 0 ? '' : ` ${Math.abs(c.turn)}° to the ${compassWord(root.azimuth + c.turn)}`;
      const bend =
        c.bend === 0
          ? ''
          : `${swing ? ', and' : ''} ${Math.abs(Math.round(c.bend))}° ${c.bend > 0 ? 'down' : 'up'}`;
      return `Move the ${name}${swing}${bend}, ${c.by}`;
    }
    case 'split':
      return `Split the ${name} at its fork, ${c.by}`;
    case 'keep':
      return `Keep the ${name}`;
    case 'remove':
      return `Remove the ${name}, at the trunk`;
  }
}

/** Order of work: what strangles and crosses first, then rot and dead wood, thick before thin, underneath, and moves last. */
function rank(record: RootRecord, c: Choice, crossed: boolean): number {
  const root = record.roots[c.root];
  if (root.faults.includes('strangling')) return 0;
  if (crossed && (c.action === 'remove' || c.action === 'shorten')) return 1;
  if (root.faults.includes('rotten') || root.faults.includes('dead')) return 2;
  return { remove: 3, shorten: 4, trim: 5, split: 6, move: 7, keep: 8 }[c.action];
}

function cutsOf(record: RootRecord, terms: Terms, solved: Solved): Cut[] {
  const crossings = crossingsOf(record);
  const plain = choicesOf(record, { ...terms, overruled: undefined, only: ['keep'] });
  const withRank = solved.choices
    .filter((c) => c.action !== 'keep')
    .map((c) => ({
      c,
      rank: rank(
        record,
        c,
        crossings.some((x) => x.one === c.root || x.other === c.root),
      ),
    }));
  withRank.sort(
    (a, b) => a.rank - b.rank || record.roots[b.c.root].diameter - record.roots[a.c.root].diameter,
  );
  return withRank.map(({ c }) => {
    const root = record.roots[c.root];
    const keep = plain[c.root][0];
    return {
      root: c.root,
      id: root.id,
      action: c.action,
      title: titleOf(root, c),
      because: because(record, solved.choices, c, gone(plain[c.root]), keep.terms),
      length: c.length,
      turn: c.turn,
      share: c.cost / 1000,
      terms: c.terms,
      instead: keep.terms,
    };
  });
}

/** Share of the feeders that a root carries: what removing it costs. */
const gone = (choices: readonly Choice[]): number => choices[choices.length - 1].cost / 1000;

/** What would be done with no limit, and is not done now. */
function deferredOf(record: RootRecord, terms: Terms, solved: Solved): Deferred[] {
  const free = solve(record, terms, 1);
  if (!free) return [];
  return free.choices.flatMap((wish, i) => {
    const now = solved.choices[i];
    if (wish.length >= now.length - 0.5 || wish.action === 'keep') return [];
    const root = record.roots[i];
    const what = { ...wish, cost: 0 };
    return [{ id: root.id, action: wish.action, note: titleOf(root, what) }];
  });
}

/** This sitting and the next ones: each begins with what the last one left, grown on. */
function stagesOf(record: RootRecord, terms: Terms, limit: number, first: Solved): Stage[] {
  const stages: Stage[] = [];
  let solved: Solved | null = first;
  let now = record;
  for (let k = 0; k < SITTINGS && solved; k++) {
    const cuts = solved.choices.filter((c) => c.action !== 'keep').length;
    if (k > 0 && cuts === 0) break;
    now = applied(now, solved.choices);
    stages.push({
      after: k * BETWEEN,
      share: solved.cost / 1000,
      score: ofHundred(standingScore(now, terms)),
      cuts,
    });
    now = regrown(now, BETWEEN, terms.ring);
    // what the grower decided was for this sitting
    solved = solve(now, { ...terms, overruled: undefined, only: ['keep', 'shorten', 'remove'] }, limit);
  }
  return stages;
}

/**
 * The plan of cuts for one sitting: what to do with each root so that at most `limit` (0..1) of the feeders go, in the
 * order of work, with what is left for next time and what comes of it. Null where what the grower has decided costs
 * more than the limit.
 */
export function planCuts(record: RootRecord, terms: Terms, limit: number): RootPlan | null {
  const solved = solve(record, terms, limit);
  if (!solved) return null;
  const after = applied(record, solved.choices);
  const later = regrown(after, BETWEEN, terms.ring);
  const score = (r: RootRecord) => ofHundred(standingScore(r, terms));
  return {
    cuts: cutsOf(record, terms, solved),
    choices: solved.choices,
    share: solved.cost / 1000,
    limit,
    proved: solved.proved,
    deferred: deferredOf(record, terms, solved),
    score: { now: score(record), after: score(after), later: score(later) },
    measures: {
      now: measure(record, terms.school),
      after: measure(after, terms.school),
      later: measure(later, terms.school),
    },
    stages: stagesOf(record, terms, limit, solved),
  };
}

/** What a limit allows: more cutting buys a better base, until it buys no more. */
export interface Trade {
  limit: number;
  /** of a hundred, with the wounds it makes */
  score: number;
}

/** Limits from nothing to so much, 0..1, with the score each allows. */
export const tradeOff = (record: RootRecord, terms: Terms, most: number): Trade[] =>
  [0, 0.25, 0.5, 0.75, 1].flatMap((part) => {
    const limit = Math.round(most * part * 100) / 100;
    const solved = solve(record, terms, limit);
    return solved ? [{ limit, score: ofHundred(solved.score) }] : [];
  });

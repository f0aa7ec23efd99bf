import { container, roomPerPlant } from '../containers/index.ts';
import { random } from '../random/index.ts';
import { FREE_RING, taxon, toleranceOf } from '../taxa/index.ts';
import { TAPER_AT } from './outcome.ts';
import { HEIGHTS } from './plant.ts';
import { luckOf, MEDIAN_LUCK, runCourse } from './run.ts';
import { costUntil } from './cost.ts';
import { coursesToTry } from './search.ts';
import type { LabAct, LabStart, LabYear, Luck } from './types.ts';
import { courseOf, PRUNED, ROOT_AT_LIFTING, ROOT_AT_MOVE, type Wish } from './wish.ts';

/** Seasons of a game. */
export const GAME_SEASONS = 10;
const GAME_YEAR = 2037;
const KINDS = ['acer-campestre', 'carpinus-betulus', 'ulmus-parvifolia', 'pinus-sylvestris', 'tilia-cordata'];
/** What a seedling can be moved into; the ground only where there is some. */
const BASKETS = ['air-pot-1', 'basket-18', 'basket-25', 'basket-32'] as const;
export const gamePots = (of: Pick<TrunkCase, 'ground'>): readonly string[] =>
  of.ground ? [...BASKETS, 'ground'] : BASKETS;
export const GAME_CHOPS = [120, 220] as const;
const SACRIFICE = { height: 50, foliage: 0.6 } as const;

/** An invented seedling with ten years before it. */
export interface TrunkCase {
  seed: number;
  taxonId: string;
  start: LabStart;
  /** mm at the base that are wanted */
  goal: number;
  /** widest scar that may be left, of the stem it is on */
  scar: number;
  /** there is a row of open ground; in the end it stands in a container again */
  ground: boolean;
}

/** What is done in the spring of a year; nothing where all is left. */
export interface YearChoice {
  /** container it moves into; null: it stays */
  into: string | null;
  prune: keyof typeof PRUNED;
  /** mm; null: not cut */
  chop: number | null;
  /** a low shoot is let go, or the one that was is taken off */
  sacrifice: 'let go' | 'off' | null;
}

export const LEFT_ALONE: YearChoice = { into: null, prune: 'none', chop: null, sacrifice: null };

/** The case of a seed: kind, and a goal that the kind can reach in ten years if little goes wrong. */
export function trunkCase(seed: number): TrunkCase {
  const rng = random(seed * 7 + 5);
  const taxonId = KINDS[Math.floor(rng.next() * KINDS.length)];
  const kind = taxon(taxonId);
  const ring = FREE_RING[kind.pace].value;
  const ground = rng.next() < 0.5;
  return {
    seed,
    taxonId,
    start: {
      year: GAME_YEAR,
      ring,
      tolerance: toleranceOf(kind),
      vigour: 4,
      caliper: 3,
      height: null,
      litres: roomPerPlant(container('air-pot-1'), 1),
      wall: 'air-pruning',
    },
    goal: Math.round((ring * (ground ? 13 + 4 * rng.next() : 7.5 + 2 * rng.next())) / 5) * 5,
    scar: 0.5,
    ground,
  };
}

/** The weather of a case, hidden from who plays. */
const weatherOf = ({ seed }: TrunkCase): Luck => luckOf(1000 + seed, GAME_SEASONS);

/** A year's choice put into acts. `wall`: what it stands in before. */
function actsOf(year: number, c: YearChoice, wall: LabStart['wall']): LabAct[] {
  const acts: LabAct[] = [];
  if (c.into) {
    const kind = container(c.into);
    acts.push({
      year,
      do: 'move',
      litres: kind.wall === 'ground' ? null : roomPerPlant(kind, 1),
      wall: kind.wall,
      rootCut: wall === 'ground' ? ROOT_AT_LIFTING.value : ROOT_AT_MOVE.value,
      name: kind.name,
    });
  }
  if (c.chop !== null) acts.push({ year, do: 'chop', height: c.chop });
  if (c.sacrifice === 'let go') acts.push({ year, do: 'sacrifice', id: 'sacrifice', ...SACRIFICE });
  if (c.sacrifice === 'off') acts.push({ year, do: 'off', id: 'sacrifice' });
  if (c.prune !== 'none') acts.push({ year, do: 'prune', share: PRUNED[c.prune] });
  return acts;
}

/** What cannot be done in a spring as things stand; null: it can. */
export function choiceFault(of: TrunkCase, before: readonly YearChoice[], c: YearChoice): string | null {
  const years = played(of, before);
  const on = (years.at(-1)?.sacrifices.length ?? 0) > 0;
  const height = years.at(-1)?.height ?? of.start.caliper * 60;
  if (c.sacrifice === 'let go' && on) return 'one sacrifice at a time: it is on already';
  if (c.sacrifice === 'off' && !on) return 'no sacrifice is on it';
  if (c.chop !== null && c.chop >= height) return `it is no higher than ${Math.round(height)} mm`;
  return null;
}

/** The plant after each year that was played. */
export const played = (of: TrunkCase, choices: readonly YearChoice[]): LabYear[] =>
  runCourse(of.start, { id: '', name: '', acts: actsIn(of, choices) }, choices.length, weatherOf(of));

/** Everything that was done, spring by spring. */
function actsIn(of: TrunkCase, choices: readonly YearChoice[]): LabAct[] {
  let { wall } = of.start;
  return choices.flatMap((c, i) => {
    const acts = actsOf(of.start.year + i, c, wall);
    if (c.into) wall = container(c.into).wall;
    return acts;
  });
}

/** Minutes of work on the plant. */
const workOf = (of: TrunkCase, choices: readonly YearChoice[]): number =>
  costUntil({ id: '', name: '', acts: actsIn(of, choices) }).minutes;

/** What a trunk is worth of a hundred, by our own scale: thickness 50, taper 20, scars 15, nothing left to do 15. */
export interface TrunkScore {
  thickness: number;
  taper: number;
  scars: number;
  done: number;
  all: number;
}

/** Thickness a hand above the base against the base: from a pole, which is worth nothing, to a strong taper. */
const POLE = 0.9;
const STRONG = 0.55;

export function trunkScore({ goal, scar, ground }: TrunkCase, end: LabYear): TrunkScore {
  const thickness = 50 * Math.min(1, end.caliper / goal);
  const slim = end.stem[HEIGHTS.indexOf(TAPER_AT)] / end.caliper;
  const taper = 20 * Math.min(1, Math.max(0, (POLE - slim) / (POLE - STRONG)));
  // an open scar counts by what is open of it, one that is shut by how wide it was beyond what may be
  const worst = Math.max(
    0,
    ...end.scars.map((s) => 0.6 * (s.open / Math.max(1, s.width)) + Math.max(0, s.share - scar)),
  );
  const scars = 15 * Math.max(0, 1 - worst);
  // in the ground roots fill nothing
  const lifted = !ground || end.fill > 0;
  const done = (end.sacrifices.length === 0 ? 8 : 0) + (lifted ? 7 : 0);
  return { thickness, taper, scars, done, all: thickness + taper + scars + done };
}

/** A course in the words of a choice, year by year. */
function choicesOf(wish: Wish): YearChoice[] {
  return Array.from({ length: GAME_SEASONS }, (_, i): YearChoice => {
    const year = GAME_YEAR + i;
    const { sacrifice, chop } = wish;
    return {
      into: wish.pots.find((p) => p.year === year)?.container ?? null,
      prune: wish.prune,
      chop: chop?.year === year ? chop.height : null,
      sacrifice: sacrifice?.from === year ? 'let go' : sacrifice?.to === year ? 'off' : null,
    };
  });
}

export interface TrunkVerdict {
  yours: { score: TrunkScore; minutes: number; end: LabYear };
  /** the best that was found without knowing the weather, under that same weather */
  best: { choices: YearChoice[]; score: TrunkScore; minutes: number; years: LabYear[] };
  /** where they part, in words */
  because: string[];
}

/** Why the one trunk is better, by what was done. */
function becauseOf(of: TrunkCase, yours: readonly YearChoice[], best: readonly YearChoice[]): string[] {
  const count = (cs: readonly YearChoice[], is: (c: YearChoice) => boolean) => cs.filter(is).length;
  const firstMove = (cs: readonly YearChoice[]) => cs.findIndex((c) => c.into !== null);
  const out: string[] = [];
  const [mine, other] = [firstMove(yours), firstMove(best)];
  if (other >= 0 && (mine < 0 || mine > other))
    out.push(
      mine < 0
        ? 'Yours never got more room for its roots: growth is held back long before roots circle.'
        : `Yours got more room ${mine - other} years later.`,
    );
  const pruned = count(yours, (c) => c.prune !== 'none');
  if (pruned > count(best, (c) => c.prune !== 'none'))
    out.push(`Yours was cut back in ${pruned} winters: what grows free is what thickens.`);
  const ground = (cs: readonly YearChoice[]) => cs.some((c) => c.into === 'ground');
  if (ground(best) && !ground(yours)) out.push('It stood in open ground for some years, yours did not.');
  const chops = (cs: readonly YearChoice[]) => cs.findIndex((c) => c.chop !== null);
  if (chops(yours) >= 0 && chops(best) < 0) out.push('Yours lost a season or two of crown to its chop.');
  if (chops(yours) < 0 && chops(best) >= 0)
    out.push('Yours was never cut: without a chop a trunk grows into a pole.');
  const end = played(of, yours).at(-1);
  if (end && of.ground && end.fill === 0)
    out.push('Yours still stands in the ground: the lifting is yet to come.');
  if (end && end.sacrifices.length > 0)
    out.push('Yours still carries its sacrifice: the scar is yet to come.');
  const open = end?.scars.filter((s) => s.open > 0).length ?? 0;
  if (open > 0)
    out.push('Yours has a scar that is still open: taken off a year or two sooner it would be shut.');
  if (out.length === 0) out.push('What was done is much the same; the rest is when.');
  return out;
}

/** The course that is worth most in middling weather, the least work among equals. */
function bestWish(of: TrunkCase): Wish {
  const allowed = coursesToTry(of.start, GAME_SEASONS).filter(
    (w) => of.ground || w.pots.every((p) => p.container !== 'ground'),
  );
  let best = { wish: allowed[0], points: -Infinity };
  for (const wish of allowed) {
    const course = courseOf('tried', wish, of.start, GAME_SEASONS);
    const end = runCourse(of.start, course, GAME_SEASONS, MEDIAN_LUCK).at(-1)!;
    const points = trunkScore(of, end).all - 0.02 * workOf(of, choicesOf(wish));
    if (points > best.points) best = { wish, points };
  }
  return best.wish;
}

/**
 * The trunk that was played, beside the best of all courses that are tried knowing only what is usual; both under the
 * weather of the case. Takes about a second.
 */
export function trunkVerdict(of: TrunkCase, choices: readonly YearChoice[]): TrunkVerdict {
  const end = played(of, choices).at(-1)!;
  const wish = bestWish(of);
  const course = courseOf('best', wish, of.start, GAME_SEASONS);
  const years = runCourse(of.start, course, GAME_SEASONS, weatherOf(of));
  const theirs = choicesOf(wish);
  return {
    yours: { score: trunkScore(of, end), minutes: workOf(of, choices), end },
    best: { choices: theirs, score: trunkScore(of, years.at(-1)!), minutes: workOf(of, theirs), years },
    because: becauseOf(of, choices, theirs),
  };
}

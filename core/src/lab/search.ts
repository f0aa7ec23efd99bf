import { quantile } from '../stats/index.ts';
import { KINDS_GROWTH, type OwnGrowth } from './calibrate.ts';
import { costUntil } from './cost.ts';
import { MEDIAN_LUCK, luckOf, runCourse } from './run.ts';
import type { LabStart, LabYear } from './types.ts';
import { courseOf, type Wish } from './wish.ts';

/** What a course is looked for to do. */
export interface Aim {
  /** mm at the base */
  mm: number;
  /** in so many seasons at most */
  seasons: number;
  /** widest scar that may still be open when the goal is reached, of the stem there, 0..1; null: any */
  scar: number | null;
  /** tallest it may stand when the goal is reached, mm; null: any */
  height: number | null;
  /** scars may be carved: such a one is a feature, and counts as none */
  carve?: boolean;
  /** what there should be least of */
  least: Least;
}
export const LEASTS = ['years', 'minutes', 'litres'] as const;
export type Least = (typeof LEASTS)[number];

/** A course that reaches the goal, and what it costs. */
export interface Found {
  wish: Wish;
  /** calendar year in whose season the goal is reached */
  reached: number;
  years: number;
  /** minutes of work on one plant until then */
  minutes: number;
  /** litres of mix until then */
  litres: number;
  /** the widest scar still open then, of the stem there, 0..1 */
  scar: number;
  /** runs that reach the goal in time, 0..1 */
  share: number;
  /** base at the end of the last season: one run in ten less, one in ten more, mm */
  end: { p10: number; p90: number };
}

/** Courses that are looked at more closely, and runs of each. */
const CLOSER = 50;
const RUNS = 200;

const POTS = ['basket-18', 'basket-25', 'basket-32'] as const;
const SACRIFICES_FROM = [0, 1, 2] as const;
const SACRIFICES_FOR = [2, 4, 6] as const;
const FOLIAGE = [0.3, 0.6, 0.9] as const;
const SACRIFICE_AT = 50;
const CHOPS_IN = [2, 4, 6] as const;
const CHOPS_AT = [120, 220] as const;

type Pots = Wish['pots'];

/** Ways of standing: as it is, one pot, a small one and then a larger, the ground and then a basket. */
function standings({ year }: LabStart, seasons: number): Pots[] {
  const all: Pots[] = [[], ...POTS.map((container) => [{ year, container }])];
  for (const [i, first] of POTS.entries())
    for (const second of POTS.slice(i + 1))
      for (const after of [2, 4])
        if (after < seasons)
          all.push([
            { year, container: first },
            { year: year + after, container: second },
          ]);
  all.push([{ year, container: 'ground' }]);
  for (const after of [2, 3, 4, 5, 6])
    if (after < seasons)
      all.push([
        { year, container: 'ground' },
        { year: year + after, container: 'basket-32' },
      ]);
  return all;
}

function sacrifices({ year }: LabStart, seasons: number): Wish['sacrifice'][] {
  const all: Wish['sacrifice'][] = [null];
  for (const begin of SACRIFICES_FROM)
    for (const long of SACRIFICES_FOR)
      for (const foliage of FOLIAGE)
        if (begin + long < seasons)
          all.push({ from: year + begin, to: year + begin + long, height: SACRIFICE_AT, foliage });
  return all;
}

function chops({ year }: LabStart, seasons: number): Wish['chop'][] {
  const all: Wish['chop'][] = [null];
  for (const after of CHOPS_IN)
    for (const height of CHOPS_AT) if (after < seasons) all.push({ year: year + after, height });
  return all;
}

/** Every course that is tried for a plant: thousands, of what growers do with pots, ground, sacrifices and chops. */
export function coursesToTry(start: LabStart, seasons: number, carve = false): Wish[] {
  const out: Wish[] = [];
  for (const pots of standings(start, seasons))
    for (const sacrifice of sacrifices(start, seasons))
      for (const chop of chops(start, seasons))
        for (const prune of ['none', 'lightly'] as const) {
          const tile = pots.some((p) => p.container === 'ground');
          const wish: Wish = { name: '', pots, prune, sacrifice, chop, methods: tile ? ['tile'] : [] };
          out.push(wish);
          if (carve && (sacrifice || chop)) out.push({ ...wish, carve });
        }
  return out;
}

/** A wish without what comes after the goal is reached. */
function until(w: Wish, year: number): Wish {
  const { carve, ...kept } = w;
  const cutBefore = (w.chop && w.chop.year < year) || (w.sacrifice && w.sacrifice.to < year);
  return {
    ...kept,
    ...(carve && cutBefore ? { carve } : {}),
    pots: w.pots.filter((p) => p.year <= year),
    chop: w.chop && w.chop.year <= year ? w.chop : null,
    sacrifice: w.sacrifice && w.sacrifice.from <= year ? w.sacrifice : null,
  };
}

/** A course by the run of middling luck; null where it misses the aim. */
function tried(start: LabStart, wish: Wish, aim: Aim, growth: OwnGrowth): Found | null {
  const course = courseOf('x', wish, start, aim.seasons);
  const years = runCourse(start, course, aim.seasons, { ...MEDIAN_LUCK, cohort: growth.mean });
  const at = years.findIndex((y) => y.caliper >= aim.mm && allowed(y, aim));
  if (at < 0) return null;
  // a sacrifice that is still on is still to come off, and leaves its scar then
  const hit = years[at];
  if (hit.sacrifices.length > 0) return null;
  const { minutes, litres } = costUntil(course, hit.year);
  const scar = Math.max(0, ...hit.scars.map((s) => s.left));
  const end = years.at(-1)!.caliper;
  return {
    wish: until(wish, hit.year),
    reached: hit.year,
    years: at + 1,
    minutes,
    litres,
    scar,
    share: 1,
    end: { p10: end, p90: end },
  };
}

const allowed = (y: LabYear, { scar, height }: Aim): boolean =>
  (height === null || y.height <= height) && (scar === null || y.scars.every((s) => s.left <= scar));

const better = (a: Found, b: Found): boolean =>
  a.years <= b.years &&
  a.minutes <= b.minutes &&
  a.litres <= b.litres &&
  a.scar <= b.scar &&
  (a.years < b.years || a.minutes < b.minutes || a.litres < b.litres || a.scar < b.scar);

/** Those that no other beats in years, work, mix and scar at once. */
export const unbeaten = (all: readonly Found[]): Found[] => all.filter((f) => !all.some((g) => better(g, f)));

const costOf = (f: Found, least: Least): number => f[least];

/** Many runs of a course, for how sure it is. */
function closer(start: LabStart, f: Found, aim: Aim, growth: OwnGrowth): Found {
  const course = courseOf('x', f.wish, start, aim.seasons);
  const ends: number[] = [];
  let reached = 0;
  for (let seed = 1; seed <= RUNS; seed++) {
    const years = runCourse(start, course, aim.seasons, luckOf(seed, aim.seasons, growth));
    ends.push(years.at(-1)!.caliper);
    if (years.some((y) => y.caliper >= aim.mm)) reached++;
  }
  ends.sort((a, b) => a - b);
  return { ...f, share: reached / RUNS, end: { p10: quantile(ends, 0.1), p90: quantile(ends, 0.9) } };
}

/** A search on its way: some of it is done at a time, so that it can be shown and stopped. */
export class Search {
  private readonly wishes: Wish[];
  private next = 0;
  /** by what is done, so that courses that differ only after the goal are one */
  private readonly found = new Map<string, Found>();

  constructor(
    private readonly start: LabStart,
    private readonly aim: Aim,
    private readonly growth: OwnGrowth = KINDS_GROWTH,
  ) {
    this.wishes = coursesToTry(start, aim.seasons, aim.carve);
  }

  get size(): number {
    return this.wishes.length;
  }
  /** part that is done, 0..1 */
  get progress(): number {
    return this.next / this.wishes.length;
  }

  /** Tries so many more courses; false when none is left. */
  step(count: number): boolean {
    const until = Math.min(this.wishes.length, this.next + count);
    while (this.next < until) {
      const f = tried(this.start, this.wishes[this.next++], this.aim, this.growth);
      if (f) this.found.set(JSON.stringify(f.wish), f);
    }
    return this.next < this.wishes.length;
  }

  /** The courses that no other beats, looked at closely, what was asked for least first. */
  best(): Found[] {
    const { least } = this.aim;
    return unbeaten([...this.found.values()])
      .toSorted((a, b) => costOf(a, least) - costOf(b, least) || a.years - b.years || a.minutes - b.minutes)
      .slice(0, CLOSER)
      .map((f) => closer(this.start, f, this.aim, this.growth));
  }
}

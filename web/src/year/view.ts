import type { KeepWeeks, Year, YearLine } from '@gonimos/contract/year';
import { daysBetween } from '@gonimos/core/calendar';
import { loadOf, shortfalls, type Shortfall, type WeekLoad, type YearPlan } from '@gonimos/core/year';

/** Which plan of the year is shown: as the courses have it, each window for itself, or levelled. */
export type Shown = 'now' | 'alone' | 'levelled';

/** A year as a page holds it: its thousands of steps, and the sums over them, stay off the page. */
export interface YearHead extends Omit<Year, 'problem' | 'lines'> {
  /** tells one state of the year from the next */
  stamp: number;
  capacity: Year['problem']['capacity'];
  hands: readonly number[];
  /** some steps have a week that was kept for them */
  anyKept: boolean;
}

/** Steps that do not fit told at once; the rest is in the weeks. */
const MOST_SHORT = 40;

/** A step that does not fit, with its names. */
export interface ShortLine extends Shortfall {
  cohortId: string;
  code: string;
  title: string;
  /** people it wants at once */
  crew: number;
}

/** A step of the week that is shown. */
export interface WeekLine extends YearLine {
  minutes: number;
  skilled: boolean;
  crew: number;
  /** why it does not fit there, if it does not */
  short: ShortLine | null;
}

export interface YearView {
  load: WeekLoad[];
  /** steps and person-minutes within the weeks shown */
  steps: number;
  minutes: number;
  /** what does not fit, within the weeks shown: how many, of how many the window is lost, and the first of them */
  short: { count: number; lost: number; first: ShortLine[] };
  /** the week asked for: its first lines, and how many there are */
  lines: WeekLine[];
  inWeek: number;
}

export function headOf({ problem, lines, ...rest }: Year, stamp: number): YearHead {
  const { capacity, hands } = problem;
  return { ...rest, stamp, capacity, hands, anyKept: lines.some((l) => l.week !== null) };
}

/** Week of each step: as the courses have it now, or as each window alone would. */
function weeksOf(year: Year, how: 'now' | 'alone'): Map<string, number> {
  const first = year.weeks[0];
  const last = year.weeks.length - 1;
  const ideal = new Map(year.problem.steps.map((s) => [s.id, s.ideal]));
  return new Map(
    year.lines.map((l) => [
      l.id,
      how === 'alone'
        ? ideal.get(l.id)!
        : Math.min(last, Math.max(0, Math.floor(daysBetween(first, l.target) / 7))),
    ]),
  );
}

/** A plan of the year with its sums: where every step stands, how full the weeks are, what does not fit. */
export interface Placed {
  weeks: ReadonlyMap<string, number>;
  load: WeekLoad[];
  short: Shortfall[];
}

export function place(year: Year, how: 'now' | 'alone'): Placed {
  const weeks = weeksOf(year, how);
  const later = new Map(how === 'now' ? year.lines.map((l) => [l.id, l.later]) : []);
  const load = loadOf(year.problem, weeks, later);
  const placed = year.problem.steps.map((s) => ({
    id: s.id,
    week: weeks.get(s.id) ?? s.ideal,
    later: later.get(s.id) ?? 0,
  }));
  const short = shortfalls(year.problem, { placed, load, cost: 0, overload: 0, outOfOrder: [] });
  return { weeks, load, short };
}

export function placeLevelled(year: Year, plan: YearPlan): Placed {
  const weeks = new Map(plan.placed.map((p) => [p.id, p.week]));
  const later = new Map(plan.placed.map((p) => [p.id, p.later]));
  return { weeks, load: loadOf(year.problem, weeks, later), short: shortfalls(year.problem, plan) };
}

/** What a page shows of a plan: one week with its first `most` lines. */
export function viewOf(year: Year, { weeks, load, short }: Placed, week: number, most: number): YearView {
  const steps = new Map(year.problem.steps.map((s) => [s.id, s]));
  const lines = new Map(year.lines.map((l) => [l.id, l]));
  const here = year.lines.filter((l) => weeks.get(l.id) === week);
  const within = short.filter((s) => s.week < year.shown);
  const gaps = new Map(within.filter((s) => s.week === week).map((s) => [s.id, s]));
  const named = (s: Shortfall): ShortLine => {
    const { cohortId, code, title } = lines.get(s.id)!;
    return { ...s, cohortId, code, title, crew: steps.get(s.id)!.crew };
  };
  return {
    load,
    steps: [...weeks.values()].filter((w) => w < year.shown).length,
    minutes: load.slice(0, year.shown).reduce((n, l) => n + l.all, 0),
    short: {
      count: within.length,
      lost: within.filter((s) => s.windowLost).length,
      first: within.slice(0, MOST_SHORT).map(named),
    },
    lines: here.slice(0, most).map((l) => {
      const { minutes, skilled, crew } = steps.get(l.id)!;
      const gap = gaps.get(l.id);
      return { ...l, minutes, skilled, crew, short: gap ? named(gap) : null };
    }),
    inWeek: here.length,
  };
}

/** The weeks of a levelled plan as they are kept. */
export function weeksToKeep(year: Year, plan: YearPlan): KeepWeeks['weeks'] {
  const lines = new Map(year.lines.map((l) => [l.id, l]));
  return plan.placed.map((p) => {
    const { cohortId, key } = lines.get(p.id)!;
    return { cohortId, key, week: year.weeks[p.week], later: p.later };
  });
}

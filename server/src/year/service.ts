import type { Worker, Year, YearLine } from '@gonimos/contract/year';
import { addDays, daysBetween, toDay, toIso } from '@gonimos/core/calendar';
import { operation } from '@gonimos/core/operations';
import type { YearStep } from '@gonimos/core/year';
import type { Sql } from '../db/index.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readRoutines, routineMinutes } from './routines.ts';
import { readLockedWeeks, readWorkers, readYearSteps, type YearStepRow } from './store.ts';

export const mondayOf = (iso: string): string => {
  const day = toDay(iso);
  // 1970-01-01 was a Thursday
  return toIso(day - ((((day + 3) % 7) + 7) % 7));
};

/** Weeks planned beyond those shown: windows that open near the end have room to close. */
const BEYOND = 10;

/** The plan counts on a day a third into the window. */
const IDEAL_AT = 0.35;
/** Days within which two steps are one sitting. */
const ONE_SITTING = 1;

const idOf = (cohortId: string, key: string) => `${cohortId} ${key}`;

/** Severe work and root work are worth keeping near their best week. */
const priorityOf = (s: YearStepRow) => (s.odds !== null ? 4 : s.lane === 'roots' ? 2 : 1);

/** Aftercare by the weeks it falls after the step it follows. */
function trailOf(s: YearStepRow): YearStep['trail'] {
  const minutes = new Map<number, number>();
  for (const [days, took] of s.trail ?? []) {
    const weeks = Math.round(days / 7);
    minutes.set(weeks, (minutes.get(weeks) ?? 0) + took);
  }
  return [...minutes].map(([weeks, sum]) => ({ weeks, minutes: sum, skilled: false }));
}

function stepOf(
  s: YearStepRow,
  id: string,
  today: string,
  index: (iso: string) => number,
  trail: YearStep['trail'],
  ids: Map<string, string>,
): YearStep {
  const op = operation(s.operation);
  const opens = s.opens > today ? s.opens : today;
  const ideal = addDays(opens, Math.round(IDEAL_AT * Math.max(0, daysBetween(opens, s.closes))));
  const from = index(opens);
  const after: YearStep['after'] = [];
  for (const w of s.waits) {
    const before = ids.get(idOf(s.cohortId, w.key));
    if (before !== undefined) after.push({ id: before, weeks: Math.max(0, Math.ceil(w.days / 7)) });
  }
  return {
    id,
    minutes: s.minutes,
    skilled: op.skilled,
    crew: op.crew,
    from,
    to: Math.max(from, index(s.closes)),
    ideal: index(ideal),
    priority: priorityOf(s),
    after,
    trail,
    locked: s.locked && s.week ? index(s.week) : null,
  };
}

const hoursIn = (p: Worker, week: string): number =>
  p.absences.find((a) => a.week === week)?.hours ?? p.hours;

/** Minutes of usual work that the people can do in each week: who is slower does less in an hour. */
function capacityOf(people: Worker[], weeks: string[]) {
  const minutes = (only: (p: Worker) => boolean) =>
    weeks.map((week) => people.filter(only).reduce((n, p) => n + (60 * hoursIn(p, week)) / p.pace, 0));
  return {
    capacity: { all: minutes(() => true), skilled: minutes((p) => p.skilled) },
    hands: weeks.map((week) => people.filter((p) => hoursIn(p, week) > 0).length),
  };
}

/** The weeks ahead as a levelling problem, with names for every step in it. */
export async function readYear(sql: Sql, count: number): Promise<Year> {
  const today = todayAt(await readNursery(sql));
  const first = mondayOf(today);
  const reach = count + BEYOND;
  const firstDay = toDay(first);
  const weeks = Array.from({ length: reach }, (_, i) => addDays(first, 7 * i));
  const end = addDays(first, 7 * reach - 1);
  const index = (iso: string) => Math.min(reach - 1, Math.max(0, Math.floor((toDay(iso) - firstDay) / 7)));
  const read = await readYearSteps(sql, today, end);
  const known = new Set(read.map((s) => idOf(s.cohortId, s.key)));
  const parentOf = (s: YearStepRow) =>
    daysBetween(s.opens, s.closes) <= ONE_SITTING
      ? s.waits.find((w) => w.days <= ONE_SITTING && known.has(idOf(s.cohortId, w.key)))
      : undefined;
  const all = read.filter((s) => !parentOf(s));
  const trails = new Map(read.map((s) => [idOf(s.cohortId, s.key), trailOf(s)]));
  // what is done in one sitting with another step goes wherever that goes
  for (const s of read) {
    const parent = parentOf(s);
    if (!parent) continue;
    const line = { weeks: 0, minutes: s.minutes, skilled: operation(s.operation).skilled };
    trails.get(idOf(s.cohortId, parent.key))!.push(line);
  }
  // short names: a year of thousands of steps is sent whole
  const ids = new Map(all.map((r, i) => [idOf(r.cohortId, r.key), String(i)]));
  const steps = all.map((s, i) =>
    stepOf(s, String(i), today, index, trails.get(idOf(s.cohortId, s.key))!, ids),
  );
  const people = await readWorkers(sql, first, end);
  const { capacity, hands } = capacityOf(people, weeks);
  const routines = await readRoutines(sql);
  const routine = routineMinutes(routines, weeks);
  capacity.all = capacity.all.map((can, w) => Math.max(0, can - routine[w]));
  const lockedWeeks = await readLockedWeeks(sql);
  // a locked week takes nothing new: it can hold just what is locked into it
  for (const week of lockedWeeks.filter((w) => weeks.includes(w))) {
    const w = index(week);
    const inside = steps.filter((s) => s.locked === w);
    capacity.all[w] = inside.reduce((n, s) => n + s.minutes, 0);
    capacity.skilled[w] = inside.reduce((n, s) => n + (s.skilled ? s.minutes : 0), 0);
  }
  const lines = all.map((s, i): YearLine => ({
    id: String(i),
    cohortId: s.cohortId,
    key: s.key,
    code: s.code,
    title: s.title,
    opens: s.opens,
    closes: s.closes,
    target: s.target,
    week: s.week,
    later: s.later ?? 0,
    locked: s.locked ?? false,
  }));
  return {
    today,
    weeks,
    shown: count,
    lockedWeeks,
    problem: { weeks: reach, capacity, hands, steps },
    lines,
    people,
    routines,
    routine,
  };
}

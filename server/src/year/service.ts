import type { Worker, Year, YearLine } from '@gonimos/contract/year';
import { addDays, daysBetween, toDay, toIso } from '@gonimos/core/calendar';
import { operation } from '@gonimos/core/operations';
import type { YearStep } from '@gonimos/core/year';
import type { Sql } from '../db/index.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
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
const idOf = (cohortId: string, key: string) => `${cohortId} ${key}`;

/** Severe work and root work are worth keeping near their best week. */
const priorityOf = (s: YearStepRow) => (s.odds !== null ? 4 : s.lane === 'roots' ? 2 : 1);

function stepOf(
  s: YearStepRow,
  today: string,
  index: (iso: string) => number,
  trail: YearStep['trail'],
  ids: Set<string>,
): YearStep {
  const op = operation(s.operation);
  const opens = s.opens > today ? s.opens : today;
  const ideal = addDays(opens, Math.round(IDEAL_AT * Math.max(0, daysBetween(opens, s.closes))));
  return {
    ...{ id: idOf(s.cohortId, s.key), minutes: s.minutes, skilled: op.skilled, crew: op.crew },
    ...{ from: index(opens), to: Math.max(index(opens), index(s.closes)), ideal: index(ideal) },
    priority: priorityOf(s),
    after: s.waits
      .map((w) => ({ id: idOf(s.cohortId, w.key), weeks: Math.max(0, Math.ceil(w.days / 7)) }))
      .filter((a) => ids.has(a.id)),
    trail,
    locked: s.locked && s.week ? index(s.week) : null,
  };
}

function capacityOf(people: Worker[], weeks: string[]) {
  const minutes = (only: (p: Worker) => boolean) =>
    weeks.map((week) =>
      people
        .filter(only)
        .reduce((n, p) => n + 60 * (p.absences.find((a) => a.week === week)?.hours ?? p.hours), 0),
    );
  return {
    capacity: { all: minutes(() => true), skilled: minutes((p) => p.skilled) },
    hands: weeks.map(
      (week) => people.filter((p) => (p.absences.find((a) => a.week === week)?.hours ?? p.hours) > 0).length,
    ),
  };
}

/** The weeks ahead as a levelling problem, with names for every step in it. */
export async function readYear(sql: Sql, count: number): Promise<Year> {
  const today = todayAt(await readNursery(sql));
  const first = mondayOf(today);
  const reach = count + BEYOND;
  const weeks = Array.from({ length: reach }, (_, i) => addDays(first, 7 * i));
  const end = addDays(first, 7 * reach - 1);
  const index = (iso: string) => Math.min(reach - 1, Math.max(0, Math.floor(daysBetween(first, iso) / 7)));
  const rows = await readYearSteps(sql, today, end);
  const main = rows.filter((r) => r.chain === null);
  const ids = new Set(main.map((r) => idOf(r.cohortId, r.key)));
  const targets = new Map(main.map((r) => [idOf(r.cohortId, r.key), r.target]));
  const trails = new Map<string, YearStep['trail']>();
  const alone: YearStepRow[] = [];
  for (const r of rows) {
    if (r.chain === null) continue;
    const parent = idOf(r.cohortId, r.chain);
    const from = targets.get(parent);
    if (from === undefined) alone.push(r);
    else
      trails.set(parent, [
        ...(trails.get(parent) ?? []),
        {
          weeks: Math.max(0, Math.round(daysBetween(from, r.target) / 7)),
          minutes: r.minutes,
          skilled: false,
        },
      ]);
  }
  for (const r of alone) ids.add(idOf(r.cohortId, r.key));
  const all = [...main, ...alone];
  const steps = all.map((s) => stepOf(s, today, index, trails.get(idOf(s.cohortId, s.key)) ?? [], ids));
  const people = await readWorkers(sql, first, end);
  const { capacity, hands } = capacityOf(people, weeks);
  const lockedWeeks = await readLockedWeeks(sql);
  // a locked week takes nothing new: it can hold just what is locked into it
  for (const week of lockedWeeks.filter((w) => weeks.includes(w))) {
    const w = index(week);
    const inside = steps.filter((s) => s.locked === w);
    capacity.all[w] = inside.reduce((n, s) => n + s.minutes, 0);
    capacity.skilled[w] = inside.reduce((n, s) => n + (s.skilled ? s.minutes : 0), 0);
  }
  const lines = all.map((s): YearLine => ({
    ...{ id: idOf(s.cohortId, s.key), cohortId: s.cohortId, key: s.key, code: s.code, taxonId: s.taxonId },
    ...{ title: s.title, lane: s.lane, opens: s.opens, closes: s.closes, target: s.target },
    ...{ week: s.week, split: s.split ?? false, locked: s.locked ?? false },
  }));
  return {
    today,
    weeks,
    shown: count,
    lockedWeeks,
    problem: { weeks: reach, capacity, hands, steps },
    lines,
    people,
  };
}

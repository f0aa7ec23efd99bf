import type { Year } from '@gonimos/contract/year';
import { overloadOf, type WeekLoad } from '@gonimos/core/year';
import { daysBetween } from '@gonimos/core/calendar';

/** Week of each step: as the courses have it now, or as each window alone would. */
export function weeksOf(year: Year, how: 'now' | 'alone'): Map<string, number> {
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

/** Work of each week when steps fall into these weeks, aftercare with them. */
export function loadOf(
  year: Year,
  week: ReadonlyMap<string, number>,
  split?: ReadonlySet<string>,
): WeekLoad[] {
  const { problem } = year;
  const load = Array.from({ length: problem.weeks }, () => ({ all: 0, skilled: 0, over: 0 }));
  const add = (w: number, minutes: number, skilled: boolean) => {
    if (w >= load.length) return;
    load[w].all += minutes;
    if (skilled) load[w].skilled += minutes;
  };
  for (const s of problem.steps) {
    const w = week.get(s.id) ?? s.ideal;
    if (split?.has(s.id)) {
      add(w, s.minutes / 2, s.skilled);
      add(w + 1, s.minutes / 2, s.skilled);
    } else add(w, s.minutes, s.skilled);
    for (const t of s.trail) add(w + t.weeks, t.minutes, t.skilled);
  }
  load.forEach((l, w) => {
    l.over = overloadOf(l.all, l.skilled, problem.capacity.all[w], problem.capacity.skilled[w]);
  });
  return load;
}

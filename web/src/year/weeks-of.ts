import type { Year } from '@gonimos/contract/year';
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

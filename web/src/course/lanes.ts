import type { PlannedStep } from '@gonimos/core/course';

export const LANES: { id: PlannedStep['lane']; name: string }[] = [
  { id: 'roots', name: 'Roots' },
  { id: 'top', name: 'Top' },
  { id: 'container', name: 'Container' },
  { id: 'care', name: 'Care' },
];

/** How a step stands today. */
export type Standing = 'done' | 'dropped' | 'lapsed' | 'due' | 'late' | 'soon' | 'later' | 'waiting' | 'none';

export function standing(s: PlannedStep, today: string): Standing {
  if (s.status !== 'planned') return s.status;
  if (!s.ready) return 'waiting';
  if (s.closes! < today) return 'late';
  if (s.opens! <= today) return 'due';
  return daysAhead(s.opens!, today) <= 21 ? 'soon' : 'later';
}
const daysAhead = (iso: string, today: string) => (Date.parse(iso) - Date.parse(today)) / 86_400_000;

export const STANDING_WORDS: Record<Standing, string> = {
  done: 'done',
  dropped: 'before the record',
  lapsed: 'not written down',
  due: 'due',
  late: 'late',
  soon: 'soon',
  later: 'later',
  waiting: 'waits',
  none: 'no date',
};

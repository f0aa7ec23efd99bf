import type { PlannedStep } from '@gonimos/core/course';

export const LANES: { id: PlannedStep['lane']; name: string }[] = [
  { id: 'roots', name: 'Roots' },
  { id: 'top', name: 'Top' },
  { id: 'container', name: 'Container' },
  { id: 'care', name: 'Care' },
];

/** How a step stands today. */
export type Standing =
  | 'missed'
  | 'done'
  | 'dropped'
  | 'lapsed'
  | 'due'
  | 'late'
  | 'soon'
  | 'later'
  | 'waiting'
  | 'none';

export function standing(s: PlannedStep, today: string): Standing {
  if (s.status !== 'planned') return s.status;
  if (s.missed) return 'missed';
  if (!s.ready) return 'waiting';
  if (s.closes! < today) return 'late';
  if (s.opens! <= today) return 'due';
  return daysAhead(s.opens!, today) <= 21 ? 'soon' : 'later';
}
const daysAhead = (iso: string, today: string) => (Date.parse(iso) - Date.parse(today)) / 86_400_000;

export const STANDING_WORDS: Record<Standing, string> = {
  missed: 'missed',
  done: 'done',
  dropped: 'left out',
  lapsed: 'lapsed',
  due: 'due',
  late: 'late',
  soon: 'soon',
  later: 'later',
  waiting: 'waits',
  none: 'no date',
};

/** What is to be answered first, then by the day it opens; what has no date at the end. */
export function inOrder<S extends PlannedStep>(steps: readonly S[]): S[] {
  const rank = (s: S) => (s.missed ? 0 : s.opens === null ? 2 : 1);
  return steps.toSorted((a, b) => rank(a) - rank(b) || (a.opens ?? '').localeCompare(b.opens ?? '') || 0);
}

import type { YearProblem } from '@gonimos/core/year';
import { array, boolean, string, type InferType } from 'yup';
import { body, date, id, measure, noneOf, text, version } from './fields.ts';

const monday = () =>
  date().test(
    'monday',
    'is not a Monday',
    (v: string | null | undefined) => v === null || new Date(`${v}T00:00:00Z`).getUTCDay() === 1,
  );

/** The weeks a levelled year gives to steps; `from` is the state it was worked out from. */
export const keepWeeks = body({
  id: id(),
  weeks: array(
    body({
      cohortId: id(),
      key: text(80).required('is missing'),
      week: monday(),
      /** share left for the week after, in quarters */
      later: measure(0, 0.75, '')
        .test('quarters', 'is not in quarters', (v) => Number.isInteger(4 * (v ?? 0)))
        .default(0),
    }),
  )
    .max(20_000, 'too many')
    .required('is missing'),
});
export const lockStep = body({
  id: id(),
  cohortId: id(),
  key: text(80).required('is missing'),
  week: monday().nullable().default(null),
});
export const lockWeek = body({ id: id(), week: monday(), locked: boolean().required('is missing') });
export const personHours = body({
  id: id(),
  version: version(),
  hours: measure(0, 80, 'h').required('is missing'),
  skilled: boolean().required('is missing'),
});
export const absence = body({
  id: id(),
  week: monday(),
  hours: measure(0, 80, 'h').nullable().default(null),
  /** what stood there when it was changed; null: the usual */
  was: measure(0, 80, 'h').nullable().default(null),
});
export const ROUTINES = ['watering', 'weeding', 'spraying', 'feeding', 'other'] as const;
export type RoutineKind = (typeof ROUTINES)[number];
const month = () => measure(1, 12, '').integer('is not a month').required('is missing');
/** Hours a week that are no step of any course; no place: everywhere. */
export const newRoutine = body({
  id: id(),
  what: string<RoutineKind>().oneOf(ROUTINES, noneOf(ROUTINES)).required('is missing'),
  placeId: id().notRequired().nullable().default(null),
  hours: measure(0.1, 168, 'h').required('is missing'),
  fromMonth: month(),
  toMonth: month(),
});
export type NewRoutine = InferType<typeof newRoutine>;
export type Routine = Omit<NewRoutine, 'id'> & { id: string };
export const clearWeeks = body({ id: id() });
export type KeepWeeks = InferType<typeof keepWeeks>;
export type PersonHours = InferType<typeof personHours>;
export type LockStep = InferType<typeof lockStep>;

export interface Worker {
  id: string;
  name: string;
  role: string;
  version: number;
  hours: number;
  skilled: boolean;
  /** time taken against all hands together, as the clock has taught; 1: as usual */
  pace: number;
  absences: { week: string; hours: number }[];
}

/** One step as the year shows it; its id is that of the problem, good for this answer only. */
export interface YearLine {
  id: string;
  cohortId: string;
  key: string;
  code: string;
  title: string;
  opens: string;
  closes: string;
  target: string;
  /** Monday kept for it, by the levelled year or by hand */
  week: string | null;
  /** share left for the week after */
  later: number;
  locked: boolean;
}

export interface Year {
  today: string;
  /** Mondays, the first is that of this week; a few more than are shown, so that no window ends at the edge */
  weeks: string[];
  shown: number;
  lockedWeeks: string[];
  problem: YearProblem;
  lines: YearLine[];
  people: Worker[];
  routines: Routine[];
  /** minutes of routine in each week, taken off the capacity */
  routine: number[];
}

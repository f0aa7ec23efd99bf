import { isOption, isQuestion, type Choices } from '@gonimos/core/schools';
import { mixed, type InferType } from 'yup';
import type { CourseChange } from '@gonimos/core/course';
import { body, id, version } from './fields.ts';

const known = (value: unknown): value is Choices =>
  typeof value === 'object' &&
  value !== null &&
  !Array.isArray(value) &&
  Object.entries(value).every(([q, o]) => isQuestion(q) && typeof o === 'string' && isOption(q, o));

/** Answers to questions of schools, by question; what is left out follows the level above. */
export const choices = () =>
  mixed<Choices>((v): v is Choices => known(v))
    .typeError('names a school the library does not hold')
    .default(() => ({}));

export const nurserySchools = body({ id: id(), version: version(), schools: choices() });

/** What would move if these schools held: for one cohort, or for the whole nursery. */
export const schoolsPreview = body({
  cohortId: id().notRequired().nullable().default(null),
  schools: choices(),
});

export type NurserySchools = InferType<typeof nurserySchools>;

export interface CohortChange {
  cohortId: string;
  code: string;
  change: CourseChange;
}

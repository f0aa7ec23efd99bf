import { array, boolean, type InferType } from 'yup';
import { body, date, id } from './fields.ts';

/** Kept with a look: plants were carried in for some nights, or out again. */
export const shelterKept = body({
  inside: boolean().required('is missing'),
  /** the day they are to go out again */
  until: date().nullable().default(null),
});

const cohortIds = () =>
  array(id()).min(1, 'is empty').max(200, 'at most 200 cohorts at once').required('is missing');

/** Carried in before a cold night, until a day. */
export const carryIn = body({ id: id(), cohortIds: cohortIds(), until: date() });
/** Carried out again. */
export const carryOut = body({ id: id(), cohortIds: cohortIds() });
export type CarryIn = InferType<typeof carryIn>;
export type CarryOut = InferType<typeof carryOut>;

/** A cohort that is inside for some nights. */
export interface Sheltered {
  cohortId: string;
  code: string;
  plants: number;
  since: string;
  until: string;
}

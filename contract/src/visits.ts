import type { Moved } from '@gonimos/core/course';
import { DECISION_KINDS, FOUND_KINDS, type Cause, type Decision, type Found } from '@gonimos/core/visits';
import { array, mixed, string, type InferType } from 'yup';
import { body, containerId, date, id, optionalTaxonId, text } from './fields.ts';

/** An unplanned look: what was found, and what was decided. */
export const newVisit = body({
  id: id(),
  cohortId: id(),
  /** the step in whose opening it was found; null: a look between steps */
  stepKey: text(80).nullable().default(null),
  on: date(),
  found: array(string<Found>().oneOf(FOUND_KINDS, 'is not known').required())
    .max(FOUND_KINDS.length, 'too many')
    .default([]),
  decision: string<Decision>().oneOf(DECISION_KINDS, 'is not known').required('is missing'),
  /** stepping back: the smaller container */
  container: containerId().nullable().default(null),
  /** wrong identity: what it is */
  taxonId: optionalTaxonId(),
  note: text(4000).default(''),
});
/** As it is kept with its record. */
export const visitKept = body({
  found: array(string<Found>().required()).default([]),
  decision: string<Decision>().required(),
  causes: array(mixed<Cause>().required()).default([]),
  /** the day to look again */
  checkOn: date().nullable().default(null),
  /** what the plants turned out to be, and what they were taken for */
  taxonId: optionalTaxonId(),
  taxonBefore: optionalTaxonId(),
});
export const release = body({ id: id(), cohortId: id(), note: text(1000).default('') });

export type NewVisit = InferType<typeof newVisit>;
export type Release = InferType<typeof release>;

/** What a look led to: ranked causes with one change proposed, the day to look again, what moved. */
export interface VisitOutcome {
  recordId: string;
  causes: Cause[];
  checkOn: string | null;
  moved: Moved[];
}

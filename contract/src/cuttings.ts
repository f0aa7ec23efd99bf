import { array, boolean, string, type InferType } from 'yup';
import { body, code, count, date, id, measure, text } from './fields.ts';
import { CAUSES } from './ledger.ts';
import type { Outcome } from './outcome.ts';

const batches = () =>
  array(
    body({
      name: text(40).default(''),
      rooted: count().required('is missing'),
      callus: count().required('is missing'),
      dead: count().required('is missing'),
    }),
  );

/** What is kept with the record of a check: how many had rooted, and what each tray showed. */
export const cuttingsKept = body({
  rooted: count().nullable().default(null),
  batches: batches().nullable().default(null),
});

/** A check visit: what each tray showed, and what is done with it at once. */
export const cuttingCheck = body({
  id: id(),
  cohortId: id(),
  stepKey: text(80).required('is missing'),
  on: date(),
  batches: batches().min(1, 'is empty').max(60, 'at most 60 trays').required('is missing'),
  cause: string().oneOf(CAUSES, 'is not a cause').default('not rooted'),
  /** the rooted are potted now, one to a pot */
  potNow: boolean().default(false),
  /** callus goes back as a cohort of its own, so that the rooted can go on */
  part: body({ newId: id(), newCode: code() }).notRequired().nullable().default(null),
  minutes: measure(0, 100_000, 'min').nullable().default(null),
  note: text(4000).default(''),
});
export type CuttingCheck = InferType<typeof cuttingCheck>;

export interface CheckOutcome extends Outcome {
  rooted: number;
  callus: number;
  dead: number;
  /** when the callus is looked at again */
  againOn: string | null;
  /** where the callus stands now */
  partedTo: string | null;
  potted: number;
}

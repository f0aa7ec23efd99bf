import type { Outcome } from '@gonimos/contract/outcome';
import type { Trx } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import type { Planned, Written } from '../write/types.ts';

/** What came of a write for one cohort, once its course is planned again. */
export async function outcomeOf(
  trx: Trx,
  cohortId: string,
  recordId: string,
  planned: Planned,
): Promise<Outcome> {
  const counts = await trx('cohort').where({ id: cohortId }).first('live', 'pending');
  if (!counts) throw notFound('cohort');
  return { recordId, ...counts, moved: planned.get(cohortId) ?? [] };
}

/** A write on one cohort that answers with what came of it; `others` are planned again with it. */
export const onCohort = (
  trx: Trx,
  cohortId: string,
  recordId: string,
  cause: string,
  others: readonly string[] = [],
): Written<Outcome> => ({
  touched: [cohortId, ...others],
  cause,
  answer: (planned) => outcomeOf(trx, cohortId, recordId, planned),
});

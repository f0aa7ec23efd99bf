import type { Outcome } from '@gonimos/contract/records';
import { replan } from '../course/replan.ts';
import type { Trx } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

/** Re-plans a cohort after a write and says what came of it. */
export async function outcomeOf(
  trx: Trx,
  cohortId: string,
  recordId: string,
  cause: string,
): Promise<Outcome> {
  const moved = await replan(trx, [cohortId], cause);
  const counts = await trx('cohort').where({ id: cohortId }).first('live', 'pending');
  if (!counts) throw notFound('cohort');
  return { recordId, ...counts, moved: moved.get(cohortId) ?? [] };
}

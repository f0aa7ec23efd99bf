import type { Trx } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import type { CohortBefore } from './types.ts';

/**
 * Takes cohorts for this transaction, always in the same order, so that two writes wait for each other and never
 * stand in each other's way. Every write to a cohort does this before anything else.
 */
export async function lockCohorts(trx: Trx, ids: readonly string[]): Promise<CohortBefore[]> {
  const found = await trx<CohortBefore>('cohort')
    .whereIn('id', [...new Set(ids)])
    .orderBy('id')
    .forUpdate();
  if (found.length < new Set(ids).size) throw notFound('cohort');
  return found;
}

/** Takes one cohort for this transaction. */
export const lockCohort = async (trx: Trx, id: string): Promise<CohortBefore> =>
  (await lockCohorts(trx, [id]))[0];

/** Takes those of these cohorts that nobody else has taken. */
export const lockFree = (trx: Trx, ids: readonly string[]): Promise<string[]> =>
  trx('cohort').whereIn('id', ids).orderBy('id').forUpdate().skipLocked().pluck('id');

import type { Planning } from '@gonimos/contract/planning';
import type { Sql, Trx } from '../db/index.ts';

/** Cohorts whose courses are planned. */
export const living = (sql: Sql) => sql('cohort').where('growing', true).orderBy('id');

/**
 * Notes that courses have to be planned again; what is noted is worked off even after a crash. `drift`: nothing
 * but the day and its weather has changed.
 */
export async function noteDue(trx: Trx, ids: readonly string[], cause: string, drift = false): Promise<void> {
  if (ids.length === 0) return;
  await trx.raw(
    `INSERT INTO plan_due (cohort_id, cause, drift) SELECT unnest(?::uuid[]), ?, ?
     ON CONFLICT (cohort_id) DO UPDATE
       SET cause = excluded.cause, since = now(), drift = plan_due.drift AND excluded.drift`,
    [[...ids], cause, drift],
  );
  await trx('nursery').update({
    planningOf: trx('plan_due').count('*'),
    planningPaused: false,
  });
}

/** How far the planning of many courses has come, and which courses cannot be planned. */
export async function planningState(sql: Sql): Promise<Planning> {
  const nursery = await sql('nursery').first('planningOf', 'planningPaused');
  const due = await sql('plan_due')
    .count({ n: '*' })
    .max({ cause: 'cause' })
    .first<{ n: number; cause: string | null }>();
  return {
    left: Number(due.n),
    of: nursery?.planningOf ?? 0,
    cause: due.cause,
    paused: nursery?.planningPaused ?? false,
    faults: await sql('cohort').whereNotNull('planFault').orderBy('code').select({
      id: 'id',
      code: 'code',
      fault: 'planFault',
    }),
  };
}

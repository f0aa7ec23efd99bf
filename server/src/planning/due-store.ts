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
    planning_of: trx('plan_due').count('*'),
    planning_paused: false,
  });
}

/** How far the planning of many courses has come, and which courses cannot be planned. */
export async function planningState(sql: Sql): Promise<Planning> {
  const nursery = await sql('nursery').first('planning_of', 'planning_paused');
  const due = await sql('plan_due').count('* as n').max('cause as cause').first();
  return {
    left: Number(due?.n ?? 0),
    of: nursery?.planning_of ?? 0,
    cause: due?.cause ?? null,
    paused: nursery?.planning_paused ?? false,
    faults: await sql('cohort').whereNotNull('plan_fault').orderBy('code').select({
      id: 'id',
      code: 'code',
      fault: 'plan_fault',
    }),
  };
}

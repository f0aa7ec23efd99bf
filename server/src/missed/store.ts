import { operationsThat } from '@gonimos/core/operations';
import { GRACE_DAYS } from '@gonimos/core/course';
import type { Sql, Trx } from '../db/index.ts';

/**
 * Takes down every window that closed before today while its step stood open in it, as the plan was last shown.
 * Small care lapses some days later, with a line that says so.
 */
export async function noteMissed(trx: Trx, today: string): Promise<void> {
  const small = operationsThat((o) => o.lapses === true);
  await trx.raw(
    `INSERT INTO record (id, cohort_id, kind, step_key, on_date, finished, details)
     SELECT gen_random_uuid(), s.cohort_id, CASE WHEN s.operation = ANY(:small) THEN 'lapsed' ELSE 'missed' END,
       s.key, :today, false, jsonb_build_object('missed', jsonb_build_object(
         'opens', s.opens, 'closes', s.closes, 'title', s.title, 'operation', s.operation))
     FROM course_step s JOIN cohort c ON c.id = s.cohort_id
     WHERE c.growing AND s.status = 'planned' AND s.ready AND s.missed IS NULL AND s.opens < :today
       AND s.closes < :today::date - CASE WHEN s.operation = ANY(:small) THEN :grace::int ELSE 0 END`,
    { small, today, grace: GRACE_DAYS },
  );
}

/** Steps of these that were missed, with the next window each has. */
export const missedSteps = (
  sql: Sql,
  cohortIds: readonly string[],
): Promise<{ cohortId: string; key: string; title: string; opens: string | null }[]> =>
  sql('course_step')
    .whereIn('cohortId', cohortIds)
    .whereNotNull('missed')
    .select('cohortId', 'key', 'title', 'opens');

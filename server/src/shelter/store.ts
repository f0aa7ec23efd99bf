import type { Sheltered } from '@gonimos/contract/shelter';
import type { Sql } from '../db/index.ts';

/** Cohorts that were carried in and not out again, by the last word on each. */
export async function readSheltered(sql: Sql): Promise<Sheltered[]> {
  const { rows } = await sql.raw<{ rows: Sheltered[] }>(
    `SELECT c.id AS "cohortId", c.code, CASE WHEN c.live > 0 THEN c.live ELSE c.pending END AS plants,
       l.on_date AS since, (l.details -> 'shelter' ->> 'until')::date AS until
     FROM (SELECT DISTINCT ON (cohort_id) cohort_id, on_date, details FROM standing_record
       WHERE details -> 'shelter' IS NOT NULL ORDER BY cohort_id, seq DESC) l
     JOIN cohort c ON c.id = l.cohort_id AND c.growing
     WHERE (l.details -> 'shelter' ->> 'inside')::boolean
     ORDER BY until, c.code`,
  );
  return rows;
}

import type { StanceRow } from '@gonimos/contract/stance';
import type { Sql } from '../db/index.ts';

/** How each plant of a cohort was last decided to stand: at its roots or at its stem, whichever spoke last. */
export async function readStances(sql: Sql, cohortId: string): Promise<StanceRow[]> {
  const { rows } = await sql.raw<{ rows: StanceRow[] }>(
    `SELECT DISTINCT ON (label) label, bench, on_date AS "on", (record ->> 'front')::float AS front,
       (decided #>> '{lean,tilt}')::float AS tilt, (decided #>> '{lean,towards}')::float AS towards,
       (decided ->> 'aside')::float AS aside, (decided ->> 'behind')::float AS behind
     FROM (
       SELECT 'roots' AS bench, * FROM root_record UNION ALL SELECT 'stem' AS bench, * FROM stem_record
     ) AS drawn
     WHERE cohort_id = ? AND NOT withdrawn AND jsonb_typeof(decided -> 'lean') = 'object'
     ORDER BY label, on_date DESC, changed_at DESC`,
    [cohortId],
  );
  return rows;
}

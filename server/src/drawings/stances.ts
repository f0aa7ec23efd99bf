import type { StanceRow } from '@gonimos/contract/stance';
import type { Sql } from '../db/index.ts';
import type { DrawingTable } from './store.ts';

/** How each plant of a cohort was last decided to stand: at its roots or at its stem, whichever spoke last. */
export async function readStances(sql: Sql, cohortId: string): Promise<StanceRow[]> {
  const drawn = (table: DrawingTable, bench: StanceRow['bench']) =>
    `SELECT '${bench}' AS bench, label, on_date, record, decided, changed_at FROM ${table}
     WHERE cohort_id = :cohortId AND NOT withdrawn AND jsonb_typeof(decided -> 'lean') = 'object'`;
  const { rows } = await sql.raw<{ rows: StanceRow[] }>(
    `SELECT DISTINCT ON (label) label, bench, on_date AS "on", (record ->> 'front')::float AS front,
       (decided #>> '{lean,tilt}')::float AS tilt, (decided #>> '{lean,towards}')::float AS towards,
       (decided ->> 'aside')::float AS aside, (decided ->> 'behind')::float AS behind
     FROM (${drawn('root_record', 'roots')} UNION ALL ${drawn('stem_record', 'stem')}) AS drawn
     ORDER BY label, on_date DESC, changed_at DESC`,
    { cohortId },
  );
  return rows;
}

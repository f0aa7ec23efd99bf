import type { SproutLook } from '@gonimos/core/stem';
import type { Sql } from '../db/index.ts';

/** What looks after cuts have shown of a kind, in all its cohorts. */
export async function readSprouts(sql: Sql, taxonId: string): Promise<SproutLook[]> {
  const { rows } = await sql.raw<{ rows: { sprouts: SproutLook }[] }>(
    `SELECT r.details -> 'sprouts' AS sprouts
     FROM standing_record r JOIN cohort c ON c.id = r.cohort_id
     WHERE c.taxon_id = ? AND jsonb_typeof(r.details -> 'sprouts') = 'object'
     ORDER BY r.on_date, r.id`,
    [taxonId],
  );
  return rows.map((r) => r.sprouts);
}

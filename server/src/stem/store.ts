import type { SproutLook } from '@gonimos/core/stem';
import type { StemBench } from '@gonimos/contract/stem-records';
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

/** The next work on stem and crown that the course has. */
export async function nextStemWork(sql: Sql, cohortId: string): Promise<StemBench['step']> {
  const step = await sql('course_step')
    .where({ cohortId, lane: 'top', status: 'planned' })
    .whereNotNull('opens')
    .orderBy('seq')
    .first('key', 'title', 'operation', 'opens', 'closes', 'ready');
  return step ? { ...step, opens: step.opens!, closes: step.closes! } : null;
}

/** What was left at the last work on a stem that told of it. */
export async function readLeft(sql: Sql, cohortId: string): Promise<StemBench['left']> {
  const last = await sql('standing_record')
    .where({ cohortId })
    .whereRaw("jsonb_typeof(details -> 'stem') = 'object'")
    .orderBy('seq', 'desc')
    .first('onDate', 'details');
  const lines = last?.details.stem?.left ?? [];
  return last && lines.length > 0 ? { on: last.onDate, lines } : null;
}

/**
 * Wires of a kind that came off, in all its cohorts: one by one as they were put on by hand, and by walks through a batch,
 * which tell no days.
 */
export async function readHeld(sql: Sql, taxonId: string): Promise<StemBench['held']> {
  const { rows } = await sql.raw<{ rows: { off: string; kept: string; days: number | null }[] }>(
    `WITH told AS (
       SELECT r.on_date, r.details -> 'fittings' AS f FROM standing_record r JOIN cohort c ON c.id = r.cohort_id
       WHERE c.taxon_id = ? AND jsonb_typeof(r.details -> 'fittings') = 'object'
     ), singly AS (
       SELECT (k ->> 'held')::boolean AS held, t.on_date - p.on_date AS days
       FROM told t CROSS JOIN LATERAL jsonb_array_elements(coalesce(t.f -> 'kept', '[]')) AS k
       LEFT JOIN LATERAL (
         SELECT o.on_date FROM told o CROSS JOIN LATERAL jsonb_array_elements(o.f -> 'on') AS x
         WHERE x ->> 'id' = k ->> 'id' LIMIT 1) AS p ON true
     ), walked AS (
       SELECT sum((f #>> '{tend,off}')::int) AS off, sum((f #>> '{tend,sprang}')::int) AS sprang
       FROM told WHERE f #>> '{tend,sprang}' IS NOT NULL
     )
     SELECT (SELECT count(*) FROM singly) + coalesce(w.off, 0) AS off,
       (SELECT count(*) FROM singly WHERE held) + coalesce(w.off - w.sprang, 0) AS kept,
       (SELECT percentile_disc(0.5) WITHIN GROUP (ORDER BY days) FROM singly) AS days
     FROM walked w`,
    [taxonId],
  );
  const [{ off, kept, days }] = rows;
  return { off: Number(off), kept: Number(kept), days };
}

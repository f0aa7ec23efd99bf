import type { Knex } from 'knex';
import type { Sql } from '../db/index.ts';

/** Joins to cohorts `c` what they are held apart for, by the last word on each. */
export const joinHeld = (query: Knex.QueryBuilder): Knex.QueryBuilder =>
  query.joinRaw(
    `LEFT JOIN (
      SELECT DISTINCT ON (r.cohort_id) r.cohort_id, r.kind, r.on_date, r.reason, r.note FROM standing_record r
      WHERE r.kind IN ('visit', 'released')
        AND (r.kind = 'released' OR r.details #>> '{visit,decision}' = 'quarantine')
      ORDER BY r.cohort_id, r.seq DESC) AS held ON held.cohort_id = c.id AND held.kind = 'visit'`,
  );

/** Since when, and for what was found; null where a cohort is not held apart. */
export const heldColumn = (sql: Sql) =>
  sql.raw(
    `CASE WHEN held.cohort_id IS NOT NULL THEN json_build_object('since', held.on_date,
      'found', coalesce(nullif(held.reason, ''), nullif(held.note, ''), 'as decided')) END AS held`,
  );

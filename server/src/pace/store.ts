import { Paces, type Sittings } from '@gonimos/core/pace';
import type { Sql } from '../db/index.ts';

/** Sittings of which minutes and plants are known, put together by work, kind and person. */
const readSittings = async (sql: Sql): Promise<Sittings[]> => {
  const { rows } = await sql.raw<{ rows: Sittings[] }>(
    `SELECT s.operation, c.taxon_id AS "taxonId", r.person_id AS "personId", count(*)::int AS sittings,
       percentile_cont(0.5) WITHIN GROUP (ORDER BY r.minutes / (r.details->'pace'->>'plants')::float) AS minutes
     FROM standing_record r
     JOIN cohort c ON c.id = r.cohort_id
     JOIN course_step s ON s.cohort_id = r.cohort_id AND s.key = r.step_key
     WHERE r.minutes > 0 AND r.details \\? 'pace'
     GROUP BY 1, 2, 3`,
  );
  return rows;
};

/** What the clock has taught so far. */
export const readPaces = async (sql: Sql): Promise<{ sittings: Sittings[]; paces: Paces }> => {
  const sittings = await readSittings(sql);
  return { sittings, paces: new Paces(sittings) };
};

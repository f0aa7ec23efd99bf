import type { Bed, BedCohort } from '@gonimos/contract/beds';
import { groupBy } from '@gonimos/core/group';
import type { Sql } from '../db/index.ts';

/** Cohorts drawn in one bed; the others are counted. */
const DRAWN = 16;

interface Counted extends Omit<Bed, 'some'> {
  due: number;
}

/** Every place with what stands there, and how much is due. */
export async function readBeds(sql: Sql, today: string): Promise<Bed[]> {
  const { rows: beds } = await sql.raw<{ rows: Counted[] }>(
    `SELECT p.id, p.name, p.kind, coalesce(c.cohorts, 0) AS cohorts, coalesce(c.plants, 0) AS plants,
         coalesce(s.due, 0) AS due, coalesce(s.missed, 0) AS missed
       FROM place p
       LEFT JOIN (SELECT place_id, count(*)::int AS cohorts, sum(live)::int AS plants FROM cohort
         WHERE growing GROUP BY 1) c ON c.place_id = p.id
       LEFT JOIN (SELECT c.place_id,
           count(*) FILTER (WHERE s.missed IS NULL)::int AS due,
           count(*) FILTER (WHERE s.missed IS NOT NULL)::int AS missed
         FROM course_step s JOIN cohort c ON c.id = s.cohort_id AND c.growing
         WHERE (s.status = 'planned' AND s.ready AND s.opens <= :today)
           OR (s.missed IS NOT NULL AND s.status IN ('planned', 'none'))
         GROUP BY 1) s ON s.place_id = p.id
       ORDER BY p.sort, p.name`,
    { today },
  );
  const { rows: drawn } = await sql.raw<{ rows: (BedCohort & { placeId: string })[] }>(
    `SELECT x.id, x.code, x.container, x.goal_caliper AS "goalCaliper", x.rings, x.place_id AS "placeId"
       FROM place p CROSS JOIN LATERAL (
         SELECT c.* FROM cohort c WHERE c.place_id = p.id AND c.growing
         ORDER BY c.next_opens <= :today DESC NULLS LAST, c.code LIMIT :drawn) x`,
    { today, drawn: DRAWN },
  );
  const byPlace = groupBy(drawn, (c) => c.placeId);
  return beds.map((b) => ({ ...b, some: (byPlace.get(b.id) ?? []).map(({ placeId: _, ...c }) => c) }));
}

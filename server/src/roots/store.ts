import type { ClassedRow } from '@gonimos/contract/root-records';
import type { Sql } from '../db/index.ts';

/** Roots as they were told with work that stands, oldest first. */
async function toldOf(sql: Sql, cohortId: string) {
  const rows = await sql('standing_record')
    .where({ cohortId })
    .whereRaw("details \\? 'roots'")
    .orderBy('seq')
    .select('onDate', 'details');
  return rows.map((r) => ({ on: r.onDate, roots: r.details.roots!, potting: r.details.potting }));
}

/** Series judged by class, and what was left at the last opening. */
export async function readTold(
  sql: Sql,
  cohortId: string,
  container: string,
): Promise<{ classed: ClassedRow[]; left: { on: string; lines: string[] } | null }> {
  const told = await toldOf(sql, cohortId);
  const last = told.findLast((t) => t.roots.took !== null || t.roots.left.length > 0);
  return {
    classed: told.flatMap(({ on, roots, potting }) =>
      roots.classes ? [{ on, container: potting?.before ?? container, ...roots.classes }] : [],
    ),
    left: last && last.roots.left.length > 0 ? { on: last.on, lines: last.roots.left } : null,
  };
}

import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

/** Tables of drawings: what was seen of a plant on a day, and what was decided about it. */
export type DrawingTable = 'root_record' | 'stem_record';

/** A drawing as it is sent. */
export interface Drawn {
  label: string;
  on: string;
  record: unknown;
  decided: unknown;
  note: string;
}

const WHAT: Record<DrawingTable, string> = { root_record: 'root record', stem_record: 'stem record' };

const columns = (r: Drawn) => ({
  label: r.label,
  onDate: r.on,
  record: JSON.stringify(r.record),
  decided: JSON.stringify(r.decided),
  note: r.note,
});

const query = (sql: Sql, table: DrawingTable) =>
  sql(`${table} as r`)
    .leftJoin('person as p', 'p.id', 'r.personId')
    .where({ 'r.withdrawn': false })
    .select({
      id: 'r.id',
      label: 'r.label',
      on: 'r.onDate',
      record: 'r.record',
      decided: 'r.decided',
      note: 'r.note',
      version: 'r.version',
      by: sql.raw("coalesce(p.name, '')"),
    });

/** Drawings of a cohort that stand, oldest first. */
export const readDrawings = <Row>(sql: Sql, table: DrawingTable, cohortId: string): Promise<Row[]> =>
  query(sql, table)
    .where({ 'r.cohortId': cohortId })
    .orderBy([{ column: 'r.onDate' }, { column: 'r.createdAt' }]);

/** The last drawing of each plant; `rows`: oldest first. */
export const lastOfEach = <Row extends { label: string }>(rows: readonly Row[]): Row[] => [
  ...new Map(rows.map((r) => [r.label, r])).values(),
];

export async function insertDrawing(
  sql: Sql,
  table: DrawingTable,
  r: Drawn & { id: string; cohortId: string },
  personId: string | null,
): Promise<void> {
  await sql(table).insert({ id: r.id, cohortId: r.cohortId, personId, ...columns(r) });
}

/** The cohort of a drawing that stands. */
export async function cohortOfDrawing(sql: Sql, table: DrawingTable, id: string): Promise<string> {
  const row = await sql(table).where({ id, withdrawn: false }).first('cohortId');
  if (!row) throw notFound(WHAT[table]);
  return row.cohortId;
}

/** Changes a drawing, or takes it back, if it is as it was when it was opened. */
async function atVersion(
  sql: Sql,
  table: DrawingTable,
  id: string,
  version: number,
  change: object,
): Promise<void> {
  const changed = await sql(table)
    .where({ id, version, withdrawn: false })
    .update({ ...change, version: version + 1, changedAt: new Date() });
  if (changed > 0) return;
  throw conflict('The drawing was changed meanwhile.', await query(sql, table).where({ 'r.id': id }).first());
}

export const updateDrawing = (
  sql: Sql,
  table: DrawingTable,
  id: string,
  r: Drawn & { version: number },
): Promise<void> => atVersion(sql, table, id, r.version, columns(r));

export const withdrawDrawing = (sql: Sql, table: DrawingTable, id: string, version: number): Promise<void> =>
  atVersion(sql, table, id, version, { withdrawn: true });

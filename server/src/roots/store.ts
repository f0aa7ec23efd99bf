import type {
  ChangeRootRecord,
  ClassedRow,
  NewRootRecord,
  RootRecordRow,
} from '@gonimos/contract/root-records';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

const drawn = (r: Omit<NewRootRecord, 'id' | 'cohortId'>) => ({
  label: r.label,
  onDate: r.on,
  record: JSON.stringify(r.record),
  decided: JSON.stringify(r.decided),
  note: r.note,
});

const query = (sql: Sql) =>
  sql('root_record as r')
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

/** Records of a cohort that stand, oldest first. */
export const readRootRecords = (sql: Sql, cohortId: string): Promise<RootRecordRow[]> =>
  query(sql)
    .where({ 'r.cohortId': cohortId })
    .orderBy([{ column: 'r.onDate' }, { column: 'r.createdAt' }]);

export async function insertRootRecord(sql: Sql, r: NewRootRecord, personId: string | null): Promise<void> {
  await sql('root_record').insert({ id: r.id, cohortId: r.cohortId, personId, ...drawn(r) });
}

/** The cohort of a record that stands. */
export async function cohortOfRecord(sql: Sql, id: string): Promise<string> {
  const row = await sql('root_record').where({ id, withdrawn: false }).first('cohortId');
  if (!row) throw notFound('root record');
  return row.cohortId;
}

/** Changes a record, or takes it back, if it is as it was when it was opened. */
async function atVersion(sql: Sql, id: string, version: number, change: object): Promise<void> {
  const changed = await sql('root_record')
    .where({ id, version, withdrawn: false })
    .update({ ...change, version: version + 1 });
  if (changed > 0) return;
  throw conflict('The drawing was changed meanwhile.', await query(sql).where({ 'r.id': id }).first());
}

export const updateRootRecord = (sql: Sql, id: string, r: ChangeRootRecord): Promise<void> =>
  atVersion(sql, id, r.version, drawn(r));
export const withdrawRootRecord = (sql: Sql, id: string, version: number): Promise<void> =>
  atVersion(sql, id, version, { withdrawn: true });

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

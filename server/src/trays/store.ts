import type { NewTray, Tray } from '@gonimos/contract/trays';
import { groupBy } from '@gonimos/core/group';
import type { CellEffect, CellState } from '@gonimos/core/trays';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

export interface TrayRow {
  id: string;
  cohortId: string;
  name: string;
  rows: number;
  columns: number;
}

export async function findTray(sql: Sql, id: string): Promise<TrayRow> {
  const row = await sql<TrayRow>('tray').where({ id }).first();
  if (!row) throw notFound('tray');
  return row;
}

/** Seed lying in the cells of a cohort's trays, and plants standing in them. */
export async function standingInTrays(sql: Sql, cohortId: string): Promise<{ seed: number; plants: number }> {
  return sql('tray_cell as x')
    .join('tray as t', 't.id', 'x.trayId')
    .where({ 't.cohortId': cohortId })
    .first<{ seed: number; plants: number }>(
      sql.raw("(count(*) FILTER (WHERE x.state = 'sown'))::int AS seed"),
      sql.raw("(count(*) FILTER (WHERE x.state IN ('up', 'twin')))::int AS plants"),
    );
}

export async function insertTray(sql: Sql, cohortId: string, t: NewTray, filled: CellState): Promise<void> {
  const { id, name, rows, columns } = t;
  await sql('tray').insert({ id, cohortId: cohortId, name, rows, columns });
  await sql('tray_cell').insert(
    Array.from({ length: rows * columns }, (_, cell) => ({
      trayId: id,
      cell,
      state: cell < t.fill ? filled : 'empty',
    })),
  );
}

/** What the ledger holds for a cell, and the entry that counts it. */
export interface HeldEffect extends CellEffect {
  entryId: string;
  on: string;
  seq: number;
}
export interface HeldCell {
  state: CellState;
  effects: HeldEffect[];
}

export async function readCells(sql: Sql, trayId: string): Promise<HeldCell[]> {
  const states = await sql('tray_cell').where({ trayId: trayId }).orderBy('cell').select('cell', 'state');
  const held = await sql('tray_cell_entry as x')
    .join('ledger_entry as l', 'l.id', 'x.entryId')
    .where({ 'x.trayId': trayId })
    .select({
      cell: 'x.cell',
      entryId: 'l.id',
      type: 'l.type',
      cause: 'l.cause',
      on: 'l.onDate',
      seq: 'l.seq',
    });
  const byCell = groupBy(held as (HeldEffect & { cell: number })[], (h) => h.cell);
  return states.map((s) => ({
    state: s.state,
    effects: byCell.get(s.cell) ?? [],
  }));
}

const MARKS_SHOWN = 40;

export async function readTray(sql: Sql, t: TrayRow): Promise<Tray> {
  const cells = await sql('tray_cell').where({ trayId: t.id }).orderBy('cell').pluck('state');
  const marks: Tray['marks'] = await sql('tray_mark as m')
    .leftJoin('person as p', 'p.id', 'm.personId')
    .where({ 'm.trayId': t.id })
    .groupBy('m.id', 'm.onDate', 'p.name')
    .orderByRaw('max(m.seq) DESC')
    .limit(MARKS_SHOWN)
    .select({
      id: 'm.id',
      on: 'm.onDate',
      by: sql.raw("coalesce(p.name, '')"),
      count: sql.raw('count(*)::int'),
      now: sql.raw('min(m.now)'),
      undone: sql.raw(
        '(bool_or(m.undoes IS NOT NULL) OR EXISTS (SELECT 1 FROM tray_mark u WHERE u.undoes = m.id))',
      ),
    });
  return { id: t.id, name: t.name, rows: t.rows, columns: t.columns, cells, marks };
}

export const traysOf = (sql: Sql, cohortId: string): Promise<TrayRow[]> =>
  sql<TrayRow>('tray').where({ cohortId: cohortId }).orderBy('name');

export interface MarkRow {
  cell: number;
  was: CellState;
  now: CellState;
}
export const readMark = (sql: Sql, trayId: string, markId: string): Promise<MarkRow[]> =>
  sql('tray_mark').where({ trayId: trayId, id: markId }).orderBy('cell').select('cell', 'was', 'now');

/** Who marked a cell last. */
export async function lastMarkedBy(sql: Sql, trayId: string, cells: number[]): Promise<Map<number, string>> {
  const rows: { cell: number; name: string | null }[] = await sql('tray_mark as m')
    .leftJoin('person as p', 'p.id', 'm.personId')
    .where({ 'm.trayId': trayId })
    .whereIn('m.cell', cells)
    .distinctOn('m.cell')
    .orderBy([{ column: 'm.cell' }, { column: 'm.seq', order: 'desc' }])
    .select('m.cell', 'p.name');
  return new Map(rows.map((r) => [r.cell, r.name ?? '']));
}

export async function insertMarks(
  sql: Sql,
  m: { id: string; trayId: string; on: string; undoes: string | null; personId: string | null },
  marks: MarkRow[],
): Promise<void> {
  if (marks.length === 0) return;
  await sql('tray_mark').insert(
    marks.map((x) => ({
      id: m.id,
      trayId: m.trayId,
      cell: x.cell,
      was: x.was,
      now: x.now,
      onDate: m.on,
      undoes: m.undoes,
      personId: m.personId,
    })),
  );
  await sql.raw(
    `UPDATE tray_cell t SET state = x.now FROM jsonb_to_recordset(?) AS x(cell integer, now text)
     WHERE t.tray_id = ? AND t.cell = x.cell`,
    [JSON.stringify(marks), m.trayId],
  );
}

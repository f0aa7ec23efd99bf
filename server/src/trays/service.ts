import { randomUUID } from 'node:crypto';
import type { MarkCells, MarkOutcome, NewTray, Tray, Trays } from '@gonimos/contract/trays';
import { inTurn, type NewEntry } from '@gonimos/core/ledger';
import { cellName, effectsOf, markFault, type CellEffect } from '@gonimos/core/trays';
import { sure } from '../db/sure.ts';
import type { Sql, Trx } from '../db/index.ts';
import { conflict, notFound, wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering, touching } from '../write/write.ts';
import { followEmergence } from './emergence.ts';
import {
  findTray,
  insertMarks,
  insertTray,
  lastMarkedBy,
  readCells,
  readMark,
  readTray,
  standingInTrays,
  traysOf,
  type HeldCell,
  type HeldEffect,
  type MarkRow,
} from './store.ts';

export async function readTrays(sql: Sql, cohortId: string): Promise<Trays> {
  const cohort = await sql('cohort').where({ id: cohortId }).first('live', 'pending');
  if (!cohort) throw notFound('cohort');
  const inside = await standingInTrays(sql, cohortId);
  const trays: Tray[] = [];
  for (const t of await traysOf(sql, cohortId)) trays.push(await readTray(sql, t));
  return {
    trays,
    ledger: cohort,
    outside: { seed: cohort.pending - inside.seed, plants: cohort.live - inside.plants },
  };
}

/** Cells never hold more seed or plants than the ledger does. */
async function withinLedger(trx: Trx, cohortId: string, field: string): Promise<void> {
  const { live, pending } = await sure(trx('cohort').where({ id: cohortId }).first('live', 'pending'));
  const inside = await standingInTrays(trx, cohortId);
  if (inside.seed > pending)
    throw wrongField(field, `would hold ${inside.seed} seeds in cells, the ledger has ${pending} left`);
  if (inside.plants > live)
    throw wrongField(field, `would hold ${inside.plants} plants in cells, the ledger has ${live}`);
}

/** A tray of any size; its first cells are filled with seed or, when all of that has shown, with plants. */
export async function addTray(
  { trx }: Writing,
  cohortId: string,
  t: NewTray,
): Promise<Written<{ id: string }>> {
  const cohort = await lockCohort(trx, cohortId);
  if (t.fill > t.rows * t.columns) throw wrongField('fill', `is more than the ${t.rows * t.columns} cells`);
  await insertTray(trx, cohortId, t, cohort.pending > 0 ? 'sown' : 'up');
  await withinLedger(trx, cohortId, 'fill');
  return answering({ id: t.id });
}

interface Change {
  cell: number;
  gone: HeldEffect[];
  come: CellEffect[];
}

const same = (a: CellEffect, b: CellEffect) => a.type === b.type && a.cause === b.cause;

/**
 * The ledger follows the cells: one entry for all cells of a mark that tell the same; a cell corrected takes
 * itself out of the entry that counted it, by a reversal and the rest counted again.
 */
async function follow(
  trx: Trx,
  tray: { id: string; cohortId: string },
  all: readonly HeldCell[],
  changes: readonly Change[],
  said: { on: string; personId: string | null },
): Promise<void> {
  const entries: NewEntry[] = [];
  const links: { trayId: string; cell: number; entryId: string }[] = [];
  const base = { cohortId: tray.cohortId, personId: said.personId };

  const goneBy = new Map<string, { effect: HeldEffect; cells: Set<number> }>();
  for (const c of changes)
    for (const effect of c.gone) {
      const g = goneBy.get(effect.entryId) ?? { effect, cells: new Set() };
      goneBy.set(effect.entryId, { effect, cells: g.cells.add(c.cell) });
    }
  for (const [entryId, { effect, cells }] of goneBy) {
    // the same entry may count cells of one tray only: marks are of one tray
    const rest = all.flatMap((x, cell) =>
      x.effects.some((e) => e.entryId === entryId) && !cells.has(cell) ? [cell] : [],
    );
    const count = rest.length + cells.size;
    entries.push({ ...base, id: randomUUID(), type: 'reversed', on: effect.on, count, reverses: entryId });
    if (rest.length === 0) continue;
    const again = randomUUID();
    entries.push({
      ...base,
      id: again,
      type: effect.type,
      on: effect.on,
      count: rest.length,
      cause: effect.cause,
      seq: effect.seq,
      note: `cells of a tray, ${cells.size} corrected`,
    });
    links.push(...rest.map((cell) => ({ trayId: tray.id, cell, entryId: again })));
  }

  const comeBy = new Map<string, { effect: CellEffect; id: string; cells: number[] }>();
  for (const c of changes)
    for (const effect of c.come) {
      const key = `${effect.type} ${effect.cause ?? ''}`;
      const g = comeBy.get(key) ?? { effect, id: randomUUID(), cells: [] };
      g.cells.push(c.cell);
      comeBy.set(key, g);
    }
  const come: NewEntry[] = [];
  for (const { effect, id, cells } of comeBy.values()) {
    come.push({
      ...base,
      id,
      type: effect.type,
      on: said.on,
      count: cells.length,
      cause: effect.cause,
      note: 'cells of a tray',
    });
    links.push(...cells.map((cell) => ({ trayId: tray.id, cell, entryId: id })));
  }

  await insertEntries(trx, [...entries, ...inTurn(come)]);
  const dropped = [...goneBy.keys()];
  if (dropped.length > 0)
    await trx('tray_cell_entry').where({ trayId: tray.id }).whereIn('entryId', dropped).delete();
  if (links.length > 0) await trx('tray_cell_entry').insert(links);
}

interface Said {
  id: string;
  on: string;
  cause: string | null;
  undoes: string | null;
}

/**
 * Marks cells. A cell that somebody else has marked meanwhile is left as it is and told; the others are
 * marked. A mark that says what the cell says already changes nothing.
 */
async function mark(
  { trx, personId }: Writing,
  trayId: string,
  said: Said,
  marks: readonly MarkRow[],
): Promise<Written<MarkOutcome>> {
  const tray = await findTray(trx, trayId);
  const cohort = await lockCohort(trx, tray.cohortId);
  await notInFuture(trx, 'on', said.on);
  if (said.on < cohort.startedFrom) throw wrongField('on', `is before the start, ${cohort.startedFrom}`);
  const cells = await readCells(trx, trayId);
  const last = new Map(marks.map((m) => [m.cell, m]));
  const applied: MarkRow[] = [];
  const met: MarkRow[] = [];
  for (const m of last.values()) {
    const cell = cells[m.cell];
    if (!cell) throw wrongField('marks', `names cell ${m.cell + 1}, the tray has ${cells.length}`);
    if (cell.state === m.now) continue;
    if (cell.state !== m.was) {
      met.push(m);
      continue;
    }
    const fault = markFault(m.was, m.now);
    if (fault) throw wrongField('marks', `cannot be: ${cellName(m.cell, tray.columns)}, ${fault}`);
    applied.push(m);
  }
  const changes = applied.map((m): Change => {
    const cell = cells[m.cell];
    const want = effectsOf(cell, m.now, said.cause);
    return {
      cell: m.cell,
      gone: cell.effects.filter((e) => !want.some((w) => same(w, e))),
      come: want.filter((w) => !cell.effects.some((e) => same(w, e))),
    };
  });
  await insertMarks(trx, { ...said, trayId, personId }, applied);
  await follow(trx, tray, cells, changes, { on: said.on, personId });
  await withinLedger(trx, tray.cohortId, 'marks');
  const told = changes.some((c) => c.gone.length + c.come.length > 0);
  const counted = told && (await followEmergence(trx, tray.cohortId, personId));
  const by = await lastMarkedBy(
    trx,
    trayId,
    met.map((m) => m.cell),
  );
  return touching(told ? [tray.cohortId] : [], 'cells of a tray were marked', {
    tray: await readTray(trx, tray),
    conflicts: met.map((m) => ({
      cell: m.cell,
      was: m.was,
      is: cells[m.cell].state,
      wanted: m.now,
      by: by.get(m.cell) ?? '',
    })),
    marked: applied.length,
    counted,
  });
}

export const markCells = (w: Writing, trayId: string, m: MarkCells): Promise<Written<MarkOutcome>> =>
  mark(w, trayId, { ...m, undoes: null }, m.marks);

/** Takes marks back where their cells still stand as they left them. */
export async function undoMarks(
  w: Writing,
  trayId: string,
  markId: string,
  id: string,
): Promise<Written<MarkOutcome>> {
  const made = await readMark(w.trx, trayId, markId);
  if (made.length === 0) throw notFound('mark');
  if (await w.trx('tray_mark').where({ undoes: markId }).first('id'))
    throw conflict('These marks were taken back already.');
  const back = made.map((m) => ({ cell: m.cell, was: m.now, now: m.was }));
  const on = todayAt(await readNursery(w.trx));
  return mark(w, trayId, { id, on, cause: null, undoes: markId }, back);
}

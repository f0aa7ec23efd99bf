import { randomUUID } from 'node:crypto';
import type { EntryRow } from '@gonimos/contract/ledger';
import { fold, type LedgerEntry, type NewEntry } from '@gonimos/core/ledger';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

/** Adds entries; the database refuses what would leave fewer than no plants at any date. */
export async function insertEntries(sql: Sql, entries: NewEntry[]): Promise<void> {
  if (entries.length === 0) return;
  await sql('ledger_entry').insert(
    entries.map((e) => ({
      id: e.id,
      cohortId: e.cohortId,
      type: e.type,
      onDate: e.on,
      toDate: e.to ?? e.on,
      count: e.count,
      unit: e.unit ?? null,
      intoCount: e.into ?? null,
      cause: e.cause ?? null,
      note: e.note ?? '',
      reverses: e.reverses ?? null,
      transferId: e.transferId ?? null,
      recordId: e.recordId ?? null,
      damageId: e.damageId ?? null,
      personId: e.personId ?? null,
      ...(e.seq === undefined ? {} : { seq: e.seq }),
    })),
  );
}

const COLUMNS = {
  id: 'l.id',
  cohortId: 'l.cohortId',
  type: 'l.type',
  on: 'l.onDate',
  seq: 'l.seq',
  count: 'l.count',
  into: 'l.intoCount',
  unit: 'l.unit',
  cause: 'l.cause',
  note: 'l.note',
  reverses: 'l.reverses',
  reversedBy: 'r.id',
  recordId: 'l.recordId',
  transferId: 'l.transferId',
  damageId: 'l.damageId',
  at: 'l.at',
};

export const readEntries = (sql: Sql, cohortId: string): Promise<LedgerEntry[]> =>
  readEntriesOf(sql, [cohortId]);

export const readEntriesOf = (sql: Sql, cohortIds: string[]): Promise<LedgerEntry[]> =>
  sql('ledger_entry as l')
    .whereIn('l.cohortId', cohortIds)
    .orderBy(['l.onDate', 'l.seq'])
    .select({ ...COLUMNS, reversedBy: sql.raw('null') });

/** The ledger as people read it, oldest first, with the running count. */
export async function readLedger(sql: Sql, cohortId: string): Promise<EntryRow[]> {
  const rows: (LedgerEntry & Omit<EntryRow, 'liveAfter'>)[] = await sql('ledger_entry as l')
    .leftJoin('ledger_entry as r', 'r.reverses', 'l.id')
    .leftJoin('person as p', 'p.id', 'l.personId')
    .where({ 'l.cohortId': cohortId })
    .orderBy(['l.onDate', 'l.seq'])
    .select({ ...COLUMNS, by: 'p.name' });
  const stands: LedgerEntry[] = [];
  return rows.map((row) => {
    const counts = row.type !== 'reversed' && !row.reversedBy;
    if (counts) stands.push(row);
    return { ...row, by: row.by ?? '', liveAfter: counts ? fold(stands).live : null };
  });
}

export const cohortOfEntry = async (sql: Sql, entryId: string): Promise<string> => {
  const row = await sql('ledger_entry').where({ id: entryId }).first('cohortId');
  if (!row) throw notFound('entry');
  return row.cohortId;
};

/** Every cohort that undoing an entry touches: both halves of a split go together. */
export async function cohortsOfEntry(sql: Sql, entryId: string): Promise<string[]> {
  const own = await sql('ledger_entry').where({ id: entryId }).first('cohortId', 'transferId');
  if (!own) throw notFound('entry');
  if (own.transferId === null) return [own.cohortId];
  return sql('ledger_entry').where({ transferId: own.transferId }).distinct().pluck('cohort_id');
}

/** Undoes an entry by a reversal; both halves of a split go together. Returns the cohorts touched. */
export async function reverseEntries(
  sql: Sql,
  id: string,
  entryId: string,
  personId: string,
  note: string,
): Promise<string[]> {
  const entry = await sql('ledger_entry').where({ id: entryId }).first();
  if (!entry) throw notFound('entry');
  if (entry.type === 'reversed') throw conflict('A reversal cannot be reversed: enter the count again.');
  if (await sql('tray_cell_entry').where({ entryId: entryId }).first('cell'))
    throw conflict('This entry counts cells of a tray: mark the cells instead.');
  const both = entry.transferId
    ? await sql('ledger_entry').where({ transferId: entry.transferId }).whereNot('type', 'reversed')
    : [entry];
  await insertEntries(
    sql,
    both.map((e: { id: string; cohortId: string; onDate: string; count: number }) => ({
      id: e.id === entryId ? id : randomUUID(),
      cohortId: e.cohortId,
      type: 'reversed' as const,
      on: e.onDate,
      count: e.count,
      reverses: e.id,
      transferId: entry.transferId,
      note,
      personId,
    })),
  );
  return both.map((e: { cohortId: string }) => e.cohortId);
}

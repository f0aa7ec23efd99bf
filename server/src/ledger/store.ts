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
      cohort_id: e.cohortId,
      type: e.type,
      on_date: e.on,
      to_date: e.to ?? e.on,
      count: e.count,
      unit: e.unit ?? null,
      into_count: e.into ?? null,
      cause: e.cause ?? null,
      note: e.note ?? '',
      reverses: e.reverses ?? null,
      transfer_id: e.transferId ?? null,
      record_id: e.recordId ?? null,
      damage_id: e.damageId ?? null,
      person_id: e.personId ?? null,
      ...(e.seq === undefined ? {} : { seq: e.seq }),
    })),
  );
}

const COLUMNS = {
  id: 'l.id',
  cohortId: 'l.cohort_id',
  type: 'l.type',
  on: 'l.on_date',
  seq: 'l.seq',
  count: 'l.count',
  into: 'l.into_count',
  unit: 'l.unit',
  cause: 'l.cause',
  note: 'l.note',
  reverses: 'l.reverses',
  reversedBy: 'r.id',
  recordId: 'l.record_id',
  transferId: 'l.transfer_id',
  damageId: 'l.damage_id',
  at: 'l.at',
};

export const readEntries = (sql: Sql, cohortId: string): Promise<LedgerEntry[]> =>
  readEntriesOf(sql, [cohortId]);

export const readEntriesOf = (sql: Sql, cohortIds: string[]): Promise<LedgerEntry[]> =>
  sql('ledger_entry as l')
    .whereIn('l.cohort_id', cohortIds)
    .orderBy(['l.on_date', 'l.seq'])
    .select({ ...COLUMNS, reversedBy: sql.raw('null') });

/** The ledger as people read it, oldest first, with the running count. */
export async function readLedger(sql: Sql, cohortId: string): Promise<EntryRow[]> {
  const rows: (LedgerEntry & Omit<EntryRow, 'liveAfter'>)[] = await sql('ledger_entry as l')
    .leftJoin('ledger_entry as r', 'r.reverses', 'l.id')
    .leftJoin('person as p', 'p.id', 'l.person_id')
    .where({ 'l.cohort_id': cohortId })
    .orderBy(['l.on_date', 'l.seq'])
    .select({ ...COLUMNS, by: 'p.name' });
  const stands: LedgerEntry[] = [];
  return rows.map((row) => {
    const counts = row.type !== 'reversed' && !row.reversedBy;
    if (counts) stands.push(row);
    return { ...row, by: row.by ?? '', liveAfter: counts ? fold(stands).live : null };
  });
}

export const cohortOfEntry = async (sql: Sql, entryId: string): Promise<string> => {
  const row = await sql('ledger_entry').where({ id: entryId }).first('cohort_id');
  if (!row) throw notFound('entry');
  return row.cohort_id;
};

/** Every cohort that undoing an entry touches: both halves of a split go together. */
export async function cohortsOfEntry(sql: Sql, entryId: string): Promise<string[]> {
  const own = await sql('ledger_entry').where({ id: entryId }).first('cohort_id', 'transfer_id');
  if (!own) throw notFound('entry');
  if (own.transfer_id === null) return [own.cohort_id];
  return sql('ledger_entry').where({ transfer_id: own.transfer_id }).distinct().pluck('cohort_id');
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
  if (await sql('tray_cell_entry').where({ entry_id: entryId }).first('cell'))
    throw conflict('This entry counts cells of a tray: mark the cells instead.');
  const both = entry.transfer_id
    ? await sql('ledger_entry').where({ transfer_id: entry.transfer_id }).whereNot('type', 'reversed')
    : [entry];
  await insertEntries(
    sql,
    both.map((e: { id: string; cohort_id: string; on_date: string; count: number }) => ({
      id: e.id === entryId ? id : randomUUID(),
      cohortId: e.cohort_id,
      type: 'reversed' as const,
      on: e.on_date,
      count: e.count,
      reverses: e.id,
      transferId: entry.transfer_id,
      note,
      personId,
    })),
  );
  return both.map((e: { cohort_id: string }) => e.cohort_id);
}

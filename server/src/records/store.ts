import { keptDetails, type KeptDetails } from '@gonimos/contract/details';
import type { NewRecord, RecordKind, RecordRow } from '@gonimos/contract/records';
import { aboutPart as aboutPartOf } from '../course/store.ts';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import type { Recorded } from '../write/types.ts';

export interface StoredRecord extends Recorded {
  kind: RecordKind | 'undo';
  stepKey: string | null;
  personId: string | null;
  at: Date;
}

export async function findRecord(sql: Sql, id: string): Promise<StoredRecord> {
  const row = await sql<StoredRecord>('record').where({ id }).first();
  if (!row || row.kind === 'undo') throw notFound('record');
  return row;
}

/** One line of the logbook, whatever it tells of. */
export interface NewLine {
  id: string;
  cohortId: string;
  kind: RecordKind | 'undo';
  stepKey: string | null;
  on: string;
  personId: string | null;
  done?: number | null;
  finished?: boolean;
  minutes?: number | null;
  until?: string | null;
  reason?: string | null;
  note?: string;
  nextTime?: string;
  /** the record it takes back */
  undoes?: string;
  /** the record it is written with, and taken back with */
  follows?: string | null;
  details?: KeptDetails;
}

/** Adds lines to the logbook; what a subject keeps is checked by its own schema. */
export async function insertLines(sql: Sql, lines: readonly NewLine[]): Promise<void> {
  if (lines.length === 0) return;
  await sql('record').insert(
    lines.map((l) => ({
      id: l.id,
      cohortId: l.cohortId,
      kind: l.kind,
      stepKey: l.stepKey,
      onDate: l.on,
      personId: l.personId,
      done: l.done ?? null,
      finished: l.finished ?? true,
      minutes: l.minutes ?? null,
      until: l.until ?? null,
      reason: l.reason ?? null,
      note: l.note ?? '',
      nextTime: l.nextTime ?? '',
      undoes: l.undoes ?? null,
      follows: l.follows ?? null,
      details: JSON.stringify(keptDetails.validateSync(l.details ?? {})),
    })),
  );
}

/** Adds a record of work, or a look between steps, with what the subjects keep of it. */
export const insertWork = (
  sql: Sql,
  r: NewRecord,
  details: KeptDetails,
  personId: string | null,
  follows: string | null = null,
): Promise<void> =>
  insertLines(sql, [{ ...r, kind: r.stepKey === null ? 'look' : 'work', details, personId, follows }]);

/** Plants the same step was done on before, in parts. */
export async function doneBefore(
  sql: Sql,
  r: Pick<NewRecord, 'id' | 'cohortId' | 'stepKey'>,
): Promise<number> {
  if (r.stepKey === null) return 0;
  const row = await sql('standing_record')
    .where({ cohortId: r.cohortId, stepKey: r.stepKey, kind: 'work', finished: false })
    .whereNot('id', r.id)
    .whereRaw("NOT details \\? 'cuttings'")
    .sum({ done: 'done' })
    .first<{ done: string | null }>();
  return Number(row.done ?? 0);
}

/**
 * Plants a step is about where it is aftercare of work that was done on a part of them only; null: about all. It is
 * done part by part itself, until that work is finished.
 */
export async function aboutPart(
  sql: Sql,
  r: Pick<NewRecord, 'cohortId' | 'stepKey'>,
): Promise<number | null> {
  if (r.stepKey === null) return null;
  const rows: { about: number | null }[] = await sql('course_step as s')
    .where({ 's.cohortId': r.cohortId, 's.key': r.stepKey })
    .select({ about: aboutPartOf(sql) });
  return rows[0]?.about ?? null;
}

export const insertUndo = (
  sql: Sql,
  id: string,
  undone: StoredRecord,
  today: string,
  personId: string | null,
): Promise<void> =>
  insertLines(sql, [
    {
      id,
      cohortId: undone.cohortId,
      kind: 'undo',
      stepKey: undone.stepKey,
      on: today,
      personId,
      undoes: undone.id,
    },
  ]);

/** What was written with a record and still stands. */
export const writtenWith = (sql: Sql, id: string): Promise<StoredRecord[]> =>
  sql<StoredRecord>('standing_record').whereRaw('follows = ?', [id]).select('*');

/** Cohorts in whose ledger these records stand. */
export async function cohortsEntered(sql: Sql, recordIds: readonly string[]): Promise<string[]> {
  const rows = await sql('ledger_entry').whereIn('recordId', recordIds).distinct('cohortId');
  return rows.map((r) => r.cohortId);
}

/** Everything recorded of a cohort, newest first. */
export const readRecords = (sql: Sql, cohortId: string): Promise<RecordRow[]> =>
  sql('record as r')
    .leftJoin('record as u', 'u.undoes', 'r.id')
    .leftJoin('person as p', 'p.id', 'r.personId')
    .leftJoin('course_step as s', (on) => on.on('s.cohortId', 'r.cohortId').andOn('s.key', 'r.stepKey'))
    .where({ 'r.cohortId': cohortId })
    .whereNot('r.kind', 'undo')
    .orderBy([
      { column: 'r.onDate', order: 'desc' },
      { column: 'r.seq', order: 'desc' },
    ])
    .select({
      id: 'r.id',
      kind: 'r.kind',
      stepKey: 'r.stepKey',
      on: 'r.onDate',
      done: 'r.done',
      minutes: 'r.minutes',
      until: 'r.until',
      details: 'r.details',
      nextTime: 'r.nextTime',
      at: 'r.at',
      by: sql.raw("coalesce(p.name, '')"),
      title: sql.raw(
        "coalesce(s.title, r.details -> 'missed' ->> 'title', CASE r.kind WHEN 'released' THEN 'Released from quarantine' ELSE 'A look' END)",
      ),
      note: sql.raw("CASE WHEN r.kind IN ('put off', 'moved') THEN r.reason ELSE r.note END"),
      undone: sql.raw('u.id IS NOT NULL'),
    });

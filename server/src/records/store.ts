import type { NewRecord, PutOffStep, RecordRow } from '@gonimos/contract/records';
import type { CheckedBatch } from '@gonimos/core/cuttings';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

const mean = (values: number[]): number | null =>
  values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;

export interface StoredRecord {
  id: string;
  cohort_id: string;
  kind: RecordRow['kind'] | 'undo';
  step_key: string | null;
  container_before: string | null;
  place_before: string | null;
  taxon_before: string | null;
  person_id: string | null;
  at: Date;
}

export async function findRecord(sql: Sql, id: string): Promise<StoredRecord> {
  const row = await sql<StoredRecord>('record').where({ id }).first();
  if (!row || row.kind === 'undo') throw notFound('record');
  return row;
}

/** How things stood when the work was recorded. */
export interface Before {
  container: string | null;
  placeId: string | null;
  /** the model's chance of living, where the work is severe */
  odds: number | null;
  /** two-week look: how many of those looked at live */
  alive: { alive: number; of: number } | null;
  /** cutting check: what each tray showed */
  batches?: CheckedBatch[];
  /** written by the marks of a tray, not by hand */
  fromCells?: boolean;
  /** written with another record, and taken back with it */
  follows?: string;
}
export const NOTHING_BEFORE: Before = { container: null, placeId: null, odds: null, alive: null };

export const insertWork = (
  sql: Sql,
  r: NewRecord,
  before: Before,
  personId: string | null,
): Promise<unknown> =>
  sql('record').insert({
    id: r.id,
    cohort_id: r.cohortId,
    kind: r.stepKey === null ? 'look' : 'work',
    step_key: r.stepKey,
    on_date: r.on,
    done: r.done,
    finished: r.finished,
    container: r.container,
    container_before: before.container,
    ...{ place_id: r.placeId ?? null, place_before: before.placeId, odds: before.odds, sure: r.sure },
    ...{ alive: before.alive?.alive ?? null, alive_of: before.alive?.of ?? null },
    ...{ buds_looked: r.buds?.looked ?? null, buds_ready: r.buds?.ready ?? null },
    caliper: mean(r.calipers),
    height: mean(r.heights),
    sizes: JSON.stringify({ calipers: r.calipers, heights: r.heights }),
    rooted: r.rooted,
    again: r.again,
    batches: before.batches ? JSON.stringify(before.batches) : null,
    ...{ from_cells: before.fromCells ?? false, follows: before.follows ?? null },
    ...{ vigour: r.vigour, minutes: r.minutes, low_growth: r.lowGrowth },
    note: r.note,
    next_time: r.nextTime,
    person_id: personId,
  });

export const insertPutOff = (sql: Sql, p: PutOffStep, today: string, personId: string): Promise<unknown> =>
  sql('record').insert({
    id: p.id,
    cohort_id: p.cohortId,
    kind: 'put off',
    step_key: p.stepKey,
    on_date: today,
    until: p.until,
    reason: p.reason,
    person_id: personId,
  });

export const insertUndo = (
  sql: Sql,
  id: string,
  undone: StoredRecord,
  today: string,
  personId: string,
): Promise<unknown> =>
  sql('record').insert({
    id,
    cohort_id: undone.cohort_id,
    kind: 'undo',
    step_key: undone.step_key,
    undoes: undone.id,
    on_date: today,
    person_id: personId,
  });

/** What was written with a record and still stands. */
export const followersOf = (sql: Sql, id: string): Promise<StoredRecord[]> =>
  sql<StoredRecord>('record as f')
    .whereRaw('f.follows = ?', [id])
    .whereNotExists(sql('record as u').whereRaw('u.undoes = f.id'))
    .select('f.*');

/** Everything recorded of a cohort, newest first. */
export const readRecords = (sql: Sql, cohortId: string): Promise<RecordRow[]> =>
  sql('record as r')
    .leftJoin('record as u', 'u.undoes', 'r.id')
    .leftJoin('person as p', 'p.id', 'r.person_id')
    .leftJoin('course_step as s', (on) => on.on('s.cohort_id', 'r.cohort_id').andOn('s.key', 'r.step_key'))
    .where({ 'r.cohort_id': cohortId })
    .whereNot('r.kind', 'undo')
    .orderBy([
      { column: 'r.on_date', order: 'desc' },
      { column: 'r.seq', order: 'desc' },
    ])
    .select({
      ...{ id: 'r.id', kind: 'r.kind', stepKey: 'r.step_key', on: 'r.on_date', done: 'r.done' },
      ...{ caliper: 'r.caliper', height: 'r.height', vigour: 'r.vigour', minutes: 'r.minutes' },
      ...{ container: 'r.container', nextTime: 'r.next_time', at: 'r.at', until: 'r.until' },
      ...{ found: 'r.found', decision: 'r.decision', causes: 'r.causes', checkOn: 'r.check_on' },
      ...{ again: 'r.again', batches: 'r.batches' },
      ...{ sure: 'r.sure', odds: 'r.odds', alive: 'r.alive', aliveOf: 'r.alive_of' },
      by: sql.raw("coalesce(p.name, '')"),
      title: sql.raw(
        "coalesce(s.title, CASE r.kind WHEN 'released' THEN 'Released from quarantine' ELSE 'A look' END)",
      ),
      note: sql.raw("CASE WHEN r.kind IN ('put off', 'moved') THEN r.reason ELSE r.note END"),
      undone: sql.raw('u.id IS NOT NULL'),
    });

import type { NewRecord, PutOffStep, RecordRow } from '@gonimos/contract/records';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

const mean = (values: number[]): number | null =>
  values.length === 0 ? null : values.reduce((a, b) => a + b, 0) / values.length;

export interface StoredRecord {
  id: string;
  cohort_id: string;
  kind: 'work' | 'look' | 'put off' | 'undo';
  step_key: string | null;
  container_before: string | null;
  person_id: string | null;
  at: Date;
}

export async function findRecord(sql: Sql, id: string): Promise<StoredRecord> {
  const row = await sql<StoredRecord>('record').where({ id }).first();
  if (!row || row.kind === 'undo') throw notFound('record');
  return row;
}

export const insertWork = (
  sql: Sql,
  r: NewRecord,
  containerBefore: string | null,
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
    container_before: containerBefore,
    caliper: mean(r.calipers),
    height: mean(r.heights),
    sizes: JSON.stringify({ calipers: r.calipers, heights: r.heights }),
    rooted: r.rooted,
    vigour: r.vigour,
    minutes: r.minutes,
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
      ...{ container: 'r.container', nextTime: 'r.next_time', at: 'r.at' },
      by: sql.raw("coalesce(p.name, '')"),
      title: sql.raw("coalesce(s.title, 'A look')"),
      note: sql.raw("CASE r.kind WHEN 'put off' THEN r.reason ELSE r.note END"),
      undone: sql.raw('u.id IS NOT NULL'),
    });

import type { PictureRow } from '@gonimos/contract/pictures';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';

interface NewPicture {
  id: string;
  cohortId: string;
  recordId: string | null;
  on: string;
  width: number;
  height: number;
  bytes: Buffer;
  thumb: Buffer;
  personId: string;
}

/** Sent again under the same id it is kept once. */
export const insertPicture = (sql: Sql, p: NewPicture): Promise<unknown> =>
  sql('picture')
    .insert({
      ...{ id: p.id, cohort_id: p.cohortId, record_id: p.recordId, on_date: p.on, person_id: p.personId },
      ...{ width: p.width, height: p.height, bytes: p.bytes, thumb: p.thumb },
    })
    .onConflict('id')
    .ignore();

export const listPictures = (sql: Sql, cohortId: string): Promise<PictureRow[]> =>
  sql('picture as x')
    .leftJoin('person as p', 'p.id', 'x.person_id')
    .where('x.cohort_id', cohortId)
    .orderBy([
      { column: 'x.on_date', order: 'desc' },
      { column: 'x.at', order: 'desc' },
    ])
    .select({
      ...{ id: 'x.id', cohortId: 'x.cohort_id', recordId: 'x.record_id', on: 'x.on_date' },
      ...{ width: 'x.width', height: 'x.height', note: 'x.note', by: sql.raw("coalesce(p.name, '')") },
    });

export async function readPicture(sql: Sql, id: string, thumb: boolean): Promise<Buffer> {
  const row = await sql('picture')
    .where({ id })
    .first({ bytes: thumb ? 'thumb' : 'bytes' });
  if (!row) throw notFound('picture');
  return row.bytes;
}

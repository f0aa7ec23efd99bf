import type { PictureRow } from '@gonimos/contract/pictures';
import { sure } from '../db/sure.ts';
import type { Sql } from '../db/index.ts';
import { conflict, notFound } from '../http/problem.ts';

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

/** Sent again under the same id it is kept once; another picture under that id is refused. */
export async function insertPicture(sql: Sql, p: NewPicture): Promise<void> {
  const kept = await sql('picture')
    .insert({
      id: p.id,
      cohortId: p.cohortId,
      recordId: p.recordId,
      onDate: p.on,
      personId: p.personId,
      width: p.width,
      height: p.height,
      bytes: p.bytes,
      thumb: p.thumb,
    })
    .onConflict('id')
    .ignore()
    .returning('id');
  if (kept.length > 0) return;
  const first = await sure(sql('picture').where({ id: p.id }).first('cohortId', 'bytes'));
  if (first.cohortId !== p.cohortId || !p.bytes.equals(first.bytes))
    throw conflict('This id was used before for another picture.');
}

export const listPictures = (sql: Sql, cohortId: string): Promise<PictureRow[]> =>
  sql('picture as x')
    .leftJoin('person as p', 'p.id', 'x.personId')
    .where('x.cohortId', cohortId)
    .orderBy([
      { column: 'x.onDate', order: 'desc' },
      { column: 'x.at', order: 'desc' },
    ])
    .select({
      id: 'x.id',
      cohortId: 'x.cohortId',
      recordId: 'x.recordId',
      on: 'x.onDate',
      width: 'x.width',
      height: 'x.height',
      note: 'x.note',
      by: sql.raw("coalesce(p.name, '')"),
    });

export async function readPicture(sql: Sql, id: string, thumb: boolean): Promise<Buffer> {
  const row = await sql('picture')
    .where({ id })
    .first({ bytes: thumb ? 'thumb' : 'bytes' });
  if (!row) throw notFound('picture');
  return row.bytes;
}

import { notInFuture } from '../nursery/day.ts';
import { lockCohort } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering } from '../write/write.ts';
import {
  cohortOfDrawing,
  insertDrawing,
  updateDrawing,
  withdrawDrawing,
  type DrawingTable,
  type Drawn,
} from './store.ts';

async function notBefore({ trx }: Writing, cohortId: string, on: string): Promise<void> {
  await lockCohort(trx, cohortId);
  await notInFuture(trx, 'on', on);
}

export async function addDrawing(
  w: Writing,
  table: DrawingTable,
  r: Drawn & { id: string; cohortId: string },
): Promise<Written<{ id: string }>> {
  await notBefore(w, r.cohortId, r.on);
  await insertDrawing(w.trx, table, r, w.personId);
  return answering({ id: r.id });
}

export async function changeDrawing(
  w: Writing,
  table: DrawingTable,
  id: string,
  r: Drawn & { version: number },
): Promise<Written<{ id: string; version: number }>> {
  await notBefore(w, await cohortOfDrawing(w.trx, table, id), r.on);
  await updateDrawing(w.trx, table, id, r);
  return answering({ id, version: r.version + 1 });
}

export async function withdraw(
  w: Writing,
  table: DrawingTable,
  id: string,
  version: number,
): Promise<Written<{ id: string }>> {
  await lockCohort(w.trx, await cohortOfDrawing(w.trx, table, id));
  await withdrawDrawing(w.trx, table, id, version);
  return answering({ id });
}

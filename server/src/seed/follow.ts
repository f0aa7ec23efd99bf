import { randomUUID } from 'node:crypto';
import type { NewRecord } from '@gonimos/contract/records';
import { CLEARANCE } from '@gonimos/core/course';
import type { Sql, Trx } from '../db/index.ts';

const openCovers = (sql: Sql, cohortId: string) =>
  sql('protection').where({ cohort_id: cohortId }).whereNull('ended');

/** A cover recorded as a step of the course is the cover of the tray and of the watch list, on and off. */
export async function followCover(
  trx: Trx,
  r: NewRecord,
  operationId: string,
  cohort: { live: number },
  personId: string | null,
): Promise<void> {
  if (!r.finished) return;
  if (operationId === 'guard-on' && !(await openCovers(trx, r.cohortId).first('id')))
    await trx('protection').insert({
      ...{ id: randomUUID(), cohort_id: r.cohortId, from_date: r.on, record_id: r.id, person_id: personId },
      ...{ kind: cohort.live > 0 ? 'guard' : 'mesh', clearance: CLEARANCE, note: '' },
    });
  if (operationId === 'guard-off')
    await openCovers(trx, r.cohortId)
      .where('from_date', '<=', r.on)
      .update({ ended: r.on, ended_by: r.id, version: trx.raw('version + 1') });
}

/** A record taken back takes its cover with it, or puts it on again. */
export async function takeBackCover(trx: Trx, recordId: string): Promise<void> {
  await trx('protection').where({ record_id: recordId }).delete();
  await trx('protection')
    .where({ ended_by: recordId })
    .update({ ended: null, ended_by: null, version: trx.raw('version + 1') });
}

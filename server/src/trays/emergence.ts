import { randomUUID } from 'node:crypto';
import { operationsThat } from '@gonimos/core/operations';
import { workOn } from '@gonimos/contract/records';
import { sure } from '../db/sure.ts';
import type { Trx } from '../db/index.ts';
import { todayAt, readNursery } from '../nursery/store.ts';
import { insertUndo, insertWork, type StoredRecord } from '../records/store.ts';

/** Days on which seed of a cohort came up or was lost before it did, as they stand; the last of them. */
async function lastShown(trx: Trx, cohortId: string): Promise<string> {
  const row = await trx('ledger_entry as l')
    .leftJoin('ledger_entry as r', 'r.reverses', 'l.id')
    .where({ 'l.cohortId': cohortId })
    .whereIn('l.type', ['emerged', 'lost_before_emergence'])
    .whereNull('r.id')
    .max({ on: 'l.onDate' })
    .first();
  return row!.on as string;
}

const countedByCells = (trx: Trx, cohortId: string): Promise<StoredRecord | undefined> =>
  trx<StoredRecord>('standing_record')
    .whereRaw("cohort_id = ? AND (details -> 'trays' -> 'fromCells')::boolean", [cohortId])
    .first();

/**
 * Emergence is counted once no seed is left to show: the cells have told it, and nobody has to say it again.
 * A correction that leaves seed takes the count back. True when the count was made now.
 */
export async function followEmergence(trx: Trx, cohortId: string, personId: string | null): Promise<boolean> {
  const { pending } = await sure(trx('cohort').where({ id: cohortId }).first('pending'));
  if (pending > 0) {
    const counted = await countedByCells(trx, cohortId);
    if (counted) await insertUndo(trx, randomUUID(), counted, todayAt(await readNursery(trx)), personId);
    return false;
  }
  const step = await trx('course_step')
    .where({ cohortId: cohortId, status: 'planned', ready: true })
    .whereIn(
      'operation',
      operationsThat((o) => o.asks.includes('emergence')),
    )
    .first('key');
  if (!step) return false;
  const record = workOn({
    id: randomUUID(),
    cohortId,
    stepKey: step.key,
    on: await lastShown(trx, cohortId),
    note: 'Counted in the cells of its trays.',
  });
  await insertWork(trx, record, { trays: { fromCells: true } }, personId);
  return true;
}

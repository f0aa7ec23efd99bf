import type { MakeBatch, MixBatch } from '@gonimos/contract/mixes';
import { batchOf } from '@gonimos/core/mixes';
import type { Mix } from '@gonimos/contract/mixes';
import type { Sql, Trx } from '../db/index.ts';
import { conflict, notFound, wrongField } from '../http/problem.ts';

/** Less than this of a batch is what sticks to the bin, litres. */
const DREGS = 0.05;

/** What standing records took of each batch. */
const LEFT = `b.litres - coalesce((
  SELECT sum(u.litres) FROM mix_batch_use u JOIN standing_record r ON r.id = u.record_id WHERE u.batch_id = b.id
), 0)`;

/** Batches of which something is left, the oldest first. */
export async function readBatches(sql: Sql): Promise<MixBatch[]> {
  return sql('mix_batch as b')
    .leftJoin('person as p', 'p.id', 'b.personId')
    .where({ 'b.withdrawn': false })
    .whereRaw(`${LEFT} > ?`, [DREGS])
    .orderBy('b.seq')
    .select({
      id: 'b.id',
      mix: 'b.mix',
      madeOn: 'b.madeOn',
      litres: 'b.litres',
      left: sql.raw(LEFT),
      parts: 'b.parts',
      note: 'b.note',
      by: 'p.name',
    });
}

/** Keeps a batch with what went in by the recipe of today. */
export async function writeBatch(trx: Trx, b: MakeBatch, mix: Mix, personId: string | null): Promise<void> {
  const parts = batchOf(mix, b.litres).map((p) => ({ component: p.component.id, litres: p.bought }));
  await trx('mix_batch').insert({
    id: b.id,
    mix: b.mix,
    madeOn: b.on,
    litres: b.litres,
    parts: JSON.stringify(parts),
    note: b.note,
    personId,
  });
}

/** Takes a batch for one write alone, and says what is left of it; null where there is no such batch. */
async function lockBatch(
  trx: Trx,
  id: string,
): Promise<{ mix: string; left: number; litres: number } | null> {
  const row = await trx('mix_batch').where({ id, withdrawn: false }).forUpdate().first('mix', 'litres');
  if (!row) return null;
  const found = await trx('mix_batch as b')
    .where({ id })
    .select<{ left: number }[]>(trx.raw(`${LEFT} AS left`));
  const [{ left }] = found;
  return { mix: row.mix, litres: row.litres, left };
}

/** Work takes from a batch: no more than is left of it. */
export async function takeFromBatch(
  trx: Trx,
  taken: { recordId: string; batchId: string; mix: string; litres: number },
): Promise<void> {
  const { batchId, recordId, litres, mix } = taken;
  const batch = await lockBatch(trx, batchId);
  if (!batch) throw wrongField('details.mix.batch', 'is no batch of this nursery');
  if (batch.mix !== mix) throw wrongField('details.mix.batch', 'is a batch of another mix');
  if (litres > batch.left + DREGS)
    throw wrongField('details.mix.litres', `is more than is left of the batch, ${Math.round(batch.left)} L`);
  await trx('mix_batch_use').insert({ recordId, batchId, litres });
}

/** A batch that was told in error is withdrawn as long as nothing was taken from it. */
export async function withdraw(trx: Trx, id: string): Promise<string> {
  const batch = await lockBatch(trx, id);
  if (!batch) throw notFound('There is no such batch.');
  if (batch.left < batch.litres)
    throw conflict('Something was taken from this batch.', await readBatches(trx));
  await trx('mix_batch').where({ id }).update({ withdrawn: true });
  return batch.mix;
}

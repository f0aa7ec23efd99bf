import type { EndProtection, NewProtection, NewSeedEvent, NewSeedLot } from '@gonimos/contract/seed';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { hemisphereOf } from '@gonimos/core/season';
import { notFound, wrongField } from '../http/problem.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering, touching } from '../write/write.ts';
import { guardDone, guardOff } from './service.ts';
import { cohortsOf, endProtection, insertLot, insertProtection, insertSeedEvent } from './store.ts';

interface Entered {
  id: string;
}

/** Enters a seed lot. */
export async function enterLot({ trx }: Writing, lot: NewSeedLot): Promise<Written<Entered>> {
  const nursery = await readNursery(trx);
  const { from } = readUncertainDate(lot.harvested, hemisphereOf(nursery.latitude))!;
  await notInFuture(trx, 'harvested', from);
  if (lot.parentId) {
    const parent = await trx('cohort').where({ id: lot.parentId }).first('taxonId');
    if (!parent) throw wrongField('parentId', 'is not there');
    if (parent.taxonId !== lot.taxonId) throw wrongField('parentId', 'is of another kind of plant');
  }
  await insertLot(trx, lot, from);
  return answering({ id: lot.id });
}

/** Takes down what was done to a lot: soaked, to warm, to cold, out, a viability test, thrown away. */
export async function tellOfLot(
  { trx, personId }: Writing,
  lotId: string,
  e: NewSeedEvent,
): Promise<Written<Entered>> {
  const lot = await trx('seed_lot').where({ id: lotId }).first('harvestedFrom');
  if (!lot) throw notFound('seed lot');
  await notInFuture(trx, 'on', e.on);
  if (e.on < lot.harvestedFrom) throw wrongField('on', `is before the harvest, ${lot.harvestedFrom}`);
  if (e.kind === 'test' && e.tested === null)
    throw wrongField('tested', 'is missing: how many seeds were tried');
  if (e.kind === 'test' && e.sound === null) throw wrongField('sound', 'is missing: how many were sound');
  if (e.kind !== 'test' && e.tested !== null) throw wrongField('tested', 'goes with a test only');
  await insertSeedEvent(trx, lotId, e, personId);
  // when a sowing comes up hangs on the cold its seed had
  const sowings = e.kind === 'to cold' ? await cohortsOf(trx, lotId) : [];
  return touching(sowings, 'more was told of the seed', { id: e.id });
}

/** A cover goes on plants or seed. */
export async function coverPlants(
  w: Writing,
  cohortId: string,
  cover: NewProtection,
): Promise<Written<Entered>> {
  const { trx, personId } = w;
  await lockCohort(trx, cohortId);
  await notInFuture(trx, 'from', cover.from);
  await insertProtection(trx, cohortId, cover, personId);
  await guardDone(w, cohortId, cover);
  return touching([cohortId], 'a cover went on', { id: cover.id });
}

/** A cover comes off. */
export async function uncoverPlants(
  w: Writing,
  coverId: string,
  off: EndProtection,
): Promise<Written<Entered>> {
  const { trx } = w;
  await notInFuture(trx, 'ended', off.ended);
  const row = await trx('protection').where({ id: coverId }).first('fromDate', 'cohortId');
  if (!row) throw notFound('protection');
  await lockCohort(trx, row.cohortId);
  if (off.ended < row.fromDate) throw wrongField('ended', `is before it went on, ${row.fromDate}`);
  await endProtection(trx, coverId, off.version, off.ended);
  await guardOff(w, row.cohortId, coverId, off.ended);
  return touching([row.cohortId], 'a cover came off', { id: coverId });
}

import { randomUUID } from 'node:crypto';
import type { CheckOutcome, CuttingCheck } from '@gonimos/contract/cuttings';
import type { Person } from '@gonimos/contract/people';
import { workOn } from '@gonimos/contract/records';
import { checkFollows, totalsOf } from '@gonimos/core/cuttings';
import { operation } from '@gonimos/core/operations';
import { splitCohort } from '../cohorts/service.ts';
import { replan } from '../course/replan.ts';
import type { Sql, Trx } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { outcomeOf } from '../records/outcome.ts';
import { lockCohort } from '../cohorts/lock.ts';
import { openStep, recordWork } from '../records/service.ts';
import { insertWork, NOTHING_BEFORE } from '../records/store.ts';

const opensOf = async (sql: Sql, cohortId: string, key: string): Promise<string | null> =>
  (await sql('course_step').where({ cohort_id: cohortId, key }).first('opens'))?.opens ?? null;

/** The potting that follows a check, once it waits for nothing. */
const nextPotting = (sql: Sql, cohortId: string) =>
  sql('course_step')
    .where({ cohort_id: cohortId, status: 'planned', ready: true })
    .whereIn('operation', ['pot-on', 'slip-pot'])
    .whereNotNull('container')
    .orderBy('seq')
    .first<{ key: string; container: string } | undefined>('key', 'container');

/**
 * Takes down a check of cuttings and all that follows from it: the dead leave the ledger, what has callus only
 * goes back and is looked at again when warmth says so, the rooted go on and are potted.
 */
export async function checkCuttings(trx: Trx, c: CuttingCheck, person: Person): Promise<CheckOutcome> {
  const cohort = await lockCohort(trx, c.cohortId);
  await notInFuture(trx, 'on', c.on);
  if (c.on < cohort.started_from) throw wrongField('on', `is before the start, ${cohort.started_from}`);
  const step = await openStep(trx, c.cohortId, c.stepKey);
  if (!operation(step.operation).asks.includes('rooted'))
    throw wrongField('stepKey', 'is no check of cuttings');
  if (!step.ready) throw wrongField('stepKey', 'waits for a step before it that is not done');
  const t = totalsOf(c.batches);
  if (t.looked === 0) throw wrongField('batches', 'hold nothing: how many are rooted, have callus, are dead');
  if (t.looked > cohort.live) throw wrongField('batches', `hold ${t.looked}, there are ${cohort.live}`);
  const waiting = cohort.live - t.dead - t.rooted;
  const follows = checkFollows({ ...t, callus: waiting });
  const parts = follows.kind === 'both' && c.part !== null && c.part !== undefined;
  if (c.part && !parts) throw wrongField('part', 'asks for both rooted cuttings and callus');
  const over = follows.kind === 'over' || follows.kind === 'none-left' || parts;
  const found = t.callus > 0 ? `callus only on ${waiting}` : `${waiting} not looked at yet`;
  const title = { cohortId: c.cohortId, stepKey: c.stepKey, on: c.on };
  // moving from water into mix is the check and the potting in one
  const moves = operation(step.operation).asks.includes('container');
  const into = over && moves && t.rooted > 0 ? await containerOf(trx, c) : null;

  if (parts) {
    const { place_id: placeId } = cohort;
    const off = {
      ...{ id: randomUUID(), newId: c.part!.newId, newCode: c.part!.newCode },
      placeId,
      count: waiting,
    };
    await splitCohort(trx, c.cohortId, { ...off, note: `Callus only on ${c.on}: stuck again.` }, person);
    await insertWork(
      trx,
      workOn({ ...title, id: randomUUID(), cohortId: c.part!.newId, finished: false, again: found }),
      NOTHING_BEFORE,
      person.id,
    );
    await replan(trx, [c.part!.newId], 'callus was stuck again');
  }
  await insertWork(
    trx,
    workOn({
      ...{ ...title, id: c.id, done: t.looked, rooted: t.rooted, finished: over, again: over ? null : found },
      ...{ container: into, minutes: c.minutes, note: c.note },
    }),
    { ...NOTHING_BEFORE, container: into ? cohort.container : null, batches: c.batches },
    person.id,
  );
  if (t.dead > 0)
    await insertEntries(trx, [
      {
        ...{ id: randomUUID(), cohortId: c.cohortId, type: 'lost', on: c.on, count: t.dead, cause: c.cause },
        ...{ recordId: c.id, note: 'found at a check of cuttings', personId: person.id },
      },
    ]);
  if (into) await pot(trx, c, t.rooted, into, person);
  let outcome = await outcomeOf(trx, c.cohortId, c.id, `‘${step.title}’ was recorded`);
  let potted = into ? t.rooted : 0;
  if (c.potNow && over && !into && t.rooted > 0) {
    const next = await nextPotting(trx, c.cohortId);
    if (!next) throw wrongField('potNow', 'cannot be: no potting follows this check');
    const work = { id: randomUUID(), cohortId: c.cohortId, stepKey: next.key, on: c.on, done: t.rooted };
    outcome = {
      ...(await recordWork(trx, workOn({ ...work, container: next.container }), person, c.id)),
      recordId: c.id,
    };
    potted = t.rooted;
  }
  const waits = parts ? c.part!.newId : over ? null : c.cohortId;
  return {
    ...outcome,
    ...{ rooted: t.rooted, callus: waiting, dead: t.dead, potted },
    againOn: waits === null ? null : await opensOf(trx, waits, c.stepKey),
    partedTo: parts ? c.part!.newCode : null,
  };
}

async function containerOf(sql: Sql, c: CuttingCheck): Promise<string | null> {
  const step = await sql('course_step').where({ cohort_id: c.cohortId, key: c.stepKey }).first('container');
  return step?.container ?? null;
}

async function pot(trx: Trx, c: CuttingCheck, count: number, into: string, person: Person): Promise<void> {
  await insertEntries(trx, [
    {
      ...{ id: randomUUID(), cohortId: c.cohortId, type: 'potted', on: c.on, count, recordId: c.id },
      personId: person.id,
    },
  ]);
  await trx('cohort').where({ id: c.cohortId }).update({ container: into });
}

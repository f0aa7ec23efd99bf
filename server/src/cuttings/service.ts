import { randomUUID } from 'node:crypto';
import type { CheckOutcome, CuttingCheck } from '@gonimos/contract/cuttings';
import type { KeptDetails } from '@gonimos/contract/details';
import { workOn } from '@gonimos/contract/records';
import { checkFollows, totalsOf } from '@gonimos/core/cuttings';
import { operation, operationsThat } from '@gonimos/core/operations';
import { splitCohort } from '../cohorts/service.ts';
import type { Sql } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { lockCohort } from '../write/lock.ts';
import { readyStep } from '../course/open.ts';
import { outcomeOf } from '../course/outcome.ts';
import { recordWork } from '../records/service.ts';
import { insertWork } from '../records/store.ts';
import type { Writing, Written } from '../write/types.ts';

const opensOf = async (sql: Sql, cohortId: string, key: string): Promise<string | null> =>
  (await sql('course_step').where({ cohortId: cohortId, key }).first('opens'))?.opens ?? null;

/** The potting that follows a check, once it waits for nothing. */
const nextPotting = (sql: Sql, cohortId: string) =>
  sql('course_step')
    .where({ cohortId: cohortId, status: 'planned', ready: true })
    .whereIn(
      'operation',
      operationsThat((o) => o.asks.includes('container') && o.lane === 'container'),
    )
    .whereNotNull('container')
    .orderBy('seq')
    .first<{ key: string; container: string } | undefined>('key', 'container');

/** A check as it is taken down: what the trays held, and what follows from it. */
interface Check {
  c: CuttingCheck;
  rooted: number;
  dead: number;
  looked: number;
  /** callus, and what was not looked at yet */
  waiting: number;
  /** callus goes on as a cohort of its own */
  parts: boolean;
  /** the check is done: what stays in the cohort goes on */
  over: boolean;
  found: string;
}

function checkOf(c: CuttingCheck, live: number): Check {
  const t = totalsOf(c.batches);
  if (t.looked === 0) throw wrongField('batches', 'hold nothing: how many are rooted, have callus, are dead');
  if (t.looked > live) throw wrongField('batches', `hold ${t.looked}, there are ${live}`);
  const waiting = live - t.dead - t.rooted;
  const follows = checkFollows({ ...t, callus: waiting });
  const parts = follows.kind === 'both' && c.part !== null && c.part !== undefined;
  if (c.part && !parts) throw wrongField('part', 'asks for both rooted cuttings and callus');
  return {
    c,
    rooted: t.rooted,
    dead: t.dead,
    looked: t.looked,
    waiting,
    parts,
    over: follows.kind === 'over' || follows.kind === 'none-left' || parts,
    found: t.callus > 0 ? `callus only on ${waiting}` : `${waiting} not looked at yet`,
  };
}

const againLook = (again: string): KeptDetails => ({
  looks: { again, vigour: null, lowGrowth: null, buds: null },
});

/** What has callus only goes on as a cohort of its own, and is looked at again. */
async function partOff(w: Writing, k: Check, placeId: string): Promise<void> {
  const { c } = k;
  const { newId, newCode } = c.part!;
  const note = `Callus only on ${c.on}: stuck again.`;
  await splitCohort(w, c.cohortId, { id: randomUUID(), newId, newCode, placeId, count: k.waiting, note });
  const again = workOn({ id: randomUUID(), cohortId: newId, stepKey: c.stepKey, on: c.on, finished: false });
  await insertWork(w.trx, again, againLook(k.found), w.personId);
  await w.plan(w.trx, [newId], 'callus was stuck again');
}

/**
 * Takes down a check of cuttings and all that follows from it: the dead leave the ledger, what has callus only
 * goes back and is looked at again when warmth says so, the rooted go on and are potted.
 */
export async function checkCuttings(w: Writing, c: CuttingCheck): Promise<Written<CheckOutcome>> {
  const { trx, personId } = w;
  const cohort = await lockCohort(trx, c.cohortId);
  await notInFuture(trx, 'on', c.on);
  if (c.on < cohort.startedFrom) throw wrongField('on', `is before the start, ${cohort.startedFrom}`);
  const step = await readyStep(trx, c.cohortId, c.stepKey);
  const { asks } = operation(step.operation);
  if (!asks.includes('rooted')) throw wrongField('stepKey', 'is no check of cuttings');
  const k = checkOf(c, cohort.live);
  // moving from water into mix is the check and the potting in one
  const moves = k.over && asks.includes('container') && k.rooted > 0;
  const into = moves ? await containerOf(trx, c) : null;

  if (k.parts) await partOff(w, k, cohort.placeId);
  const record = workOn({ ...c, done: k.looked, finished: k.over, details: {} });
  const details: KeptDetails = {
    cuttings: { rooted: k.rooted, batches: c.batches },
    ...(k.over ? {} : againLook(k.found)),
    ...(into ? { potting: { container: into, before: cohort.container } } : {}),
  };
  await insertWork(trx, record, details, personId);
  if (k.dead > 0)
    await insertEntries(trx, [
      {
        id: randomUUID(),
        cohortId: c.cohortId,
        type: 'lost',
        on: c.on,
        count: k.dead,
        cause: c.cause,
        recordId: c.id,
        note: 'found at a check of cuttings',
        personId,
      },
    ]);
  if (into) await pot(w, c, k.rooted, into);
  const cause = `‘${step.title}’ was recorded`;
  const pottedNow = c.potNow && k.over && !into && k.rooted > 0;
  if (pottedNow) await potNext(w, c, k.rooted, cause);
  return {
    touched: [c.cohortId],
    cause,
    answer: async (planned) => {
      const waits = k.parts ? c.part!.newId : k.over ? null : c.cohortId;
      return {
        ...(await outcomeOf(trx, c.cohortId, c.id, planned)),
        rooted: k.rooted,
        callus: k.waiting,
        dead: k.dead,
        potted: into || pottedNow ? k.rooted : 0,
        againOn: waits === null ? null : await opensOf(trx, waits, c.stepKey),
        partedTo: k.parts ? c.part!.newCode : null,
      };
    },
  };
}

/** The rooted are potted at once, by the step that follows the check. */
async function potNext(w: Writing, c: CuttingCheck, count: number, cause: string): Promise<void> {
  await w.plan(w.trx, [c.cohortId], cause);
  const next = await nextPotting(w.trx, c.cohortId);
  if (!next) throw wrongField('potNow', 'cannot be: no potting follows this check');
  const details = { potting: { container: next.container } };
  const work = { id: randomUUID(), cohortId: c.cohortId, stepKey: next.key, on: c.on, done: count, details };
  await recordWork(w, workOn(work), c.id);
}

async function containerOf(sql: Sql, c: CuttingCheck): Promise<string | null> {
  const step = await sql('course_step').where({ cohortId: c.cohortId, key: c.stepKey }).first('container');
  return step?.container ?? null;
}

async function pot({ trx, personId }: Writing, c: CuttingCheck, count: number, into: string): Promise<void> {
  await insertEntries(trx, [
    { id: randomUUID(), cohortId: c.cohortId, type: 'potted', on: c.on, count, recordId: c.id, personId },
  ]);
  await trx('cohort').where({ id: c.cohortId }).update({ container: into });
}

import { randomUUID } from 'node:crypto';
import type { NewRecord, Outcome, PutOffStep } from '@gonimos/contract/records';
import { mayDo } from '../http/route.ts';
import type { Person } from '@gonimos/contract/people';
import { isYearly } from '@gonimos/core/course';
import { operation } from '@gonimos/core/operations';
import type { Sql, Trx } from '../db/index.ts';
import { askBack } from '../http/meant.ts';
import { conflict, Refusal, wrongField } from '../http/problem.ts';
import { insertEntries, type NewLedgerEntry } from '../ledger/store.ts';
import { followLayer } from '../layers/follow.ts';
import { followCover, takeBackCover } from '../seed/follow.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery, readPlace, todayAt } from '../nursery/store.ts';
import { lockCohort } from '../cohorts/lock.ts';
import { stand } from '../cohorts/place.ts';
import { offersFor } from '../starts/goals.ts';
import { standingInTrays } from '../trays/store.ts';
import { outcomeOf } from './outcome.ts';
import { findRecord, followersOf, insertPutOff, insertUndo, insertWork, type StoredRecord } from './store.ts';

/** The step a record is about, if it may still be recorded. */
export async function openStep(trx: Sql, cohortId: string, key: string) {
  const step = await trx('course_step').where({ cohort_id: cohortId, key }).first();
  if (!step) throw wrongField('stepKey', 'is not a step of this course');
  if (step.status === 'done')
    throw conflict(`‘${step.title}’ was recorded meanwhile, for ${step.done_on}.`, {
      status: 'done',
      doneOn: step.done_on,
    });
  if (step.status === 'dropped') throw conflict(`‘${step.title}’ is not part of this course any more.`);
  return step as { title: string; operation: string; ready: boolean; odds: number | null };
}

/** As `openStep`, for setting a day or a week by hand: what the season asks for each year keeps the season's days. */
export function openOwnStep(trx: Sql, cohortId: string, key: string): ReturnType<typeof openStep> {
  if (isYearly(key)) throw wrongField('stepKey', 'is asked for by the season: record it when it is done');
  return openStep(trx, cohortId, key);
}

/** Calipers this many times apart were hardly taken of plants of one cohort. */
const FAR_APART = 20;

function doubtOf(r: NewRecord): string | null {
  for (const [what, values] of [
    ['calipers', r.calipers],
    ['heights', r.heights],
  ] as const) {
    const [least, most] = [Math.min(...values), Math.max(...values)];
    if (values.length > 1 && most > least * FAR_APART)
      return `${what} of ${least} mm and ${most} mm in one cohort`;
  }
  return null;
}

/** Ledger entries that follow from a record; emergence is counted after what never showed. */
function entriesOf(r: NewRecord, live: number, severed: number, personId: string | null): NewLedgerEntry[] {
  const base = { cohortId: r.cohortId, on: r.on, recordId: r.id, personId };
  const entries: NewLedgerEntry[] = [];
  for (const l of r.losses.filter((x) => x.kind === 'lost_before_emergence'))
    entries.push({ ...base, id: l.id, type: 'lost_before_emergence', count: l.count, cause: l.cause });
  if (r.emerged) entries.push({ ...base, id: randomUUID(), type: 'emerged', count: r.emerged });
  if (severed > 0) entries.push({ ...base, id: randomUUID(), type: 'severed', count: severed });
  for (const l of r.losses.filter((x) => x.kind !== 'lost_before_emergence'))
    entries.push({ ...base, id: l.id, type: l.kind, count: l.count, cause: l.cause });
  const gone = entries.reduce((n, e) => n + (e.type === 'lost' || e.type === 'culled' ? e.count : 0), 0);
  const potted = r.done ?? Math.max(0, live + (r.emerged ?? 0) + severed - gone);
  if (r.container && potted > 0) entries.push({ ...base, id: randomUUID(), type: 'potted', count: potted });
  return entries;
}

/** At a look for life, those not counted alive and not lost by a named cause died after the work. */
function withDead(r: NewRecord, live: number): NewRecord['losses'] {
  if (r.alive === null) return r.losses;
  const told = r.losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? 0 : l.count), 0);
  const rest = live - told - r.alive;
  return rest > 0
    ? [...r.losses, { id: randomUUID(), kind: 'lost', count: rest, cause: 'died after work' }]
    : r.losses;
}

/** Work that leaves prunings which may be stuck: chops, and tops cut to balance the roots. */
const PRUNINGS: ReadonlySet<string> = new Set(['chop', 'half-chop', 'cut-back', 'root-correct', 'root-work']);

/** Seed that lies in trays is counted cell by cell, and not once more by a record. */
async function seedOutside(trx: Trx, r: NewRecord, pending: number): Promise<void> {
  const inTrays = (await standingInTrays(trx, r.cohortId)).seed;
  if (inTrays === 0) return;
  const told = r.losses.reduce(
    (n, l) => n + (l.kind === 'lost_before_emergence' ? l.count : 0),
    r.emerged ?? 0,
  );
  const outside = Math.max(0, pending - inTrays);
  if (told > outside)
    throw wrongField('emerged', `is more than the ${outside} outside the trays: mark the cells instead`);
}

/**
 * Records work on a step, or a look between steps, with everything that follows from it. `follows`: the record
 * it is written with and taken back with.
 */
export async function recordWork(
  trx: Trx,
  r: NewRecord,
  person: Person | null,
  follows?: string,
): Promise<Outcome> {
  const cohort = await lockCohort(trx, r.cohortId);
  await notInFuture(trx, 'on', r.on);
  askBack(doubtOf(r), r.meant);
  if (r.on < cohort.started_from) throw wrongField('on', `is before the start, ${cohort.started_from}`);
  let cause = 'a look was recorded';
  let operationId: string | null = null;
  let [odds, looksForLife, severs, prunes]: [number | null, boolean, boolean, boolean] = [
    ...([null, false, false, false] as const),
  ];
  if (r.stepKey !== null) {
    const step = await openStep(trx, r.cohortId, r.stepKey);
    if (!step.ready) throw wrongField('stepKey', 'waits for a step before it that is not done');
    if (operation(step.operation).asks.includes('emergence') && r.emerged === null)
      throw wrongField('emerged', 'is missing: how many are up');
    if (r.emerged !== null) await seedOutside(trx, r, cohort.pending);
    odds = step.odds;
    operationId = step.operation;
    severs = operation(step.operation).asks.includes('severed');
    prunes = PRUNINGS.has(step.operation);
    looksForLife = operation(step.operation).asks.includes('alive');
    cause = `‘${step.title}’ was recorded`;
  }
  if (r.alive !== null && r.alive > cohort.live)
    throw wrongField('alive', `is more than the ${cohort.live} there were`);
  if (r.placeId) await readPlace(trx, r.placeId);
  const losses = withDead(r, cohort.live);
  const lost = losses.reduce((n, l) => n + (l.kind === 'lost' ? l.count : 0), 0);
  await insertWork(
    trx,
    r,
    {
      container: r.container ? cohort.container : null,
      placeId: r.placeId ? cohort.place_id : null,
      ...{ odds, follows },
      alive: looksForLife ? { alive: Math.max(0, cohort.live - lost), of: cohort.live } : null,
    },
    person?.id ?? null,
  );
  const before = losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? l.count : 0), 0);
  const severed = severs ? Math.min(r.done ?? cohort.pending, cohort.pending - before) : 0;
  await insertEntries(trx, entriesOf({ ...r, losses }, cohort.live, severed, person?.id ?? null));
  if (r.done !== null) {
    const { live } = await trx('cohort').where({ id: r.cohortId }).first('live');
    const gone = losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? 0 : l.count), 0);
    if (r.done > live + gone) throw wrongField('done', `is more than the ${live + gone} there were`);
  }
  if (operationId) {
    await followLayer(trx, r, operationId, person?.id ?? null);
    await followCover(trx, r, operationId, cohort, person?.id ?? null);
  }
  if (r.placeId) await stand(trx, r.cohortId, r.placeId, r.on);
  if (r.container) await trx('cohort').where({ id: r.cohortId }).update({ container: r.container });
  const outcome = await outcomeOf(trx, r.cohortId, r.id, cause);
  return prunes ? { ...outcome, offers: await offersFor(trx, cohort) } : outcome;
}

/** Puts a step off until a day, with the grower's reason, and re-plans. */
export async function putOff(trx: Trx, p: PutOffStep, person: Person): Promise<Outcome> {
  await lockCohort(trx, p.cohortId);
  const step = await openOwnStep(trx, p.cohortId, p.stepKey);
  const today = todayAt(await readNursery(trx));
  if (p.until <= today) throw wrongField('until', `is not after today, ${today}`);
  await insertPutOff(trx, p, today, person.id);
  return outcomeOf(trx, p.cohortId, p.id, `‘${step.title}’ was put off`);
}

const UNDO_MINUTES = 10;

/** Takes a record back, and before it what was written with it. */
async function takeBack(trx: Trx, id: string, record: StoredRecord, person: Person): Promise<void> {
  for (const f of await followersOf(trx, record.id)) await takeBack(trx, randomUUID(), f, person);
  await takeBackCover(trx, record.id);
  await insertUndo(trx, id, record, todayAt(await readNursery(trx)), person.id);
  const standing = await trx('ledger_entry as l')
    .leftJoin('ledger_entry as r', 'r.reverses', 'l.id')
    .where({ 'l.record_id': record.id })
    .whereNull('r.id')
    .whereNot('l.type', 'reversed')
    .select('l.id', 'l.on_date', 'l.count');
  await insertEntries(
    trx,
    standing.map((e: { id: string; on_date: string; count: number }) => ({
      id: randomUUID(),
      cohortId: record.cohort_id,
      type: 'reversed' as const,
      on: e.on_date,
      count: e.count,
      reverses: e.id,
      recordId: record.id,
      personId: person.id,
    })),
  );
  const was = {
    ...(record.container_before ? { container: record.container_before } : {}),
    ...(record.place_before ? { place_id: record.place_before } : {}),
    ...(record.taxon_before ? { taxon_id: record.taxon_before } : {}),
  };
  if (Object.keys(was).length > 0) await trx('cohort').where({ id: record.cohort_id }).update(was);
}

/** Undoes a record by reversal; a helper may undo what they have just recorded. */
export async function undo(trx: Trx, id: string, recordId: string, person: Person): Promise<Outcome> {
  const record = await findRecord(trx, recordId);
  await lockCohort(trx, record.cohort_id);
  const fresh = Date.now() - new Date(record.at).getTime() < UNDO_MINUTES * 60_000;
  if (!mayDo(person, 'grower') && !(fresh && record.person_id === person.id))
    throw new Refusal(403, 'Not for this role', 'A helper may undo only what they have just recorded.');
  await takeBack(trx, id, record, person);
  return outcomeOf(trx, record.cohort_id, id, 'a record was undone');
}

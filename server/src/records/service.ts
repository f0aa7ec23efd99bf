import { sure } from '../db/sure.ts';
import { randomUUID } from 'node:crypto';
import type { KeptDetails } from '@gonimos/contract/details';
import type { Outcome, StartOffer } from '@gonimos/contract/outcome';
import type { Loss, NewRecord, PutOffStep } from '@gonimos/contract/records';
import { inTurn, type NewEntry } from '@gonimos/core/ledger';
import { operation } from '@gonimos/core/operations';
import { lockCohort, lockCohorts } from '../write/lock.ts';
import { openOwnStep, readyStep, type OpenStep } from '../course/open.ts';
import { onCohort, outcomeOf } from '../course/outcome.ts';
import { Refusal, wrongField } from '../http/problem.ts';
import { mayDo } from '../http/route.ts';
import type { Sql } from '../db/index.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import type { Work, Writing, Written } from '../write/types.ts';
import {
  aboutPart,
  cohortsEntered,
  doneBefore,
  findRecord,
  insertLines,
  insertUndo,
  insertWork,
  writtenWith,
  type StoredRecord,
} from './store.ts';

/** What was recorded: why courses are planned again, and what it offers to go on with. */
export interface RecordedWork {
  cause: string;
  offers: StartOffer[];
}

const goneOf = (losses: readonly Loss[]) =>
  losses.reduce((n, l) => n + (l.kind === 'lost_before_emergence' ? 0 : l.count), 0);

/** Entries for the ledger: what was lost, and what the followers make of the work. */
function entriesOf(w: Writing, work: Work): NewEntry[] {
  const { record: r } = work;
  const entries: NewEntry[] = work.losses.map((l) => ({
    id: l.id,
    cohortId: r.cohortId,
    type: l.kind,
    on: r.on,
    count: l.count,
    cause: l.cause,
  }));
  for (const f of w.followers) entries.push(...(f.entries?.(work, entries) ?? []));
  return inTurn(entries).map((e) => ({ ...e, recordId: r.id, personId: w.personId }));
}

const keptOf = (w: Writing, work: Work): KeptDetails =>
  w.followers.reduce<KeptDetails>((kept, f) => ({ ...kept, ...f.keeps?.(work) }), {});

/** The step a record is about, as the plan has it. */
type StepOf = Pick<OpenStep, 'title' | 'operation' | 'odds'>;

/** Records work on a step that is known to be open, or a look; see `recordWork`. */
export async function recordStep(
  w: Writing,
  told: NewRecord,
  step: StepOf | null,
  follows?: string,
): Promise<RecordedWork> {
  const { trx } = w;
  const cohort = await lockCohort(trx, told.cohortId);
  await notInFuture(trx, 'on', told.on);
  if (told.on < cohort.startedFrom) throw wrongField('on', `is before the start, ${cohort.startedFrom}`);
  const before = await doneBefore(trx, told);
  const about = await aboutPart(trx, told);
  const left = Math.max(0, (about ?? cohort.live) - before);
  const r = about === null ? told : { ...told, done: told.done ?? left, finished: false };
  const work: Work = {
    record: r,
    operation: step && operation(step.operation),
    odds: step?.odds ?? null,
    cohort,
    left,
    losses: [...r.losses],
  };
  for (const f of w.followers) await f.check?.(w, work);
  await insertWork(trx, r, keptOf(w, work), w.personId, follows);
  await insertEntries(trx, entriesOf(w, work));
  if (r.done !== null) {
    const { live } = await sure(trx('cohort').where({ id: r.cohortId }).first('live'));
    const were = live + goneOf(work.losses);
    if (r.done > were) throw wrongField('done', `is more than the ${were} there were`);
    if (about !== null && r.done > left)
      throw wrongField('done', `is more than the ${left} that were worked and not looked after yet`);
    if (before > 0 && r.done > Math.max(0, were - before))
      throw wrongField(
        'done',
        `is more than the ${Math.max(0, were - before)} left: ${before} were done before`,
      );
  }
  for (const f of w.followers) await f.after?.(w, work);
  const offers: StartOffer[] = [];
  for (const f of w.followers) offers.push(...((await f.offers?.(w, work)) ?? []));
  return { cause: step ? `‘${step.title}’ was recorded` : 'a look was recorded', offers };
}

/** Cohorts a record bears on besides its own. */
const othersOf = (w: Writing, r: NewRecord): string[] => w.followers.flatMap((f) => f.others?.(r) ?? []);

/**
 * Records work on a step, or a look between steps, with everything that follows from it; its course is for the
 * caller to plan. `follows`: the record it is written with and taken back with.
 */
export async function recordWork(w: Writing, r: NewRecord, follows?: string): Promise<RecordedWork> {
  await lockCohorts(w.trx, [r.cohortId, ...othersOf(w, r)]);
  const step = r.stepKey === null ? null : await readyStep(w.trx, r.cohortId, r.stepKey);
  return recordStep(w, r, step, follows);
}

/** As `recordWork`, for a write that does nothing else. */
export async function recordOnly(w: Writing, r: NewRecord): Promise<Written<Outcome>> {
  const { cause, offers } = await recordWork(w, r);
  return {
    touched: [r.cohortId, ...othersOf(w, r)],
    cause,
    answer: async (planned) => {
      const outcome = await outcomeOf(w.trx, r.cohortId, r.id, planned);
      return offers.length > 0 ? { ...outcome, offers } : outcome;
    },
  };
}

/** Puts a step off until a day, with the grower's reason. */
export async function putOff({ trx, personId }: Writing, p: PutOffStep): Promise<Written<Outcome>> {
  await lockCohort(trx, p.cohortId);
  const step = await openOwnStep(trx, p.cohortId, p.stepKey);
  const today = todayAt(await readNursery(trx));
  if (p.until <= today) throw wrongField('until', `is not after today, ${today}`);
  await insertLines(trx, [{ ...p, kind: 'put off', on: today, personId }]);
  return onCohort(trx, p.cohortId, p.id, `‘${step.title}’ was put off`);
}

const UNDO_MINUTES = 10;

/** Entries of a record that stand are reversed, each by one of its own. */
async function reverseEntriesOf({ trx, personId }: Writing, record: StoredRecord): Promise<void> {
  const standing: { id: string; cohortId: string; onDate: string; count: number }[] = await trx(
    'ledger_entry as l',
  )
    .leftJoin('ledger_entry as r', 'r.reverses', 'l.id')
    .where({ 'l.recordId': record.id })
    .whereNull('r.id')
    .whereNot('l.type', 'reversed')
    // the last first: what was put in before it was fused is taken out after that
    .orderBy('l.seq', 'desc')
    .select('l.id', 'l.cohortId', 'l.onDate', 'l.count');
  await insertEntries(
    trx,
    standing.map((e) => ({
      id: randomUUID(),
      cohortId: e.cohortId,
      type: 'reversed' as const,
      on: e.onDate,
      count: e.count,
      reverses: e.id,
      recordId: record.id,
      personId,
    })),
  );
}

/** A record, and after it all that was written with it and still stands. */
async function withOthers(sql: Sql, record: StoredRecord): Promise<StoredRecord[]> {
  const all = [record];
  for (const other of await writtenWith(sql, record.id)) all.push(...(await withOthers(sql, other)));
  return all;
}

async function takeBack(w: Writing, id: string, record: StoredRecord): Promise<void> {
  await insertUndo(w.trx, id, record, todayAt(await readNursery(w.trx)), w.personId);
  await reverseEntriesOf(w, record);
  for (const f of w.followers) await f.takeBack?.(w, record);
}

/** Undoes a record by reversal, and before it what was written with it, on this cohort and on others; a helper may undo what they have just recorded. */
export async function undo(w: Writing, id: string, recordId: string): Promise<Written<Outcome>> {
  const record = await findRecord(w.trx, recordId);
  const all = await withOthers(w.trx, record);
  const entered = await cohortsEntered(
    w.trx,
    all.map((r) => r.id),
  );
  const touched = [...new Set([...all.map((r) => r.cohortId), ...entered])];
  await lockCohorts(w.trx, touched);
  const fresh = Date.now() - new Date(record.at).getTime() < UNDO_MINUTES * 60_000;
  const own = fresh && record.personId === w.person?.id;
  if (!own && !(w.person && mayDo(w.person, 'grower')))
    throw new Refusal('not-for-this-role', 'A helper may undo only what they have just recorded.');
  for (const other of all.slice(1).reverse()) await takeBack(w, randomUUID(), other);
  await takeBack(w, id, record);
  const others = touched.filter((c) => c !== record.cohortId);
  return onCohort(w.trx, record.cohortId, id, 'a record was undone', others);
}

import { randomUUID } from 'node:crypto';
import type { NewCohort, PromotePlant, SplitCohort } from '@gonimos/contract/cohorts';
import type { Person } from '@gonimos/contract/people';
import type { Outcome } from '@gonimos/contract/records';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import { firstStep } from '@gonimos/core/programmes';
import { hemisphereOf } from '@gonimos/core/season';
import { replan } from '../course/replan.ts';
import type { Sql, Trx } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { readProgramme } from '../library/store.ts';
import { readNursery, readPlace, todayAt } from '../nursery/store.ts';
import { outcomeOf } from '../records/outcome.ts';
import { insertWork, NOTHING_BEFORE } from '../records/store.ts';
import { copyCohort, insertCohort } from './store.ts';

/** The start as dates, refused when it lies ahead. */
export async function readStart(sql: Sql, said: string) {
  const nursery = await readNursery(sql);
  const started = readUncertainDate(said, hemisphereOf(nursery.latitude))!;
  const today = todayAt(nursery);
  if (started.from > today) throw wrongField('started', `is after today, ${today}`);
  return started.to > today ? { ...started, to: today } : started;
}

/** The programme a cohort is to follow, refused by field when there is none of that name. */
export async function programmeFor(sql: Sql, id: string) {
  try {
    return await readProgramme(sql, id);
  } catch {
    throw wrongField('programmeId', 'is not in the library');
  }
}

/** Enters a cohort: its start in the ledger, its first step done, its course planned. */
export async function enterCohort(trx: Trx, c: NewCohort, person: Person | null): Promise<Outcome> {
  const started = await readStart(trx, c.started);
  await readPlace(trx, c.placeId);
  const { programme: p, version } = await programmeFor(trx, c.programmeId);
  const at = c.standsAt === null ? 0 : p.steps.findIndex((s) => s.key === c.standsAt);
  if (at < 0) throw wrongField('standsAt', 'is not a step of this programme');
  await insertCohort(trx, c, started, p, version);
  const recordId = randomUUID();
  if (at === 0)
    await insertWork(
      trx,
      {
        ...{ id: recordId, cohortId: c.id, stepKey: firstStep(p).key, on: started.from, done: c.count },
        ...{ container: c.container, emerged: null, losses: [], calipers: [], heights: [], rooted: null },
        ...{ vigour: null, minutes: null, note: '', nextTime: '', finished: true },
        ...{ alive: null, sure: null, buds: null, placeId: null },
      },
      NOTHING_BEFORE,
      person?.id ?? null,
    );
  const counted = p.steps.findIndex((s) => s.operation === 'emergence-count');
  await insertEntries(trx, [
    {
      ...{ id: randomUUID(), cohortId: c.id, type: 'started', on: started.from, to: started.to },
      count: c.count,
      unit: p.method === 'seed' && at <= counted ? 'seed' : 'plant',
      recordId: at === 0 ? recordId : null,
      personId: person?.id ?? null,
    },
  ]);
  return outcomeOf(trx, c.id, c.id, 'the cohort was entered');
}

/** Parts some plants off into a cohort of their own, which keeps the history so far. */
export async function splitCohort(trx: Trx, from: string, s: SplitCohort, person: Person): Promise<Outcome> {
  await trx('cohort').where({ id: from }).forUpdate().select('id');
  await readPlace(trx, s.placeId);
  await copyCohort(trx, from, { id: s.newId, code: s.newCode, placeId: s.placeId, note: s.note });
  const on = todayAt(await readNursery(trx));
  const half = { on, count: s.count, transferId: s.id, personId: person.id };
  await insertEntries(trx, [
    { ...half, id: randomUUID(), cohortId: from, type: 'split_out', note: `to ${s.newCode}` },
    { ...half, id: randomUUID(), cohortId: s.newId, type: 'split_in' },
  ]);
  await replan(trx, [s.newId], 'it was split off');
  return outcomeOf(trx, from, s.id, 'plants were split off');
}

/** Takes one plant out of the cohort to be followed by its own tag. */
export async function promote(trx: Trx, from: string, p: PromotePlant, person: Person): Promise<Outcome> {
  const on = todayAt(await readNursery(trx));
  await insertEntries(trx, [
    { id: p.id, cohortId: from, type: 'promoted', on, count: 1, note: p.note, personId: person.id },
  ]);
  await trx('plant').insert({
    id: randomUUID(),
    cohort_id: from,
    entry_id: p.id,
    tag: p.tag,
    promoted_on: on,
  });
  return outcomeOf(trx, from, p.id, 'a plant was promoted');
}

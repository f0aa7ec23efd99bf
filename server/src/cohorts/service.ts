import { randomUUID } from 'node:crypto';
import type { NewCohort, PromotePlant, SettleKind, SplitCohort } from '@gonimos/contract/cohorts';
import type { KeptDetails } from '@gonimos/contract/details';
import type { Person } from '@gonimos/contract/people';
import type { Outcome } from '@gonimos/contract/outcome';
import { workOn } from '@gonimos/contract/records';
import { addDays } from '@gonimos/core/calendar';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';
import type { StartUnit } from '@gonimos/core/ledger';
import { workOf } from '@gonimos/core/operations';
import { firstStep, type Programme } from '@gonimos/core/programmes';
import { hemisphereOf } from '@gonimos/core/season';
import { mean } from '@gonimos/core/stats';
import { taxon } from '@gonimos/core/taxa';
import { onCohort } from '../course/outcome.ts';
import { sure } from '../db/sure.ts';
import type { Sql, Trx } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { insertIdentity } from '../lineage/identity.ts';
import { programmeFor } from '../library/store.ts';
import { readNursery, readPlace, todayAt } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import { insertWork } from '../records/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { insertVisit } from '../visits/store.ts';
import { copyCohort, insertCohort } from './store.ts';

/** Days plants from elsewhere are held apart before they are looked at. Common practice, no source. */
const QUARANTINE_DAYS = 21;

/** Years ago a cohort was begun, at most: stock to raise, not trees handed down. */
const OLDEST = 100;

/** The start as dates, refused when it lies ahead. */
export async function readStart(sql: Sql, said: string) {
  const nursery = await readNursery(sql);
  const today = todayAt(nursery);
  const started = readUncertainDate(said, hemisphereOf(nursery.latitude), today)!;
  if (started.from > today) throw wrongField('started', `is after today, ${today}`);
  if (Number(today.slice(0, 4)) - Number(started.from.slice(0, 4)) > OLDEST)
    throw wrongField(
      'started',
      `is more than ${OLDEST} years ago: say when they came here, and how old they were`,
    );
  return started.to > today ? { ...started, to: today } : started;
}

/** Enters a cohort: its start in the ledger, its first step done, its course planned. */
export async function enterCohort({ trx, person }: Writing, c: NewCohort): Promise<Written<Outcome>> {
  await putCohort(trx, c, person);
  return onCohort(trx, c.id, c.id, 'the cohort was entered');
}

/** Puts a cohort into the ledger, with its first step done; its course is for the caller to plan. */
export async function putCohort(
  trx: Trx,
  c: NewCohort,
  person: Person | null,
  calipers: number[] = [],
): Promise<void> {
  const started = await readStart(trx, c.started);
  await readPlace(trx, c.placeId);
  await checkKin(trx, c);
  if (c.maybe.includes(c.taxonId)) throw wrongField('maybe', 'names the kind itself');
  const { programme: p, version } = await programmeFor(trx, c.programmeId);
  const at = c.standsAt === null ? 0 : p.steps.findIndex((s) => s.key === c.standsAt);
  if (at < 0) throw wrongField('standsAt', 'is not a step of this programme');
  if (at === 0) originAsked(p, c.origin);
  await insertCohort(trx, c, started, p, version);
  const recordId = randomUUID();
  if (at === 0)
    await insertWork(
      trx,
      workOn({
        id: recordId,
        cohortId: c.id,
        stepKey: firstStep(p).key,
        on: started.from,
        done: c.count,
      }),
      { potting: { container: c.container, before: c.container }, ...sizesOf(calipers) },
      person?.id ?? null,
    );
  await insertEntries(trx, [
    {
      id: randomUUID(),
      cohortId: c.id,
      type: 'started',
      on: started.from,
      to: started.to,
      count: c.count,
      unit: unitAt(p, at),
      recordId: at === 0 ? recordId : null,
      personId: person?.id ?? null,
    },
  ]);
  if (c.origin?.quarantine) await holdApart(trx, c.id, started.from, person);
}

/** Calipers a cohort starts with, mm. */
const sizesOf = (calipers: number[]): KeptDetails =>
  calipers.length === 0
    ? {}
    : { sizes: { calipers, at: 0, heights: [], caliper: mean(calipers), height: null } };

/** What a cohort is counted in that stands at a step: seed until it shows, layers until they are severed. */
function unitAt(p: Programme, at: number): StartUnit {
  const until = (work: string) => p.steps.findIndex((s) => workOf(s.operation) === work);
  if (p.method === 'seed' && at <= until('emergence-count')) return 'seed';
  return p.method === 'layer' && at <= until('layer-sever') ? 'layer' : 'plant';
}

/** Plants that were not raised here say where they came from, and by whose leave they were lifted. */
function originAsked(p: Programme, origin: NewCohort['origin']): void {
  if (p.method !== 'bought' && p.method !== 'lifted') return;
  if (!origin) throw wrongField('origin.source', 'is missing: from whom, or where');
  if (p.method === 'lifted' && !origin.permission.trim())
    throw wrongField('origin.permission', 'is missing: by whose leave they are lifted');
}

/** Parent, seed lot and goal are of the same kind of plant; a host has plants of its own. */
async function checkKin(sql: Sql, c: NewCohort): Promise<void> {
  const ofKind = async (field: string, table: string, id: string | null | undefined) => {
    if (!id) return;
    const row = await sql(table).where({ id }).first<{ taxonId: string } | undefined>('taxonId');
    if (!row) throw wrongField(field, 'is not there');
    if (row.taxonId !== c.taxonId) throw wrongField(field, 'is of another kind of plant');
  };
  await ofKind('parentId', 'cohort', c.parentId);
  await ofKind('lotId', 'seed_lot', c.lotId);
  await ofKind('goalId', 'start_goal', c.goalId);
  if (!c.hostId) return;
  const host = await sql('cohort').where({ id: c.hostId }).first('placeId', 'live');
  if (!host || host.live === 0) throw wrongField('hostId', 'has no living plants');
  if (host.placeId !== c.placeId) throw wrongField('placeId', 'is not where its host stands');
}

/** What comes from elsewhere stands apart until it has been looked at. */
async function holdApart(trx: Trx, id: string, since: string, person: Person | null): Promise<void> {
  await insertVisit(
    trx,
    {
      id: randomUUID(),
      cohortId: id,
      stepKey: null,
      on: since,
      found: [],
      decision: 'quarantine',
      container: null,
      taxonId: null,
      note: 'came from elsewhere',
    },
    { causes: [], checkOn: addDays(since, QUARANTINE_DAYS), personId: person?.id ?? null },
  );
}

/** Parts some plants off into a cohort of their own, which keeps the history so far. */
export async function splitCohort(
  { trx, personId }: Writing,
  from: string,
  s: SplitCohort,
): Promise<Written<Outcome>> {
  await lockCohort(trx, from);
  await readPlace(trx, s.placeId);
  await copyCohort(trx, from, { id: s.newId, code: s.newCode, placeId: s.placeId, note: s.note });
  const on = todayAt(await readNursery(trx));
  const half = { on, count: s.count, transferId: s.id, personId };
  await insertEntries(trx, [
    { ...half, id: randomUUID(), cohortId: from, type: 'split_out', note: `to ${s.newCode}` },
    { ...half, id: randomUUID(), cohortId: s.newId, type: 'split_in' },
  ]);
  return onCohort(trx, from, s.id, 'plants were split off', [s.newId]);
}

/** Leaves or flowers have told which of the kinds it might be it is; the course follows. */
export async function settleKind(
  { trx, personId }: Writing,
  id: string,
  s: SettleKind,
): Promise<Written<Outcome>> {
  const cohort = await lockCohort(trx, id);
  const {
    taxonMaybe: maybe,
    code,
    tag,
  } = await sure(trx('cohort').where({ id }).first('taxonMaybe', 'code', 'tag'));
  if (!maybe) throw wrongField('taxonId', 'is known already: if it is wrong, say so with ‘Found’');
  if (s.taxonId !== cohort.taxonId && !maybe.includes(s.taxonId))
    throw wrongField('taxonId', 'is none of the kinds it might be');
  await trx('cohort')
    .where({ id })
    .update({ taxonId: s.taxonId, taxonMaybe: null, version: trx.raw('version + 1') });
  const name = (taxonId: string) => taxon(taxonId).name;
  await insertIdentity(trx, {
    id: s.id,
    cohortId: id,
    on: todayAt(await readNursery(trx)),
    personId,
    reason: s.reason || `seen to be ${name(s.taxonId)}; it might have been ${maybe.map(name).join(' or ')}`,
    was: { code, tag },
    now: { code, tag },
  });
  return onCohort(trx, id, s.id, `it was seen to be ${name(s.taxonId)}`);
}

/** Takes one plant out to be followed by its own tag: a cohort of one, which keeps the history so far. */
export async function promote(
  { trx, personId }: Writing,
  from: string,
  p: PromotePlant,
): Promise<Written<Outcome>> {
  const cohort = await lockCohort(trx, from);
  const on = todayAt(await readNursery(trx));
  await copyCohort(trx, from, {
    id: p.newId,
    code: p.newCode,
    placeId: cohort.placeId,
    note: p.note,
    tag: p.tag,
  });
  const half = { on, count: 1, transferId: p.id, personId };
  await insertEntries(trx, [
    { ...half, id: p.id, cohortId: from, type: 'promoted', note: `to ${p.newCode}, tag ${p.tag}` },
    { ...half, id: randomUUID(), cohortId: p.newId, type: 'split_in' },
  ]);
  await trx('plant').insert({
    id: randomUUID(),
    cohortId: from,
    ownCohortId: p.newId,
    entryId: p.id,
    tag: p.tag,
    promotedOn: on,
  });
  return onCohort(trx, from, p.id, 'a plant was promoted', [p.newId]);
}

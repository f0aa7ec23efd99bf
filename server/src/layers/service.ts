import { randomUUID } from 'node:crypto';
import type { NewLayerEvent, NewLayers } from '@gonimos/contract/layers';
import type { Person } from '@gonimos/contract/people';
import { workOn, type Outcome } from '@gonimos/contract/records';
import { container } from '@gonimos/core/containers';
import {
  layerState,
  LAYER_EVENTS,
  mayFollow,
  type LayerEventKind,
  type LayerFind,
} from '@gonimos/core/layers';
import { enterCohort } from '../cohorts/service.ts';
import { replan } from '../course/replan.ts';
import type { Trx } from '../db/index.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { readPlace } from '../nursery/store.ts';
import { outcomeOf } from '../records/outcome.ts';
import { lockCohort } from '../cohorts/lock.ts';
import { recordWork } from '../records/service.ts';
import { insertWork, NOTHING_BEFORE } from '../records/store.ts';
import { readParent } from './read.ts';
import { eventsOf, findLayer, insertEvent, insertLayer, type LayerRow } from './store.ts';

const PROGRAMME = 'air-layer';

/** Rings layers on a parent: each is a unit of its own from now on, with its own course. */
export async function makeLayers(
  trx: Trx,
  parentId: string,
  n: NewLayers,
  person: Person,
): Promise<{ ids: string[] }> {
  await lockCohort(trx, parentId);
  await notInFuture(trx, 'on', n.on);
  const parent = await readParent(trx, parentId);
  for (const [i, l] of n.layers.entries()) {
    if (n.layers.findIndex((x) => x.code === l.code) < i)
      throw wrongField(`layers[${i}].code`, 'is there twice');
    await enterCohort(
      trx,
      {
        ...{ id: l.id, code: l.code, taxonId: parent.taxonId, programmeId: PROGRAMME, parentId, count: 1 },
        ...{ placeId: parent.placeId, container: 'ground', started: n.on, standsAt: null, schools: {} },
        ...{
          goalId: n.goalId,
          lotId: null,
          hostId: null,
          maybe: [],
          origin: null,
          goal: l.becomes,
          goalCaliper: null,
        },
        note: '',
      },
      person,
      [l.diameter],
    );
    await insertLayer(trx, parentId, l);
    await insertEvent(
      trx,
      l.id,
      { id: randomUUID(), kind: 'ringed', on: n.on, found: null, note: '' },
      person.id,
    );
  }
  return { ids: n.layers.map((l) => l.id) };
}

/** The next steps of a layer's course that what is seen on it bears on. */
const courseSteps = (trx: Trx, cohortId: string) =>
  trx('course_step')
    .where({ cohort_id: cohortId, status: 'planned' })
    .whereIn('operation', ['layer-check', 'layer-open', 'layer-sever'])
    .orderBy('seq')
    .select('key', 'operation', 'ready');

/** The record an event came with, to be undone with it; `recorded`: the record has written the event itself. */
type Told = string | null;

/** A look that does not find it full: what comes next waits for half its warmth again. */
async function lookedAt(trx: Trx, l: LayerRow, e: NewLayerEvent, person: Person): Promise<Told> {
  const steps = await courseSteps(trx, l.cohortId);
  const check = steps.find((s) => s.operation === 'layer-check' && s.ready);
  const on = { cohortId: l.cohortId, on: e.on, note: e.note };
  const recordId = check ? randomUUID() : null;
  if (check && recordId)
    await insertWork(
      trx,
      workOn({ ...on, id: recordId, stepKey: check.key, done: 1 }),
      NOTHING_BEFORE,
      person.id,
    );
  const next = steps.find((s) => s.operation !== 'layer-check');
  if (next && e.found !== 'full') {
    const again = FIND_WORDS[e.found as LayerFind] ?? 'not full';
    await insertWork(
      trx,
      workOn({ ...on, id: randomUUID(), stepKey: next.key, finished: false, again }),
      NOTHING_BEFORE,
      person.id,
    );
  }
  return recordId;
}

const FIND_WORDS: Record<LayerFind, string> = {
  dry: 'dry',
  callus: 'callus only',
  few: 'a few roots',
  filling: 'roots, not full yet',
  full: 'full',
  'short-brittle': 'roots short and brittle',
};

async function opened(trx: Trx, l: LayerRow, e: NewLayerEvent, person: Person): Promise<Told> {
  // a layer opened once is a double layer, whatever was meant before
  await setSchools(trx, l.cohortId, { layer: 'double' });
  const step = (await courseSteps(trx, l.cohortId)).find((s) => s.operation === 'layer-open');
  if (!step) return null;
  const recordId = randomUUID();
  await insertWork(
    trx,
    workOn({ id: recordId, cohortId: l.cohortId, stepKey: step.key, on: e.on, done: 1, note: e.note }),
    NOTHING_BEFORE,
    person.id,
  );
  return recordId;
}

async function setSchools(trx: Trx, cohortId: string, chosen: Record<string, string>): Promise<void> {
  await trx('cohort')
    .where({ id: cohortId })
    .update({ schools: trx.raw('schools || ?::jsonb', [JSON.stringify(chosen)]) });
  await replan(trx, [cohortId], 'how it is layered was decided');
}

async function severed(trx: Trx, l: LayerRow, e: NewLayerEvent, person: Person): Promise<Told> {
  if (!e.container) throw wrongField('container', 'is missing: what it is potted into');
  if (container(e.container).shared) throw wrongField('container', 'is a tray: it wants a pot of its own');
  if (e.placeId) await readPlace(trx, e.placeId);
  const opened = (await eventsOf(trx, [l.cohortId])).some((x) => x.kind === 'opened');
  await setSchools(trx, l.cohortId, {
    layer: opened ? 'double' : 'single',
    'base-split': e.split ? 'severing' : 'established',
  });
  const step = (await courseSteps(trx, l.cohortId)).find((s) => s.operation === 'layer-sever');
  if (!step) throw wrongField('kind', 'cannot be: severing is no open step of its course');
  await recordWork(
    trx,
    workOn({
      ...{ id: randomUUID(), cohortId: l.cohortId, stepKey: step.key, on: e.on, done: 1, note: e.note },
      ...{ container: e.container, placeId: e.placeId ?? null, calipers: [l.diameter] },
    }),
    person,
  );
  return 'recorded';
}

async function failed(trx: Trx, l: LayerRow, e: NewLayerEvent, person: Person): Promise<Told> {
  await insertEntries(trx, [
    {
      ...{ id: randomUUID(), cohortId: l.cohortId, type: 'lost_before_emergence', on: e.on, count: 1 },
      ...{
        cause: e.found ? FIND_WORDS[e.found] : 'not rooted',
        note: e.note,
        personId: person.id,
      },
    },
  ]);
  return null;
}

/** The stump on the parent, cut back to live wood and sealed. */
async function sealed(trx: Trx, l: LayerRow, e: NewLayerEvent, person: Person): Promise<Told> {
  const recordId = randomUUID();
  await insertWork(
    trx,
    workOn({
      ...{ id: recordId, cohortId: l.parentId, stepKey: null, on: e.on },
      note: `Wound of ${l.code} on ${l.stem} cut back to live wood and sealed. ${e.note}`.trim(),
    }),
    NOTHING_BEFORE,
    person.id,
  );
  return recordId;
}

const ACTS: Partial<Record<LayerEventKind, typeof severed>> = {
  ...{ looked: lookedAt, rewrapped: lookedAt, opened, severed, failed, 'wound-sealed': sealed },
};

/** Something happened to a layer: it is kept, and its course and ledger follow. */
export async function layerEvent(
  trx: Trx,
  cohortId: string,
  e: NewLayerEvent,
  person: Person,
): Promise<Outcome> {
  await lockCohort(trx, cohortId);
  const l = await findLayer(trx, cohortId);
  if (!l) throw notFound('layer');
  await notInFuture(trx, 'on', e.on);
  const events = await eventsOf(trx, [cohortId]);
  const state = layerState(events);
  const kind = e.kind as LayerEventKind;
  if (!mayFollow(state, kind)) {
    const may = LAYER_EVENTS.filter((k) => mayFollow(state, k)).join(', ') || 'nothing';
    throw wrongField('kind', `cannot be: the layer is ${state.stage}, ${may} may follow`);
  }
  const last = events.at(-1)?.on;
  if (last && e.on < last) throw wrongField('on', `is before what was last written of it, ${last}`);
  if (kind === 'looked' && !e.found) throw wrongField('found', 'is missing: what the look showed');
  const told = (await ACTS[kind]?.(trx, l, e, person)) ?? null;
  if (told !== 'recorded') await insertEvent(trx, cohortId, e, person.id, told);
  return outcomeOf(trx, cohortId, e.id, 'the layer was seen to');
}

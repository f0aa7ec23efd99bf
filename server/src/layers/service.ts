import { sure } from '../db/sure.ts';
import { randomUUID } from 'node:crypto';
import type { NewLayerEvent, NewLayers } from '@gonimos/contract/layers';
import type { Outcome } from '@gonimos/contract/outcome';
import { workOn } from '@gonimos/contract/records';
import { container } from '@gonimos/core/containers';
import { layerState, LAYER_EVENTS, mayFollow, type LayerEventKind } from '@gonimos/core/layers';
import { operation, operationsThat } from '@gonimos/core/operations';
import { putCohort } from '../cohorts/service.ts';
import { onCohort } from '../course/outcome.ts';
import type { Trx } from '../db/index.ts';
import { notFound, wrongField } from '../http/problem.ts';
import { insertEntries } from '../ledger/store.ts';
import { notInFuture } from '../nursery/day.ts';
import { readPlace } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import { recordStep } from '../records/service.ts';
import { insertWork } from '../records/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { touching } from '../write/write.ts';
import { readParent } from './read.ts';
import { refuseUnplaced, refuseUnseen } from './follow.ts';
import { eventsOf, findLayer, insertEvent, insertLayer, type LayerRow } from './store.ts';
import { FIND_SAID } from './words.ts';

const PROGRAMME = 'air-layer';

/** Rings layers on a parent: each is a unit of its own from now on, with its own course. */
export async function makeLayers(
  { trx, person, personId }: Writing,
  parentId: string,
  n: NewLayers,
): Promise<Written<{ ids: string[] }>> {
  await lockCohort(trx, parentId);
  await notInFuture(trx, 'on', n.on);
  const parent = await readParent(trx, parentId);
  for (const [i, l] of n.layers.entries()) {
    if (n.layers.findIndex((x) => x.code === l.code) < i)
      throw wrongField(`layers[${i}].code`, 'is there twice');
    await putCohort(
      trx,
      {
        id: l.id,
        code: l.code,
        taxonId: parent.taxonId,
        programmeId: PROGRAMME,
        parentId,
        count: 1,
        placeId: parent.placeId,
        container: 'ground',
        started: n.on,
        standsAt: null,
        schools: {},
        goalId: n.goalId,
        lotId: null,
        hostId: null,
        maybe: [],
        origin: null,
        goal: l.becomes,
        goalCaliper: null,
        note: '',
      },
      person,
      [l.diameter],
    );
    await insertLayer(trx, parentId, l);
    const ringed = { id: randomUUID(), kind: 'ringed' as const, on: n.on, found: null, note: '' };
    await insertEvent(trx, l.id, ringed, personId);
  }
  const ids = n.layers.map((l) => l.id);
  return touching(ids, 'the cohort was entered', { ids });
}

/** The next steps of a layer's course that what is seen on it bears on. */
const courseSteps = (trx: Trx, cohortId: string) =>
  trx('course_step')
    .where({ cohortId: cohortId, status: 'planned' })
    .whereIn(
      'operation',
      operationsThat((o) => o.layer !== undefined),
    )
    .orderBy('seq')
    .select('key', 'title', 'operation', 'odds', 'ready');

/** What a layer's event was told with. */
interface Told {
  /** the record, to be undone with it; null: the ledger alone, or nothing */
  recordId: string | null;
  /** the record has written the event itself */
  withEvent: boolean;
}

const byRecord = (recordId: string | null): Told => ({ recordId, withEvent: false });

/** A look: the check of its course is done with it; what comes next waits as the layer's facts have it. */
async function lookedAt({ trx, personId }: Writing, l: LayerRow, e: NewLayerEvent): Promise<Told> {
  const steps = await courseSteps(trx, l.cohortId);
  const check = steps.find((s) => operation(s.operation).layer === 'looked' && s.ready);
  const id = randomUUID();
  const told = { id, cohortId: l.cohortId, on: e.on, note: e.note, stepKey: check?.key ?? null };
  await insertWork(
    trx,
    workOn({ ...told, done: check ? 1 : null }),
    { layer: { found: e.found, split: null } },
    personId,
  );
  return byRecord(id);
}

/** Opened once it is a double layer, whatever was meant before: its facts say so from then on. */
async function opened({ trx, personId }: Writing, l: LayerRow, e: NewLayerEvent): Promise<Told> {
  const { programme } = await sure(trx('cohort').where({ id: l.cohortId }).first('programme'));
  const step = programme.steps.find((s) => operation(s.operation).layer === 'opened');
  if (!step) return byRecord(null);
  const id = randomUUID();
  const told = { id, cohortId: l.cohortId, stepKey: step.key, on: e.on, done: 1, note: e.note };
  await insertWork(trx, workOn(told), { layer: { found: e.found, split: null } }, personId);
  return byRecord(id);
}

async function severed(w: Writing, l: LayerRow, e: NewLayerEvent): Promise<Told> {
  const { trx } = w;
  if (!e.container) throw wrongField('container', 'is missing: what it is potted into');
  if (container(e.container).shared) throw wrongField('container', 'is a tray: it wants a pot of its own');
  if (e.placeId) await readPlace(trx, e.placeId);
  else await refuseUnplaced(trx, (await lockCohort(trx, l.cohortId)).placeId, 'placeId');
  const step = (await courseSteps(trx, l.cohortId)).find((s) => operation(s.operation).layer === 'severed');
  if (!step) throw wrongField('kind', 'cannot be: severing is no open step of its course');
  const record = workOn({
    id: randomUUID(),
    cohortId: l.cohortId,
    stepKey: step.key,
    on: e.on,
    done: 1,
    note: e.note,
    details: {
      potting: { container: e.container },
      sizes: { calipers: [l.diameter], at: 0, heights: [] },
      layer: { found: e.found, split: e.split },
      ...(e.placeId ? { standing: { placeId: e.placeId } } : {}),
    },
  });
  // it is the grower's to sever what was to be opened first
  await recordStep(w, record, step);
  return { recordId: record.id, withEvent: true };
}

async function failed({ trx, personId }: Writing, l: LayerRow, e: NewLayerEvent): Promise<Told> {
  await insertEntries(trx, [
    {
      id: randomUUID(),
      cohortId: l.cohortId,
      type: 'lost_before_emergence',
      on: e.on,
      count: 1,
      cause: e.found ? FIND_SAID[e.found] : 'not rooted',
      note: e.note,
      personId,
    },
  ]);
  return byRecord(null);
}

/** The stump on the parent, cut back to live wood and sealed. */
async function sealed({ trx, personId }: Writing, l: LayerRow, e: NewLayerEvent): Promise<Told> {
  const recordId = randomUUID();
  await insertWork(
    trx,
    workOn({
      id: recordId,
      cohortId: l.parentId,
      stepKey: null,
      on: e.on,
      note: `Wound of ${l.code} on ${l.stem} cut back to live wood and sealed. ${e.note}`.trim(),
    }),
    {},
    personId,
  );
  return byRecord(recordId);
}

const ACTS: Partial<Record<LayerEventKind, typeof severed>> = {
  looked: lookedAt,
  rewrapped: lookedAt,
  opened,
  severed,
  failed,
  'wound-sealed': sealed,
};

/** Something happened to a layer: it is kept, and its course and ledger follow. */
export async function layerEvent(w: Writing, cohortId: string, e: NewLayerEvent): Promise<Written<Outcome>> {
  const { trx } = w;
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
  refuseUnseen(kind, e.found, state, 'found');
  const { recordId, withEvent } = (await ACTS[kind]?.(w, l, e)) ?? byRecord(null);
  if (!withEvent) await insertEvent(trx, cohortId, e, w.personId, recordId);
  return onCohort(trx, cohortId, recordId ?? e.id, 'the layer was seen to');
}

/** A parent was fed: the feeding that waits is done with it, or its notebook says so. */
export async function fed(
  w: Writing,
  parentId: string,
  { id, on }: { id: string; on: string },
): Promise<Written<Outcome>> {
  await lockCohort(w.trx, parentId);
  const step = await w
    .trx('course_step')
    .where({ cohortId: parentId, status: 'planned', ready: true })
    .whereIn(
      'operation',
      operationsThat((o) => (o.like ?? o.id) === 'feed'),
    )
    .where('opens', '<=', on)
    .orderBy('opens')
    .first('key', 'title', 'operation', 'odds');
  const record = workOn({ id, cohortId: parentId, stepKey: step?.key ?? null, on, note: 'Fed.' });
  const { cause } = await recordStep(w, record, step ?? null);
  return onCohort(w.trx, parentId, id, cause);
}

import { randomUUID } from 'node:crypto';
import {
  layerState,
  mayFollow,
  thatFollow,
  type LayerEventKind,
  type LayerFind,
  type LayerState,
} from '@gonimos/core/layers';
import { Refusal, wrongField } from '../http/problem.ts';
import type { Trx } from '../db/index.ts';
import type { Follower } from '../write/types.ts';
import { eventsOf, findLayer, insertEvent, layersWrittenBy, writtenOf, type EventRow } from './store.ts';

/** What was severed stands on its own roots from then on. */
export const severingFollower: Follower = {
  entries: ({ record: r, operation, cohort }, sofar) => {
    if (!operation?.asks.includes('severed')) return [];
    const lost = sofar.reduce((n, e) => n + (e.type === 'lost_before_emergence' ? e.count : 0), 0);
    const count = Math.min(r.done ?? cohort.pending, cohort.pending - lost);
    if (count <= 0) return [];
    return [{ id: randomUUID(), cohortId: r.cohortId, type: 'severed', on: r.on, count }];
  },
};

/** What is opened or severed has been looked at first: then, or since it was wrapped and full. */
export function refuseUnseen(
  kind: LayerEventKind,
  found: LayerFind | null,
  state: LayerState,
  field: string,
): void {
  if ((kind !== 'severed' && kind !== 'opened') || found !== null || state.lastFind === 'full') return;
  throw wrongField(field, 'is missing: look under the film first, and say what it shows');
}

/** Out of a tree in the ground a layer stands where its pot is put, and that is told. */
export async function refuseUnplaced(trx: Trx, placeId: string, field: string): Promise<void> {
  const place = await trx('place').where({ id: placeId }).first('kind');
  if (place?.kind === 'ground') throw wrongField(field, 'is missing: where its pot stands now');
}

/** What others hang on is not taken back before them: a wound that was sealed hangs on the severing. */
async function refuseUnderLater(trx: Trx, recordId: string): Promise<void> {
  for (const cohortId of new Set(await layersWrittenBy(trx, recordId))) {
    const hanging = (events: EventRow[]) => events.length - thatFollow(events).length;
    const before = hanging(await writtenOf(trx, [cohortId], recordId));
    const after = await writtenOf(trx, [cohortId]);
    if (hanging(after) <= before) continue;
    const last = after.at(-1)!;
    throw new Refusal(
      'cannot-be-done',
      `What was written of the layer on ${last.on} hangs on it (${last.kind}): take that back first.`,
    );
  }
}

/** Work recorded on a layer's course is an event of the layer, and is taken back with the record. */
export const layersFollower: Follower = {
  keeps: ({ record: { details } }) => (details.layer ? { layer: details.layer } : {}),
  after: async ({ trx, personId }, { record: r, operation, cohort }) => {
    const kind = operation?.layer;
    if (!kind || !r.finished || !(await findLayer(trx, r.cohortId))) return;
    const events = await eventsOf(trx, [r.cohortId]);
    const state = layerState(events);
    const last = events.at(-1)?.on;
    if (!mayFollow(state, kind)) throw wrongField('stepKey', `cannot be: the layer is ${state.stage}`);
    if (last && r.on < last) throw wrongField('on', `is before what was last written of it, ${last}`);
    const found = r.details.layer?.found ?? null;
    if (kind === 'looked' && found === null)
      throw wrongField('details.layer.found', 'is missing: what the look showed');
    refuseUnseen(kind, found, state, 'details.layer.found');
    if (kind === 'severed' && !r.details.standing)
      await refuseUnplaced(trx, cohort.placeId, 'details.standing.placeId');
    const event = { id: randomUUID(), kind, on: r.on, found, note: r.note };
    await insertEvent(trx, r.cohortId, event, personId, r.id);
  },
  takeBack: ({ trx }, record) => refuseUnderLater(trx, record.id),
};

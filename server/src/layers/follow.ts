import { randomUUID } from 'node:crypto';
import type { NewRecord } from '@gonimos/contract/records';
import { layerState, mayFollow, type LayerEventKind } from '@gonimos/core/layers';
import type { Trx } from '../db/index.ts';
import { wrongField } from '../http/problem.ts';
import { eventsOf, findLayer, insertEvent } from './store.ts';

const EVENT_OF: Partial<Record<string, LayerEventKind>> = {
  'layer-check': 'looked',
  'layer-open': 'opened',
  'layer-sever': 'severed',
};

/** Work recorded on a layer's course is an event of the layer, and is taken back with the record. */
export async function followLayer(
  trx: Trx,
  r: NewRecord,
  operation: string,
  personId: string | null,
): Promise<void> {
  const kind = EVENT_OF[operation];
  if (!kind || !r.finished || !(await findLayer(trx, r.cohortId))) return;
  const events = await eventsOf(trx, [r.cohortId]);
  const [state, last] = [layerState(events), events.at(-1)?.on];
  if (!mayFollow(state, kind)) throw wrongField('stepKey', `cannot be: the layer is ${state.stage}`);
  if (last && r.on < last) throw wrongField('on', `is before what was last written of it, ${last}`);
  const found = kind === 'opened' ? ('full' as const) : null;
  await insertEvent(
    trx,
    r.cohortId,
    { id: randomUUID(), kind, on: r.on, found, note: r.note },
    personId,
    r.id,
  );
}

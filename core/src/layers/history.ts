import type { IsoDate } from '../calendar/index.ts';

/** What a look under the film shows. */
export const LAYER_FINDS = ['dry', 'callus', 'few', 'filling', 'full', 'short-brittle'] as const;
export type LayerFind = (typeof LAYER_FINDS)[number];

/** What happens to a layer; never changed, later events follow. */
export const LAYER_EVENTS = [
  'ringed',
  'looked',
  'opened',
  'rewrapped',
  'severed',
  'failed',
  'wound-sealed',
] as const;
export type LayerEventKind = (typeof LAYER_EVENTS)[number];

export interface LayerEvent {
  kind: LayerEventKind;
  on: IsoDate;
  found: LayerFind | null;
  note: string;
}

export type LayerStage = 'planned' | 'rooting' | 'full' | 'second' | 'severed' | 'failed';

export interface LayerState {
  stage: LayerStage;
  ringedOn: IsoDate | null;
  /** opened, its roots shortened, wrapped again */
  openedOn: IsoDate | null;
  severedOn: IsoDate | null;
  /** what was seen of the filling it is in; null: nobody has looked since it was wrapped */
  lastFind: LayerFind | null;
  lastLookOn: IsoDate | null;
  /** the wound on the parent has been re-cut and sealed */
  woundSealedOn: IsoDate | null;
}

/** Which events may follow in each stage. */
const MAY: Record<LayerStage, readonly LayerEventKind[]> = {
  planned: ['ringed'],
  rooting: ['looked', 'opened', 'rewrapped', 'severed', 'failed'],
  full: ['looked', 'opened', 'rewrapped', 'severed', 'failed'],
  second: ['looked', 'rewrapped', 'severed', 'failed'],
  severed: ['wound-sealed'],
  failed: ['wound-sealed'],
};
export const mayFollow = (s: LayerState, kind: LayerEventKind): boolean =>
  MAY[s.stage].includes(kind) && !(kind === 'wound-sealed' && s.woundSealedOn !== null);

const UNTOUCHED: LayerState = {
  stage: 'planned',
  ringedOn: null,
  openedOn: null,
  severedOn: null,
  lastFind: null,
  lastLookOn: null,
  woundSealedOn: null,
};

/** A layer after something that may follow has happened to it. */
function after(before: LayerState, e: LayerEvent): LayerState {
  const s = { ...before };
  if (e.found) [s.lastFind, s.lastLookOn] = [e.found, e.on];
  if (e.kind === 'ringed') [s.stage, s.ringedOn] = ['rooting', e.on];
  if (e.kind === 'looked' && e.found && s.stage !== 'second')
    s.stage = e.found === 'full' ? 'full' : 'rooting';
  if (e.kind === 'opened') {
    s.stage = 'second';
    s.openedOn = e.on;
    s.lastFind = null;
  }
  if (e.kind === 'rewrapped' && s.stage === 'full') s.stage = 'rooting';
  if (e.kind === 'severed') [s.stage, s.severedOn] = ['severed', e.on];
  if (e.kind === 'failed') s.stage = 'failed';
  if (e.kind === 'wound-sealed') s.woundSealedOn = e.on;
  return s;
}

/** Folds a layer's events, oldest first. Throws RangeError for an event that cannot follow. */
export function layerState(events: readonly LayerEvent[]): LayerState {
  let s = UNTOUCHED;
  for (const e of events) {
    if (!mayFollow(s, e.kind)) throw new RangeError(`a layer that is ${s.stage} cannot be ${e.kind}`);
    s = after(s, e);
  }
  return s;
}

/** Events that can follow one another, oldest first; the rest hung on one that was taken back since. */
export function thatFollow<E extends LayerEvent>(events: readonly E[]): E[] {
  let s = UNTOUCHED;
  return events.filter((e) => {
    if (!mayFollow(s, e.kind)) return false;
    s = after(s, e);
    return true;
  });
}

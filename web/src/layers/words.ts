import type { Layer } from '@gonimos/contract/layers';
import type { LayerEventKind, LayerFind, Verdict } from '@gonimos/core/layers';

export const VERDICT_WORDS: Record<Verdict, string> = {
  double: 'Double',
  single: 'Single',
  wait: 'Wait',
  never: 'Will not root',
};
export const FIND_WORDS: Record<LayerFind, string> = {
  dry: 'dry inside',
  callus: 'callus only',
  few: 'a few white roots',
  filling: 'roots, not full yet',
  full: 'full of root',
  'short-brittle': 'roots short and brittle',
};
export const EVENT_WORDS: Record<LayerEventKind, string> = {
  ringed: 'ringed and wrapped',
  looked: 'looked at',
  opened: 'opened, roots shortened, wrapped again',
  rewrapped: 'wrapped again, too early',
  severed: 'severed and potted',
  failed: 'given up',
  'wound-sealed': 'wound on the parent cut back and sealed',
};
export const STAGE_WORDS: Record<Layer['state']['stage'], string> = {
  planned: 'planned',
  rooting: 'rooting',
  full: 'full',
  second: 'second filling',
  severed: 'severed',
  failed: 'given up',
};

import type { LayerFind } from '@gonimos/core/layers';

/** What a look showed, as it stands in reasons. */
export const FIND_SAID: Record<LayerFind, string> = {
  dry: 'dry',
  callus: 'callus only',
  few: 'a few roots',
  filling: 'roots, not full yet',
  full: 'full',
  'short-brittle': 'roots short and brittle',
};

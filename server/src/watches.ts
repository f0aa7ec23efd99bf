import { makeshiftWatch } from './cohorts/watch.ts';
import { cutRootsWatch } from './course/watch.ts';
import { jointsWatch } from './fusing/watch.ts';
import { woundsWatch } from './layers/watch.ts';
import type { Watch } from './watch/watch.ts';
import { seedWatch } from './seed/service.ts';
import { visitsWatch } from './visits/watch.ts';

/** What the round keeps an eye on. A new subject adds its line. */
export const WATCHES: readonly Watch[] = [
  seedWatch,
  cutRootsWatch,
  woundsWatch,
  jointsWatch,
  makeshiftWatch,
  visitsWatch,
];

import type { NewStemRecord } from './stem-records.ts';

/** A stem about which nothing was decided yet. */
export const NOTHING_DECIDED: NewStemRecord['decided'] = {
  finished: null,
  style: 'usual',
  way: null,
  cutAt: null,
  wires: [],
  bands: [],
  aside: 0,
  behind: 0,
  lean: null,
  fronts: [],
};

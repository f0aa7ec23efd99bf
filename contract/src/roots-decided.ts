import type { NewRootRecord } from './root-records.ts';

/** Roots about which nothing was decided yet. */
export const NOTHING_DECIDED: NewRootRecord['decided'] = {
  limit: null,
  overruled: [],
  container: null,
  aside: 0,
  behind: 0,
  lean: null,
  remedies: [],
};

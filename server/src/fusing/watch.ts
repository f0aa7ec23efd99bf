import { addDays } from '@gonimos/core/calendar';
import type { Watch } from '../watch/watch.ts';
import { readLooksDue } from './store.ts';

/** Days ahead that a look at a joint is told. */
const AHEAD = 14;

/** Joints whose binding is to be looked at before it bites. */
export const jointsWatch: Watch = async (sql, today) =>
  (await readLooksDue(sql, addDays(today, AHEAD))).map((g) => ({
    text: `${g.code}: look at the joint, the binding bites soon`,
    when: g.lookOn,
    cohortId: g.cohortId,
  }));

import { planAgain } from './planning/due.ts';
import type { Db } from './db/index.ts';
import { FOLLOWERS } from './followers.ts';
import type { House } from './write/types.ts';

/** What every write needs, put together. */
export const houseOf = (db: Db): House => ({ db, followers: FOLLOWERS, plan: planAgain });

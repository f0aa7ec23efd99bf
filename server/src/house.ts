import type { Db } from './db/index.ts';
import { FACT_SOURCES } from './fact-sources.ts';
import { FOLLOWERS } from './followers.ts';
import { plannerFrom } from './planning/due.ts';
import { planningFrom } from './planning/planning.ts';
import type { House } from './write/types.ts';

const planning = planningFrom(FACT_SOURCES);
const plan = plannerFrom(planning);

/** What every write needs, put together. */
export const houseOf = (db: Db): House => ({ db, followers: FOLLOWERS, planning, plan });

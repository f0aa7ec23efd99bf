import { groupBy } from '@gonimos/core/group';
import { lockCohorts } from '../write/lock.ts';
import type { Db, Trx } from '../db/index.ts';
import { readNursery, setPlannedOn, todayAt } from '../nursery/store.ts';
import type { House, Planner, Touched } from '../write/types.ts';
import { noteMissed } from '../missed/store.ts';
import { living, noteDue } from './due-store.ts';
import type { Planning } from '../facts/source.ts';
import { movedIn, replan, replanCrowded } from './replan.ts';

/** Up to so many courses are planned again inside the write that moves them; more are noted as due. */
const INSIDE = 60;
/** Courses planned in one transaction: few enough to hold nobody up. */
const CHUNK = 50;

function coursesOf(trx: Trx, touched: Touched): Promise<string[]> {
  if (touched === 'all' || touched === 'new day') return living(trx).pluck('id');
  if ('placeId' in touched) return living(trx).where('placeId', touched.placeId).pluck('id');
  return Promise.resolve([...new Set(touched)]);
}

/**
 * Plans courses again because of a write, in its transaction. Where they are many they are noted as due with the
 * write itself, and worked off after it: a crash between loses nothing.
 */
export const plannerFrom =
  (open: House['planning']): Planner =>
  async (trx, touched, cause) => {
    const ids = await coursesOf(trx, touched);
    const drift = touched === 'new day' && (await dayComes(trx)).drift;
    if (touched === 'all') await dayComes(trx);
    if (ids.length > INSIDE) {
      await noteDue(trx, ids, cause, drift);
      return new Map();
    }
    if (ids.length === 0) return new Map();
    await lockCohorts(trx, ids);
    const planning = await open(trx);
    const plans = await replan(trx, ids, cause, planning, drift);
    await replanCrowded(trx, plans, planning.today, open);
    return movedIn(plans);
  };

/**
 * Keeps for which day courses are planned. `drift`: within a month, a day brings nothing but its weather; with each
 * month what lies far ahead is brought up to date, and with the year the rings change that are shown.
 */
async function dayComes(trx: Trx): Promise<{ isNew: boolean; drift: boolean }> {
  const nursery = await readNursery(trx);
  const today = todayAt(nursery);
  await setPlannedOn(trx, today);
  const { plannedOn } = nursery;
  // before the courses are laid out anew: what stood open until yesterday is not lost sight of
  if (plannedOn !== null && plannedOn < today) await noteMissed(trx, today);
  return { isNew: plannedOn !== today, drift: plannedOn?.slice(0, 7) === today.slice(0, 7) };
}

/** Notes every course as due when the day has changed since the last time. */
export async function noteNewDay(db: Db): Promise<void> {
  await db.transaction(async (trx) => {
    const { isNew, drift } = await dayComes(trx);
    if (isNew) await noteDue(trx, await living(trx).pluck('id'), 'a new day', drift);
  });
}

/** What is carried from one part of the planning to the next. */
export interface Kept {
  since: string;
  /** what courses are planned from, while nothing new has become due */
  planning: Planning;
  /** those still to be looked at, in the order of this planner */
  line: string[];
}

interface Due {
  id: string;
  cause: string;
  drift: boolean;
  since: string;
}

/** Which of the courses that are due are taken first, and how many at once. */
export interface Share {
  most: number;
  /** place by place from the last one: two that plan beside each other do not both work out the season of each */
  backwards: boolean;
}

/** Takes those of these cohorts that are due; those that somebody is writing to are left for the next turn. */
async function takeDue(trx: Trx, ids: readonly string[]): Promise<Due[]> {
  const { rows } = await trx.raw<{ rows: Due[] }>(
    `SELECT c.id, d.cause, d.drift, d.since::text FROM plan_due d JOIN cohort c ON c.id = d.cohort_id
     WHERE d.cohort_id = ANY(?::uuid[]) ORDER BY c.place_id, c.id FOR UPDATE OF c SKIP LOCKED`,
    [[...ids]],
  );
  return rows;
}

async function lineOf(trx: Trx, backwards: boolean): Promise<string[]> {
  const way = backwards ? 'desc' : 'asc';
  const rows: { id: string }[] = await trx('planDue as d')
    .join('cohort as c', 'c.id', 'd.cohortId')
    .orderBy([{ column: 'c.placeId', order: way }, 'c.id'])
    .select('c.id');
  return rows.map((r) => r.id);
}

/** The next few from the front of the line, which is drawn up anew when it has run out; none: none is left to take. */
async function takeNext(trx: Trx, line: string[], share: Share): Promise<Due[]> {
  for (let anew = false; ; anew = true) {
    while (line.length > 0) {
      const rows = await takeDue(trx, line.splice(0, share.most));
      if (rows.length > 0) return rows;
    }
    if (anew) return [];
    line.push(...(await lineOf(trx, share.backwards)));
  }
}

/** Plans a few of the courses that are due; null when none is left, all are taken, or it was paused. */
export async function workOffSome(
  { db, planning: open }: Pick<House, 'db' | 'planning'>,
  kept: Kept | null,
  share: Share = { most: CHUNK, backwards: false },
): Promise<Kept | null> {
  return db.transaction(async (trx) => {
    const nursery = await trx('nursery').first('planningPaused');
    if (!nursery || nursery.planningPaused) return null;
    // a plan can be made again, and what is due stays due with it: nothing waits for the disk
    await trx.raw('SET LOCAL synchronous_commit = off');
    const line = kept?.line ?? [];
    const rows = await takeNext(trx, line, share);
    if (rows.length === 0) return null;
    const since = rows.map((r) => r.since).reduce((a, b) => (a > b ? a : b));
    const planning = kept && since <= kept.since ? kept.planning : await open(trx);
    for (const alike of groupBy(rows, (r) => `${r.drift} ${r.cause}`).values()) {
      const ids = alike.map((r) => r.id);
      await replan(trx, ids, alike[0].cause, planning, alike[0].drift);
    }
    // what became due again meanwhile stays due
    await trx.raw(
      `DELETE FROM plan_due d USING unnest(?::uuid[], ?::timestamptz[]) AS x(id, since)
       WHERE d.cohort_id = x.id AND d.since = x.since`,
      [rows.map((r) => r.id), rows.map((r) => r.since)],
    );
    return { since, planning, line };
  });
}

/** Works off what is due, a few courses at a time, until nothing is left, it is paused, or `ended` says so. */
export async function workOff(
  house: Pick<House, 'db' | 'planning'>,
  ended: () => boolean = () => false,
): Promise<void> {
  let kept: Kept | null = null;
  while (!ended()) {
    kept = await workOffSome(house, kept);
    if (!kept) return;
    // others are served between the parts
    await new Promise((go) => setImmediate(go));
  }
}

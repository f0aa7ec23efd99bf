import type { DueToday, Round } from '@gonimos/contract/round';
import { addDays } from '@gonimos/core/calendar';
import { kitFor } from '@gonimos/core/round';
import type { Sql } from '../db/index.ts';
import { readFittings } from '../fittings/store.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readWarnings } from '../station/warnings.ts';
import { readSheltered } from '../shelter/store.ts';
import { readStartsDue } from '../starts/goals.ts';
import { readArrivals, readStock } from '../stock/store.ts';
import { watchList, type Watch } from '../watch/watch.ts';
import { countOpen, readMissedSteps, readOpenSteps } from './store.ts';

/** Days ahead in which what opens is told as coming, and what closes as closing. */
const AHEAD = 21;
const CLOSING = 10;
const MOST_COMING = 30;
const MOST_FITTINGS = 12;

/** How many steps are open: every page tells it, and none needs the whole round for that. */
export async function readDueToday(sql: Sql): Promise<DueToday> {
  const today = todayAt(await readNursery(sql));
  const { open } = await countOpen(sql, today, today);
  return { open };
}

/** What is due today, `most` steps of it, what is coming, what to have ready and what to watch. */
export async function readRound(sql: Sql, watches: readonly Watch[], most: number): Promise<Round> {
  const today = todayAt(await readNursery(sql));
  const closingBy = addDays(today, CLOSING);
  const { missed, missedInAll } = await readMissedSteps(sql, today);
  const due = await readOpenSteps(sql, today, { ahead: false, until: today, most });
  const { open, closing } = await countOpen(sql, today, closingBy);
  const coming = { ahead: true, until: addDays(today, AHEAD), most: MOST_COMING };
  const soon = await readOpenSteps(sql, today, coming);
  const fittings = await readFittings(sql);
  const shelves = await readStock(sql, today);
  return {
    today,
    missed,
    missedInAll,
    fittings: { soon: fittings.slice(0, MOST_FITTINGS), all: fittings.length },
    sheltered: await readSheltered(sql),
    due,
    open,
    closing,
    closingBy,
    soon,
    ready: kitFor(due.map((s) => ({ ...s, plants: s.live || s.pending }))),
    warnings: await readWarnings(sql, today),
    short: shelves.flatMap(({ container, wanted, have, arrives }) =>
      have !== null && wanted > have ? [{ container, wanted, have, arrives }] : [],
    ),
    uncounted: shelves.flatMap(({ container, wanted, have }) =>
      have === null && wanted > 0 ? [{ container, wanted }] : [],
    ),
    arrivals: await readArrivals(sql, today),
    starts: await readStartsDue(sql, today),
    watch: await watchList(watches, sql, today),
  };
}

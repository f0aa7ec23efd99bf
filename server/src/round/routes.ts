import type { FastifyInstance } from 'fastify';
import { number, object } from 'yup';
import type { Round } from '@gonimos/contract/round';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { kitFor } from '@gonimos/core/round';
import type { SeasonBook } from '@gonimos/core/season';
import type { Db } from '../db/index.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readOpenWounds } from '../layers/store.ts';
import { readReadings } from '../station/store.ts';
import { readWarnings } from '../station/warnings.ts';
import { seedWatch } from '../seed/service.ts';
import { readStartsDue } from '../starts/goals.ts';
import { readStock } from '../stock/store.ts';
import { seasonBooks } from '../season/books.ts';
import { countOpen, readOpenSteps, readWatched } from './store.ts';

const AHEAD = 21;
const CLOSING = 10;
const MOST_COMING = 30;
const MOST_WATCHED = 30;

/** Last day on which frost still has to be reckoned with this spring, one year in ten; null when past. */
function frostUntil(book: SeasonBook, today: string): string | null {
  const last = book.season(book.seasonOf(toDay(today)))['last-frost'];
  return last.kind === 'days' && toIso(last.p90) >= today ? toIso(last.p90) : null;
}

/** What is not work but wants an eye: looks a visit asked for, wires that are on, roots cut lately while frost can come. */
async function watchList(db: Db, today: string): Promise<Round['watch']> {
  const books = await seasonBooks(db);
  const { wires, cut, again } = await readWatched(db, today);
  const watch = [
    ...(await seedWatch(db, today)),
    ...cut.flatMap((c) => {
      const until = frostUntil(books.get(c.placeId)!, today);
      return until
        ? [
            {
              text: `${c.code}: roots cut {${c.doneOn}}, keep frost off until`,
              when: until,
              cohortId: c.cohortId,
            },
          ]
        : [];
    }),
    ...(await readOpenWounds(db)).map((w) => ({
      text: `${w.parent}: wound of ${w.code}, severed {${w.on}}, to be cut back and sealed`,
      when: today,
      cohortId: w.parentId,
    })),
    ...again.map((a) => ({
      text: `${a.code}: look again, found {${a.on}}: ${a.found}`,
      when: a.checkOn,
      cohortId: a.cohortId,
    })),
    ...wires.map((w) => ({
      text: `${w.code}: wire on since {${w.doneOn}}, look for bite from`,
      when: w.checkOpens ?? today,
      cohortId: w.cohortId,
    })),
  ];
  return watch.sort((a, b) => (a.when < b.when ? -1 : 1)).slice(0, MOST_WATCHED);
}

export function roundRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/round',
    role: 'helper',
    summary: 'What is due today, what is coming, what to have ready and what to watch',
    query: object({ most: number().integer().min(1).max(1000).default(60) }),
    handle: async ({ query }): Promise<Round> => {
      const today = todayAt(await readNursery(app.db));
      const [due, soon, { open, closing }, watch, starts] = await Promise.all([
        readOpenSteps(app.db, today, { ahead: false, until: today, most: query.most }),
        readOpenSteps(app.db, today, { ahead: true, until: addDays(today, AHEAD), most: MOST_COMING }),
        countOpen(app.db, today, addDays(today, CLOSING)),
        watchList(app.db, today),
        readStartsDue(app.db, today),
      ]);
      const ready = kitFor(due.map((s) => ({ ...s, plants: s.live || s.pending })));
      const latest = (await readReadings(app.db, today)).at(-1) ?? null;
      const warnings = await readWarnings(app.db, today, latest);
      const shelves = await readStock(app.db, today);
      const short = shelves
        .filter((s) => s.wanted > s.have)
        .map(({ container, wanted, have, arrives }) => ({ container, wanted, have, arrives }));
      return { today, due, open, closing, soon, ready, warnings, short, starts, watch };
    },
  });
}

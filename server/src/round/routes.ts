import type { FastifyInstance } from 'fastify';
import type { Round } from '@gonimos/contract/round';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { kitFor } from '@gonimos/core/round';
import type { SeasonBook } from '@gonimos/core/season';
import type { Db } from '../db/index.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { readOpenSteps, readWatched } from './store.ts';

const AHEAD = 21;

/** Last day on which frost still has to be reckoned with this spring, one year in ten; null when past. */
function frostUntil(book: SeasonBook, today: string): string | null {
  const last = book.season(book.seasonOf(toDay(today)))['last-frost'];
  return last.kind === 'days' && toIso(last.p90) >= today ? toIso(last.p90) : null;
}

/** What is not work but wants an eye: wires that are on, roots cut lately while frost can come. */
async function watchList(db: Db, today: string): Promise<Round['watch']> {
  const books = await seasonBooks(db);
  const { wires, cut } = await readWatched(db, today);
  return [
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
    ...wires.map((w) => ({
      text: `${w.code}: wire on since {${w.doneOn}}, look for bite from`,
      when: w.checkOpens ?? today,
      cohortId: w.cohortId,
    })),
  ];
}

export function roundRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/round',
    role: 'helper',
    summary: 'What is due today, what is coming, what to have ready and what to watch',
    handle: async (): Promise<Round> => {
      const today = todayAt(await readNursery(app.db));
      const steps = await readOpenSteps(app.db, addDays(today, AHEAD));
      const due = steps.filter((s) => s.opens <= today);
      const soon = steps.filter((s) => s.opens > today).sort((a, b) => (a.opens < b.opens ? -1 : 1));
      return {
        today,
        due,
        soon,
        ready: kitFor(due.map((s) => ({ ...s, plants: s.live || s.pending }))),
        watch: await watchList(app.db, today),
      };
    },
  });
}

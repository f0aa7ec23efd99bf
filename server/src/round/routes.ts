import type { FastifyInstance } from 'fastify';
import type { Round } from '@gonimos/contract/round';
import { addDays, toIso } from '@gonimos/core/calendar';
import { kitFor } from '@gonimos/core/round';
import type { SeasonBook } from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { seasonBooks } from '../season/books.ts';
import { readOpenSteps } from './store.ts';

const AHEAD = 21;

/** Frost that tender stock in an unheated place has to fear within the season. */
function frostWatch(book: SeasonBook, today: string): string | null {
  const year = book.seasonOf(Date.parse(today) / 86_400_000);
  const [last, first] = [book.season(year)['last-frost'], book.season(year)['first-frost']];
  if (last.kind === 'days' && today <= toIso(last.p90)) return toIso(last.p90);
  if (first.kind === 'days' && today >= toIso(first.p02 - 7)) return toIso(first.p02);
  return null;
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
      const books = await seasonBooks(app.db);
      const tender = await app
        .db('cohort')
        .where('live', '>', 0)
        .select({ id: 'id', code: 'code', taxonId: 'taxon_id', placeId: 'place_id' });
      const watch: Round['watch'] = [];
      for (const c of tender) {
        if (taxon(c.taxonId).hardyTo.value < 0) continue;
        const when = frostWatch(books.get(c.placeId)!, today);
        if (when) watch.push({ text: `${c.code} ${taxon(c.taxonId).name}: tender, frost can come`, when, cohortId: c.id });
      }
      return {
        today,
        due,
        soon,
        ready: kitFor(due.map((s) => ({ ...s, plants: s.live || s.pending }))),
        watch,
      };
    },
  });
}

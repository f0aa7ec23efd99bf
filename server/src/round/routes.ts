import type { FastifyInstance } from 'fastify';
import { number, object, string } from 'yup';
import { id, noneOf } from '@gonimos/contract/fields';
import type { HandRow, Round } from '@gonimos/contract/round';
import { addDays } from '@gonimos/core/calendar';
import { PAPER_OF, PAPERS } from '@gonimos/core/paper';
import { kitFor } from '@gonimos/core/round';
import { readFittings } from '../fittings/store.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readReadings } from '../station/store.ts';
import { readWarnings } from '../station/warnings.ts';
import { listPeople, unitsOf } from '../people/store.ts';
import { readBenchSheet } from './sheet.ts';
import { readSheltered } from '../shelter/store.ts';
import { readStartsDue } from '../starts/goals.ts';
import { readArrivals, readStock } from '../stock/store.ts';
import { countOpen, readMissedSteps, readOpenSteps } from './store.ts';
import { watchList, type Watch } from '../watch/watch.ts';

const AHEAD = 21;
const CLOSING = 10;
const MOST_COMING = 30;
const MOST_FITTINGS = 12;

export const roundRoutes =
  (watches: readonly Watch[]) =>
  (app: FastifyInstance): void => {
    route(app, {
      method: 'GET',
      url: '/round',
      role: 'helper',
      summary: 'What is due today, what is coming, what to have ready and what to watch',
      query: object({ most: number().integer().min(1).max(1000).default(60) }),
      handle: async ({ query }): Promise<Round> => {
        const today = todayAt(await readNursery(app.db));
        const [
          { missed, missedInAll },
          fittings,
          sheltered,
          due,
          soon,
          { open, closing },
          watch,
          starts,
          readings,
          shelves,
          arrivals,
        ] = await Promise.all([
          readMissedSteps(app.db, today),
          readFittings(app.db),
          readSheltered(app.db),
          readOpenSteps(app.db, today, { ahead: false, until: today, most: query.most }),
          readOpenSteps(app.db, today, { ahead: true, until: addDays(today, AHEAD), most: MOST_COMING }),
          countOpen(app.db, today, addDays(today, CLOSING)),
          watchList(watches, app.db, today),
          readStartsDue(app.db, today),
          readReadings(app.db, today),
          readStock(app.db, today),
          readArrivals(app.db, today),
        ]);
        const ready = kitFor(due.map((s) => ({ ...s, plants: s.live || s.pending })));
        const warnings = await readWarnings(app.db, today, readings.at(-1) ?? null);
        const short = shelves.flatMap(({ container, wanted, have, arrives }) =>
          have !== null && wanted > have ? [{ container, wanted, have, arrives }] : [],
        );
        const uncounted = shelves.flatMap(({ container, wanted, have }) =>
          have === null && wanted > 0 ? [{ container, wanted }] : [],
        );
        const tended = { soon: fittings.slice(0, MOST_FITTINGS), all: fittings.length };
        return {
          today,
          missed,
          missedInAll,
          fittings: tended,
          sheltered,
          due,
          open,
          closing,
          closingBy: addDays(today, CLOSING),
          soon,
          ready,
          warnings,
          short,
          uncounted,
          arrivals,
          starts,
          watch,
        };
      },
    });

    route(app, {
      method: 'GET',
      url: '/round/hands',
      role: 'helper',
      summary: 'Who may be given a share of the day',
      handle: async (): Promise<HandRow[]> =>
        (await listPeople(app.db)).filter((p) => !p.disabled).map(({ id, name }) => ({ id, name })),
    });

    route(app, {
      method: 'GET',
      url: '/round/sheet',
      role: 'helper',
      summary:
        'The day’s open steps as a bench sheet, PDF: of all, of one place, of one person, or of chosen steps',
      query: object({
        place: id().optional(),
        /** "cohort key", with a bar between steps */
        steps: string().max(20_000).optional(),
        /** whose share of it, and who works besides, with a bar between them */
        person: id().optional(),
        among: string().max(2000).optional(),
        paper: string().oneOf(PAPERS, noneOf(PAPERS)),
      }),
      handle: async ({ query, person, reply }) => {
        const units = await unitsOf(app.db, person.id);
        const among = query.among?.split('|') ?? [];
        const ask = {
          place: query.place ?? null,
          steps: query.steps?.split('|') ?? null,
          share: query.person ? { person: query.person, among } : null,
        };
        const sheet = await readBenchSheet(app.db, ask, units, query.paper ?? PAPER_OF[units]);
        return reply
          .type('application/pdf')
          .header('cache-control', 'no-store')
          .header('content-disposition', `inline; filename="${sheet.name}"`)
          .send(sheet.pdf);
      },
    });
  };

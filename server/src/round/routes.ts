import type { FastifyInstance } from 'fastify';
import { number, object, string } from 'yup';
import { id, noneOf } from '@gonimos/contract/fields';
import type { HandRow } from '@gonimos/contract/round';
import { PAPER_OF, PAPERS } from '@gonimos/core/paper';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { listPeople, unitsOf } from '../people/store.ts';
import type { Watch } from '../watch/watch.ts';
import { readDueToday, readRound } from './round.ts';
import { readBenchSheet } from './sheet.ts';

export const roundRoutes =
  (watches: readonly Watch[]) =>
  (app: FastifyInstance): void => {
    readRoute(app, {
      url: '/round',
      role: 'helper',
      summary: 'What is due today, what is coming, what to have ready and what to watch',
      query: object({ most: number().integer().min(1).max(1000).default(60) }),
      read: (sql, { query }) => readRound(sql, watches, query.most),
    });

    readRoute(app, {
      url: '/round/open',
      role: 'helper',
      summary: 'How many steps are open today',
      read: readDueToday,
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

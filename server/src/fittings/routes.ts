import type { FastifyInstance } from 'fastify';
import { askBite, askBites, type BiteOfStretch } from '@gonimos/contract/fittings';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { readyFacts } from '../planning/replan.ts';
import { biteOf } from './bites.ts';
import { readFittings } from './store.ts';

export function fittingRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/fittings',
    role: 'helper',
    summary: 'What is on the plants: wire, ties, wedges, covers and whatever else has a day to go',
    read: readFittings,
  });

  route(app, {
    method: 'POST',
    url: '/calc/bite',
    role: 'helper',
    summary: 'When what is put around the base or stem of a cohort today will bite',
    body: askBite,
    handle: async ({ body }) => {
      const planning = await app.planning(app.db);
      const [facts] = await readyFacts(app.db, [body.cohortId], planning);
      return biteOf(facts, planning, body.part);
    },
  });

  route(app, {
    method: 'POST',
    url: '/calc/bites',
    role: 'helper',
    summary: 'When wires on stretches of a plant would bite: each by the swelling of its own stretch',
    body: askBites,
    handle: async ({ body }): Promise<BiteOfStretch[]> => {
      const planning = await app.planning(app.db);
      const [facts] = await readyFacts(app.db, [body.cohortId], planning);
      return body.stretches.map(({ id, of, share }) => ({
        id,
        ...biteOf(facts, planning, { of, share }),
      }));
    },
  });
}

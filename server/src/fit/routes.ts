import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import type { PotsProposed } from '@gonimos/contract/fit';
import { route } from '../http/route.ts';
import { readyFacts } from '../planning/replan.ts';
import type { RootRecordRow } from '@gonimos/contract/root-records';
import { readDrawings } from '../drawings/store.ts';
import { proposalsFor } from './service.ts';

/** Which containers suit a cohort next. */
export function fitRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/pots',
    role: 'helper',
    summary: 'Containers that suit a cohort at its next move, by how its roots grow and what stays wet',
    params: object({ id: id() }),
    handle: async ({ params: p }): Promise<PotsProposed> => {
      const planning = await app.planning(app.db);
      const [facts] = await readyFacts(app.db, [p.id], planning);
      const drawn = await readDrawings<RootRecordRow>(app.db, 'root_record', p.id);
      const book = planning.books.get(facts.placeId)!;
      const levels = { ...facts.schools, nursery: planning.schools, programme: facts.programme.schools };
      const asked = { facts, book, today: planning.today, levels };
      return proposalsFor(asked, facts.container, drawn.at(-1)?.record ?? null);
    },
  });
}

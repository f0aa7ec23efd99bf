import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readPot } from './store.ts';

export function potRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/pot',
    role: 'helper',
    summary: 'Who stands in one pot with a cohort, when it may be opened for all, whether it can be parted',
    params: object({ id: id() }),
    handle: async ({ params: p }) => readPot(app.db, p.id, todayAt(await readNursery(app.db))),
  });
}

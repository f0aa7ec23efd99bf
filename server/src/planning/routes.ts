import type { FastifyInstance } from 'fastify';
import { pausePlanning } from '@gonimos/contract/planning';
import { route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { planningState } from './due-store.ts';

export function planningRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/planning',
    role: 'helper',
    summary: 'How far the planning of many courses has come, and which cannot be planned',
    handle: () => planningState(app.db),
  });

  route(app, {
    method: 'PUT',
    url: '/planning',
    role: 'grower',
    summary: 'Stops the planning of many courses, or lets it go on; what is left stays due',
    body: pausePlanning,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'planning', body, person }, async ({ trx }) => {
        await trx('nursery').update({ planningPaused: body.paused });
        return answering(await planningState(trx));
      }),
  });
}

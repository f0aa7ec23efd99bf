import type { FastifyInstance } from 'fastify';
import { answerMissed } from '@gonimos/contract/missed';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { answerMissedSteps } from './service.ts';

export function missedRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/missed',
    role: 'grower',
    summary: 'What became of steps that were missed: done on a day, left for the next window, or let go',
    body: answerMissed,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'missed', body, person }, (w) => answerMissedSteps(w, body)),
  });
}

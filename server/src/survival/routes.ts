import type { FastifyInstance } from 'fastify';
import { route } from '../http/route.ts';
import { readScores } from './store.ts';

export function survivalRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/survival',
    role: 'helper',
    summary: 'How well the stated odds of living did, of the model and of the growers (Brier scores)',
    handle: () => readScores(app.db),
  });
}

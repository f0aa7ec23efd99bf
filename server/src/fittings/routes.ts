import type { FastifyInstance } from 'fastify';
import { route } from '../http/route.ts';
import { readFittings } from './store.ts';

export function fittingRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/fittings',
    role: 'helper',
    summary: 'What is on the plants: wire, ties, wedges, covers and whatever else has a day to go',
    handle: () => readFittings(app.db),
  });
}

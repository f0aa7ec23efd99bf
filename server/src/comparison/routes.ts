import type { FastifyInstance } from 'fastify';
import { askComparison } from '@gonimos/contract/comparison';
import { route } from '../http/route.ts';
import { readComparison } from './service.ts';

export function comparisonRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/comparison',
    role: 'helper',
    summary: 'Years, methods or lots against each other, without claiming why they differ',
    query: askComparison,
    handle: ({ query }) => readComparison(app.db, query),
  });
}

import type { FastifyInstance } from 'fastify';
import { askComparison } from '@gonimos/contract/comparison';
import { readRoute } from '../http/reading.ts';
import { readComparison } from './service.ts';

export function comparisonRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/comparison',
    role: 'helper',
    summary: 'Years, methods or lots against each other, without claiming why they differ',
    query: askComparison,
    read: (sql, { query }) => readComparison(sql, query),
  });
}

import type { FastifyInstance } from 'fastify';
import { route } from '../http/route.ts';
import { readAudit } from './store.ts';

export function auditRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/audit',
    role: 'owner',
    summary: 'Changes of people, roles, site, schools and programmes, newest first',
    handle: () => readAudit(app.db),
  });
}

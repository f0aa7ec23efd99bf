import type { FastifyInstance } from 'fastify';
import { route } from '../http/route.ts';
import { findNursery, todayAt } from '../nursery/store.ts';
import { writeEverything } from './write.ts';

export function everythingRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/everything.zip',
    role: 'owner',
    summary: 'Everything out: each table as CSV, all rows as JSON, pictures, and a README of the columns',
    limit: 6,
    handle: async ({ reply }) => {
      const nursery = await findNursery(app.db);
      const day = nursery ? todayAt(nursery) : 'empty';
      return reply
        .type('application/zip')
        .header('content-disposition', `attachment; filename="gonimos-${day}.zip"`)
        .send(await writeEverything(app.db));
    },
  });
}

import type { FastifyInstance } from 'fastify';
import type { LastBackup } from '@gonimos/contract/everything';
import type { Sql } from '../db/index.ts';
import { route } from '../http/route.ts';
import { findNursery, todayAt } from '../nursery/store.ts';
import { writeEverything } from './write.ts';

/** A copy older than this is told to owners, days. */
const OLD_DAYS = 14;

async function lastBackup(sql: Sql): Promise<LastBackup> {
  // the demo is made anew and wants no copies
  const nursery = await findNursery(sql);
  const kept = await sql('setting').where({ key: 'last backup' }).first('value');
  const at = kept?.value ?? null;
  const days = at === null ? Infinity : (Date.now() - Date.parse(at)) / 86_400_000;
  const ours = nursery !== undefined && nursery.demoToday === null;
  return { at, old: ours && days > OLD_DAYS };
}

export function everythingRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/backup',
    role: 'owner',
    summary: 'When the database was last copied, and whether that is too long ago',
    handle: () => lastBackup(app.db),
  });

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

import type { FastifyInstance } from 'fastify';
import { countStock } from '@gonimos/contract/stock';
import { container } from '@gonimos/core/containers';
import { planAgain } from '../course/due.ts';
import { once } from '../http/once.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readStock, wantersOf, writeCount } from './store.ts';

export function stockRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/stock',
    role: 'helper',
    summary: 'Containers on the shelf, arriving, and wanted by the next ninety days',
    handle: async () => readStock(app.db, todayAt(await readNursery(app.db))),
  });

  route(app, {
    method: 'PUT',
    url: '/stock',
    role: 'grower',
    summary: 'Counts one kind of container; steps that want it are planned again',
    body: countStock,
    handle: ({ body }) =>
      once(app.db, body.id, 'stock', body, async (trx) => {
        const today = todayAt(await readNursery(trx));
        await writeCount(trx, body, today);
        const cause = `${container(body.container).name}: counted on the shelf`;
        await planAgain(trx, await wantersOf(trx, [body.container], today), cause);
        return readStock(trx, today);
      }),
  });
}

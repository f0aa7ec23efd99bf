import type { FastifyInstance } from 'fastify';
import { countStock } from '@gonimos/contract/stock';
import { container } from '@gonimos/core/containers';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
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
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'stock', body, person }, async ({ trx }) => {
        const today = todayAt(await readNursery(trx));
        await writeCount(trx, body, today);
        const cause = `${container(body.container).name}: counted on the shelf`;
        const wanters = await wantersOf(trx, [body.container], today);
        return { touched: wanters, cause, answer: () => readStock(trx, today) };
      }),
  });
}

import type { FastifyInstance } from 'fastify';
import { countStock } from '@gonimos/contract/stock';
import { container } from '@gonimos/core/containers';
import { replanSome } from '../course/replan.ts';
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
    handle: async ({ body }) => {
      const today = todayAt(await readNursery(app.db));
      await writeCount(app.db, body, today);
      const cause = `${container(body.container).name}: counted on the shelf`;
      await replanSome(app.db, await wantersOf(app.db, [body.container], today), cause);
      return readStock(app.db, today);
    },
  });
}

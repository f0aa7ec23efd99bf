import type { FastifyInstance } from 'fastify';
import { arrival, countStock } from '@gonimos/contract/stock';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { countShelf, takeArrival } from './service.ts';
import { readStock } from './store.ts';

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
      write(app, { id: body.id, what: 'stock', body, person }, (w) => countShelf(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/stock/arrival',
    role: 'helper',
    summary: 'What came of a delivery that was expected; the rest on another day, or not at all',
    body: arrival,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'arrival', body, person }, (w) => takeArrival(w, body)),
  });
}

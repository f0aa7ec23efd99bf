import type { FastifyInstance } from 'fastify';
import { countMix, makeBatch, saveMix, withdrawBatch } from '@gonimos/contract/mixes';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { write } from '../write/write.ts';
import { mixWrites } from './service.ts';
import { readShed } from './store.ts';

export function mixRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/mixes',
    role: 'helper',
    summary: 'Mixes that can be used, and their components in the bins against what steps want',
    read: async (sql) => readShed(sql, todayAt(await readNursery(sql))),
  });

  route(app, {
    method: 'PUT',
    url: '/mixes',
    role: 'grower',
    summary: 'Keeps a mix of the nursery, or what a drain test of one found',
    body: saveMix,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'mix', body, person }, (w) => mixWrites.save(w, body)),
  });

  route(app, {
    method: 'PUT',
    url: '/mix-stock',
    role: 'grower',
    summary: 'Counts one component in the bins, litres',
    body: countMix,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'mix stock', body, person }, (w) => mixWrites.count(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/mix-batches',
    role: 'helper',
    summary: 'Makes mix ahead; its components leave the bins',
    body: makeBatch,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'mix batch', body, person }, (w) => mixWrites.batch(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/mix-batches/withdraw',
    role: 'helper',
    summary: 'Takes back a batch that was told in error, as long as nothing was taken from it',
    body: withdrawBatch,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'mix batch withdrawn', body, person }, (w) =>
        mixWrites.withdraw(w, body),
      ),
  });
}

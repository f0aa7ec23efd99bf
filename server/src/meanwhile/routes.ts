import type { FastifyInstance } from 'fastify';
import { seen } from '@gonimos/contract/meanwhile';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { answering, write } from '../write/write.ts';
import { readMeanwhile, setSeen } from './store.ts';

export function meanwhileRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/meanwhile',
    role: 'helper',
    summary: 'What happened since you were last here: what others took down, what moved, what was lost',
    handle: async ({ person }) => readMeanwhile(app.db, person.id, todayAt(await readNursery(app.db))),
  });

  route(app, {
    method: 'PUT',
    url: '/meanwhile',
    role: 'helper',
    summary: 'You have seen what happened up to today',
    body: seen,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'seen', body, person }, async ({ trx }) => {
        const today = todayAt(await readNursery(trx));
        await setSeen(trx, person.id, today);
        return answering({ since: today });
      }),
  });
}

import { randomUUID } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { askDone, askMove, askPutOff, batchPutOff, moveStep } from '@gonimos/contract/moves';
import { insertLines } from '../records/store.ts';
import { lockCohorts } from '../write/lock.ts';
import { route } from '../http/route.ts';
import { touching, write } from '../write/write.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { batchLines, doneCost, putOffCost, setStep, tryMove } from './service.ts';

export function moveRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/calc/move',
    role: 'helper',
    summary: 'Whether a step may be set to a day, the rule that refuses, and what would move with it',
    body: askMove,
    handle: async ({ body }) =>
      tryMove(app.db, await app.planning(app.db), body.cohortId, body.stepKey, body.to),
  });

  route(app, {
    method: 'POST',
    url: '/calc/done',
    role: 'helper',
    summary: 'What doing a step on a day would move, before it is done',
    body: askDone,
    handle: async ({ body }) => doneCost(app.db, await app.planning(app.db), body),
  });

  route(app, {
    method: 'POST',
    url: '/calc/put-off',
    role: 'helper',
    summary:
      'What putting a step off would cost: where it lands, what moves, the days that stay within its window',
    body: askPutOff,
    handle: async ({ body }) => putOffCost(app.db, await app.planning(app.db), body),
  });

  route(app, {
    method: 'POST',
    url: '/moves',
    role: 'grower',
    summary: 'Sets a step to a day by hand; against a rule only with a reason that is kept',
    body: moveStep,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'move', body, person }, (w) => setStep(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/calc/batch-put-off',
    role: 'grower',
    summary: 'The steps that putting off a whole kind of work would touch',
    body: batchPutOff,
    handle: ({ body }) => batchLines(app.db, body),
  });

  route(app, {
    method: 'POST',
    url: '/batch-put-offs',
    role: 'grower',
    summary: 'Puts the same work off for many cohorts, for one reason',
    body: batchPutOff,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'batch put-off', body, person }, async ({ trx }) => {
        const today = todayAt(await readNursery(trx));
        const found = await batchLines(trx, body);
        await lockCohorts(
          trx,
          found.map((l) => l.cohortId),
        );
        await insertLines(
          trx,
          found.map((l) => ({
            id: randomUUID(),
            cohortId: l.cohortId,
            kind: 'put off',
            stepKey: l.stepKey,
            on: today,
            until: l.until,
            reason: body.reason,
            personId: person.id,
          })),
        );
        const ids = found.map((l) => l.cohortId);
        return touching(ids, `put off for many: ${body.reason}`, found);
      }),
  });
}

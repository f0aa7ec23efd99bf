import { randomUUID } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { askMove, batchPutOff, moveStep } from '@gonimos/contract/moves';
import { lockCohorts } from '../cohorts/lock.ts';
import { planAgain } from '../course/due.ts';
import { once } from '../http/once.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { batchLines, setStep, tryMove } from './service.ts';

export function moveRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/calc/move',
    role: 'helper',
    summary: 'Whether a step may be set to a day, the rule that refuses, and what would move with it',
    body: askMove,
    handle: ({ body }) => tryMove(app.db, body.cohortId, body.stepKey, body.to),
  });

  route(app, {
    method: 'POST',
    url: '/moves',
    role: 'grower',
    summary: 'Sets a step to a day by hand; against a rule only with a reason that is kept',
    body: moveStep,
    handle: ({ body, person }) => once(app.db, body.id, 'move', body, (trx) => setStep(trx, body, person)),
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
      once(app.db, body.id, 'batch put-off', body, async (trx) => {
        const today = todayAt(await readNursery(trx));
        const found = await batchLines(trx, body);
        await lockCohorts(
          trx,
          found.map((l) => l.cohortId),
        );
        if (found.length > 0)
          await trx('record').insert(
            found.map((l) => ({
              ...{ id: randomUUID(), cohort_id: l.cohortId, kind: 'put off', step_key: l.stepKey },
              ...{ on_date: today, until: l.until, reason: body.reason, person_id: person.id },
            })),
          );
        const ids = [...new Set(found.map((l) => l.cohortId))];
        await planAgain(trx, ids, `put off for many: ${body.reason}`);
        return found;
      }),
  });
}

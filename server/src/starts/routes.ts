import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { askStart, closeGoal as closing, newGoal } from '@gonimos/contract/starts';
import { stagesOf } from '@gonimos/core/starts';
import { programmeFor } from '../library/store.ts';
import { wrongField } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { readNursery, readPlace, todayAt } from '../nursery/store.ts';
import { answerStart } from './answer.ts';
import { closeGoal, insertGoal, readGoals } from './goals.ts';

const params = object({ id: id() });

export function startRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/calc/start-numbers',
    role: 'helper',
    summary: 'How many to sow, stick or layer for so many plants at a stage, and what each confidence costs',
    body: askStart,
    handle: ({ body }) => answerStart(app.db, body),
  });

  route(app, {
    method: 'GET',
    url: '/goals',
    role: 'helper',
    summary: 'Open goals: what is under way, what is still to start, and when',
    handle: () => readGoals(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/goals',
    role: 'grower',
    summary: 'Keeps a goal, so that starts are offered until it is met',
    body: newGoal,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'goal', body, person }, async ({ trx }) => {
        await readPlace(trx, body.placeId);
        const { programme } = await programmeFor(trx, body.programmeId);
        if (!stagesOf(programme).some((s) => s.stage === body.stage))
          throw wrongField('stage', 'is not one of this programme');
        await insertGoal(trx, body, person.id);
        return answering({ id: body.id });
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/goals/:id/close',
    role: 'grower',
    summary: 'Closes a goal: nothing is offered for it any more',
    params,
    body: closing,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `close goal ${p.id}`, body, person }, async ({ trx }) => {
        await closeGoal(trx, p.id, body.version, todayAt(await readNursery(trx)));
        return answering({ id: p.id });
      }),
  });
}

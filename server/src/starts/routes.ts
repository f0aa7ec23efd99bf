import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { askStart, closeGoal as closing, newGoal } from '@gonimos/contract/starts';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { answerStart } from './answer.ts';
import { enterGoal } from './enter.ts';
import { closeGoal, readGoals } from './goals.ts';

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

  readRoute(app, {
    url: '/goals',
    role: 'helper',
    summary: 'Open goals: what is under way, what is still to start, and when',
    read: readGoals,
  });

  route(app, {
    method: 'POST',
    url: '/goals',
    role: 'grower',
    summary: 'Keeps a goal, so that starts are offered until it is met',
    body: newGoal,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'goal', body, person }, (w) => enterGoal(w, body)),
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

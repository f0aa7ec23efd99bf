import type { FastifyInstance } from 'fastify';
import { newVisit, release } from '@gonimos/contract/visits';
import { readFacts } from '../course/facts.ts';
import { once } from '../http/once.ts';
import { conflict } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { outcomeOf } from '../records/outcome.ts';
import { lockCohort } from '../cohorts/lock.ts';
import { recordVisit } from './service.ts';
import { insertRelease } from './store.ts';
import { readScores } from './survival.ts';

export function visitRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/visits',
    role: 'helper',
    summary: 'An unplanned look: findings, decision, likely causes of failed roots, and the plan after it',
    body: newVisit,
    handle: ({ body, person }) =>
      once(app.db, body.id, 'visit', body, (trx) => recordVisit(trx, body, person)),
  });

  route(app, {
    method: 'POST',
    url: '/releases',
    role: 'grower',
    summary: 'Releases a cohort from quarantine',
    body: release,
    handle: ({ body, person }) =>
      once(app.db, body.id, 'release', body, async (trx) => {
        await lockCohort(trx, body.cohortId);
        const [facts] = await readFacts(trx, [body.cohortId]);
        if (!facts.quarantine) throw conflict('This cohort is not held in quarantine.');
        await insertRelease(trx, body, todayAt(await readNursery(trx)), person.id);
        return outcomeOf(trx, body.cohortId, body.id, 'it was released from quarantine');
      }),
  });

  route(app, {
    method: 'GET',
    url: '/survival',
    role: 'helper',
    summary: 'How well the stated odds of living did, of the model and of the growers (Brier scores)',
    handle: () => readScores(app.db),
  });
}

import type { FastifyInstance } from 'fastify';
import { newVisit, release } from '@gonimos/contract/visits';
import { readFacts } from '../facts/facts.ts';
import { conflict } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { onCohort } from '../course/outcome.ts';
import { lockCohort } from '../write/lock.ts';
import { recordVisit } from './service.ts';
import { insertRelease } from './store.ts';

export function visitRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/visits',
    role: 'helper',
    summary: 'An unplanned look: findings, decision, likely causes of failed roots, and the plan after it',
    body: newVisit,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'visit', body, person }, (w) => recordVisit(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/releases',
    role: 'grower',
    summary: 'Releases a cohort from quarantine',
    body: release,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'release', body, person }, async ({ trx }) => {
        await lockCohort(trx, body.cohortId);
        const [facts] = await readFacts(trx, [body.cohortId]);
        if (!facts.quarantine) throw conflict('This cohort is not held in quarantine.');
        await insertRelease(trx, body, todayAt(await readNursery(trx)), person.id);
        return onCohort(trx, body.cohortId, body.id, 'it was released from quarantine');
      }),
  });
}

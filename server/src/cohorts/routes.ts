import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { editCohort, newCohort, promotePlant, settleKind, splitCohort } from '@gonimos/contract/cohorts';
import { id } from '@gonimos/contract/fields';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { readNursery, readPlace, todayAt } from '../nursery/store.ts';
import { lockCohort } from '../write/lock.ts';
import { mayStandThere, stand } from './place.ts';
import { enterCohort, promote, settleKind as settle, splitCohort as split } from './service.ts';
import { readCohort, readRegister, registerTag, updateCohort } from './store.ts';

const params = object({ id: id() });

export function cohortRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/cohorts',
    role: 'helper',
    summary: 'The register',
    // a write of what no register shows leaves it as it is
    tag: registerTag,
    read: readRegister,
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id',
    role: 'helper',
    summary: 'One cohort with its counts',
    params,
    handle: ({ params: p }) => readCohort(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts',
    role: 'grower',
    summary: 'Enters a cohort and plans its course',
    body: newCohort,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'cohort', body, person }, (w) => enterCohort(w, body)),
  });

  route(app, {
    method: 'PUT',
    url: '/cohorts/:id',
    role: 'grower',
    summary: 'Changes code, place, goal, school or note, against the version it was based on',
    params,
    body: editCohort,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `cohort ${p.id}`, body, person }, async ({ trx }) => {
        await lockCohort(trx, p.id);
        const was = await readCohort(trx, p.id);
        await readPlace(trx, body.placeId);
        if (body.placeId !== was.placeId) await mayStandThere(trx, was, body.placeId, body.moveAnyway);
        const today = todayAt(await readNursery(trx));
        await updateCohort(trx, p.id, body, was, today, person.id);
        const guests = body.placeId === was.placeId ? [] : await stand(trx, p.id, body.placeId, today);
        return {
          touched: [p.id, ...guests],
          cause: 'the cohort was changed',
          answer: () => readCohort(trx, p.id),
        };
      }),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/split',
    role: 'grower',
    summary: 'Parts plants off into a cohort of their own',
    params,
    body: splitCohort,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `split ${p.id}`, body, person }, (w) => split(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/kind',
    role: 'grower',
    summary: 'Says which of the kinds it might be a cohort is',
    params,
    body: settleKind,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `kind ${p.id}`, body, person }, (w) => settle(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/promote',
    role: 'grower',
    summary: 'Takes one plant out, to be followed by its own tag',
    params,
    body: promotePlant,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `promote ${p.id}`, body, person }, (w) => promote(w, p.id, body)),
  });
}

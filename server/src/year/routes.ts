import type { FastifyInstance } from 'fastify';
import { number, object } from 'yup';
import { clearWeeks, keepWeeks, lockStep, lockWeek } from '@gonimos/contract/year';
import { Leveller, shortfalls } from '@gonimos/core/year';
import { lockCohort } from '../write/lock.ts';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { answering, touching, write } from '../write/write.ts';
import { openOwnStep } from '../course/open.ts';
import { keepLevelled } from './keep.ts';
import { readYear } from './service.ts';
import { readLockedWeeks, writeWeeks } from './store.ts';

const MOST_WEEKS = 52;
const weeks = () => number().integer().oneOf([26, 52]).default(MOST_WEEKS);

export function yearRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/year',
    role: 'helper',
    summary: 'The weeks ahead: steps with their windows, people and their hours, weeks kept',
    query: object({ weeks: weeks() }),
    read: (sql, { query }) => readYear(sql, query.weeks),
  });

  route(app, {
    method: 'POST',
    url: '/calc/level',
    role: 'grower',
    summary: 'A first levelled plan of the weeks ahead, what would not fit, and the proven bound',
    body: object({ weeks: weeks() }).noUnknown(),
    limit: 20,
    handle: async ({ body }) => {
      const { problem } = await readYear(app.db, body.weeks);
      const leveller = new Leveller(problem);
      const plan = leveller.first();
      return { ...plan, bound: leveller.bound, shortfalls: shortfalls(problem, plan) };
    },
  });

  route(app, {
    method: 'POST',
    url: '/year/weeks',
    role: 'grower',
    summary: 'Keeps the weeks of a levelled year; locked steps stay, courses are planned again',
    body: keepWeeks,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'year weeks', body, person }, (w) => keepLevelled(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/year/clear',
    role: 'grower',
    summary: 'Lets go of the weeks kept, but for locked steps',
    body: clearWeeks,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'clear weeks', body, person }, async ({ trx }) => {
        const gone: { cohortId: string }[] = await trx('year_week')
          .where('locked', false)
          .delete()
          .returning('cohortId');
        const ids = [...new Set(gone.map((w) => w.cohortId))];
        return touching(ids, 'the levelled weeks were let go', { cleared: ids.length });
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/year/step',
    role: 'grower',
    summary: 'Locks a step into a week, or lets it go',
    body: lockStep,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'year step', body, person }, async ({ trx }) => {
        await lockCohort(trx, body.cohortId);
        const step = await openOwnStep(trx, body.cohortId, body.key);
        const row = { cohortId: body.cohortId, key: body.key };
        if (body.week === null) await trx('year_week').where(row).delete();
        else await writeWeeks(trx, [{ ...row, week: body.week, later: 0, locked: true }]);
        const cause = `‘${step.title}’ was ${body.week ? 'locked into a week' : 'let go'}`;
        return touching([body.cohortId], cause, { ok: true });
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/year/week',
    role: 'grower',
    summary: 'Locks a week as it stands, or opens it again',
    body: lockWeek,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'year week', body, person }, async ({ trx }) => {
        if (body.locked) await trx('locked_week').insert({ week: body.week }).onConflict('week').ignore();
        else await trx('locked_week').where({ week: body.week }).delete();
        await trx('year_week').where({ week: body.week }).update({ locked: body.locked });
        return answering(await readLockedWeeks(trx));
      }),
  });
}

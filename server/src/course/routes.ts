import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import type { CohortCourse } from '@gonimos/contract/course';
import { id } from '@gonimos/contract/fields';
import { notFound } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { courseCalendar } from './calendar.ts';
import { readChanges, readCourse } from './store.ts';

const params = object({ id: id() });

export function courseRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/course',
    role: 'helper',
    summary: 'The course as planned, with the rules behind every date',
    params,
    handle: async ({ params: p }): Promise<CohortCourse> => {
      const cohort = await app.db('cohort').where({ id: p.id }).first('endsOn', 'rootBoundOn');
      return {
        steps: await readCourse(app.db, p.id),
        endsOn: cohort?.endsOn ?? null,
        rootBoundOn: cohort?.rootBoundOn ?? null,
      };
    },
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/changes',
    role: 'helper',
    summary: 'What moved, when and why, newest first',
    params,
    handle: ({ params: p }) => readChanges(app.db, p.id),
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/course.ics',
    role: 'helper',
    summary: 'The steps still to do as an iCalendar file',
    params,
    handle: async ({ params: p, reply }) => {
      const cohort = await app.db('cohort').where({ id: p.id }).first('code');
      if (!cohort) throw notFound('cohort');
      const today = todayAt(await readNursery(app.db));
      const text = courseCalendar(cohort.code, p.id, await readCourse(app.db, p.id), today);
      return reply
        .type('text/calendar; charset=utf-8')
        .header('content-disposition', `attachment; filename="${encodeURIComponent(cohort.code)}.ics"`)
        .send(text);
    },
  });
}

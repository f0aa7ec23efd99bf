import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { adoptCourse as schema, type Measured, type TrunkLab } from '@gonimos/contract/trunk';
import { labStart, learnGrowth, stretchesOf } from '@gonimos/core/lab';
import { chosen } from '@gonimos/core/schools';
import { spreadOf } from '@gonimos/core/stats';
import type { Sql } from '../db/index.ts';
import { sure } from '../db/sure.ts';
import { route } from '../http/route.ts';
import { readyFacts } from '../planning/replan.ts';
import { write } from '../write/write.ts';
import { adoptCourse, tryAdopt } from './service.ts';

/** Samples of calipers that were recorded on a cohort itself, oldest first. */
async function measuredOf(sql: Sql, cohortId: string): Promise<Measured[]> {
  const rows = await sql('standing_record')
    .where({ cohortId })
    .whereRaw("details \\? 'sizes'")
    .orderBy(['onDate', 'seq'])
    .select('onDate', 'details');
  return rows.flatMap(({ onDate: on, details }) => {
    const { caliper, calipers = [], at = 0 } = details.sizes ?? {};
    if (caliper === null || caliper === undefined) return [];
    return [{ on, at, caliper, n: Math.max(1, calipers.length), sd: spreadOf(calipers) }];
  });
}

/** What the trunk lab begins with; its courses are worked out where they are looked at. */
export function trunkRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/trunk',
    role: 'helper',
    summary: 'The typical plant of a cohort as a course of thickening would begin with it',
    params: object({ id: id() }),
    handle: async ({ params: p }): Promise<TrunkLab> => {
      const planning = await app.planning(app.db);
      const [facts] = await readyFacts(app.db, [p.id], planning);
      const { goalCaliper } = await sure(app.db('cohort').where({ id: p.id }).first('goalCaliper'));
      const book = planning.books.get(facts.placeId)!;
      const levels = { ...facts.schools, nursery: planning.schools, programme: facts.programme.schools };
      return {
        start: labStart(facts, book, planning.today),
        growth: learnGrowth(stretchesOf(facts, book)),
        goal: goalCaliper,
        container: facts.container,
        row: { lift: chosen('ground-lift', levels).option, cut: chosen('ground-cut', levels).option },
        measured: await measuredOf(app.db, p.id),
      };
    },
  });

  route(app, {
    method: 'POST',
    url: '/calc/adopt',
    role: 'helper',
    summary: 'What taking a course of the trunk lab into the plan of its cohort would change',
    body: schema,
    handle: async ({ body }) => tryAdopt(app.db, await app.planning(app.db), body),
  });

  route(app, {
    method: 'POST',
    url: '/adoptions',
    role: 'grower',
    summary: 'Takes a course of the trunk lab into the plan of its cohort',
    body: schema,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'adoption', body, person }, (w) => adoptCourse(w, body, person.id)),
  });
}

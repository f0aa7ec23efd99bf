import { randomUUID } from 'node:crypto';
import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newRoutine, type NewRoutine, type Routine } from '@gonimos/contract/year';
import { addDays } from '@gonimos/core/calendar';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { readPlace } from '../nursery/store.ts';
import type { Writing, Written } from '../write/types.ts';
import { answering, write } from '../write/write.ts';

export const readRoutines = (sql: Sql): Promise<Routine[]> =>
  sql('routine')
    .orderBy(['what', 'fromMonth', 'createdAt'])
    .select('id', 'what', 'placeId', 'hours', 'fromMonth', 'toMonth');

/** Whether a month lies from one to another, over the turn of the year where the last is before the first. */
const within = (month: number, { fromMonth, toMonth }: Routine): boolean =>
  fromMonth <= toMonth ? month >= fromMonth && month <= toMonth : month >= fromMonth || month <= toMonth;

/** Minutes of routine in each week, by the month its Thursday falls in. */
export const routineMinutes = (routines: readonly Routine[], weeks: readonly string[]): number[] =>
  weeks.map((monday) => {
    const month = Number(addDays(monday, 3).slice(5, 7));
    return 60 * routines.filter((r) => within(month, r)).reduce((n, r) => n + r.hours, 0);
  });

export async function addRoutine({ trx }: Writing, n: NewRoutine): Promise<Written<{ id: string }>> {
  if (n.placeId !== null) await readPlace(trx, n.placeId);
  const routineId = randomUUID();
  await trx('routine').insert({
    id: routineId,
    what: n.what,
    placeId: n.placeId,
    hours: n.hours,
    fromMonth: n.fromMonth,
    toMonth: n.toMonth,
  });
  return answering({ id: routineId });
}

export function routineRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/routines',
    role: 'grower',
    summary: 'Hours a week of watering, weeding and the like, by place and months; the year has the rest',
    body: newRoutine,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'routine', body, person }, (w) => addRoutine(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/routines/:id/end',
    role: 'grower',
    summary: 'Takes routine hours out of the year',
    params: object({ id: id() }),
    body: object({ id: id() }).noUnknown(),
    handle: ({ params, body, person }) =>
      write(app, { id: body.id, what: `end routine ${params.id}`, body, person }, async ({ trx }) => {
        if ((await trx('routine').where({ id: params.id }).delete()) === 0) throw notFound('routine');
        return answering({ ok: true });
      }),
  });
}

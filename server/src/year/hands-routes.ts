import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { absence, personHours } from '@gonimos/contract/year';
import { conflict, notFound } from '../http/problem.ts';
import { route } from '../http/route.ts';
import { answering, write } from '../write/write.ts';
import { giveHours } from './keep.ts';

/** Hours that people give, and when they are away. */
export function handsRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'PUT',
    url: '/people/:id/hours',
    role: 'owner',
    summary: 'Hours a week that a person gives, and whether they have practice',
    params: object({ id: id() }),
    body: personHours,
    handle: ({ params, body, person: by }) =>
      write(app, { id: body.id, what: `hours ${params.id}`, body, person: by }, (w) =>
        giveHours(w, params.id, body),
      ),
  });

  route(app, {
    method: 'PUT',
    url: '/people/:id/absence',
    role: 'grower',
    summary: 'Hours a person gives in one week instead of the usual; null: the usual again',
    params: object({ id: id() }),
    body: absence,
    handle: ({ params, body, person: by }) =>
      write(app, { id: body.id, what: `absence ${params.id}`, body, person: by }, async ({ trx }) => {
        const person = await trx('person').where({ id: params.id }).forUpdate().first('id');
        if (!person) throw notFound('person');
        const row = { personId: params.id, week: body.week };
        const now = await trx('absence').where(row).first('hours');
        if ((now?.hours ?? null) !== (body.was ?? null))
          throw conflict('The hours of that week were changed meanwhile.', now ?? { hours: null });
        if (body.hours === null) await trx('absence').where(row).delete();
        else
          await trx('absence')
            .insert({ ...row, hours: body.hours })
            .onConflict(['personId', 'week'])
            .merge();
        return answering({ ok: true });
      }),
  });
}

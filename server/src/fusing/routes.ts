import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { lookAtJoint } from '@gonimos/contract/fusing';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { lookAt } from './service.ts';
import { readGroups } from './store.ts';

const params = object({ id: id() });

export function fusingRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/groups',
    role: 'helper',
    summary: 'Stems of a cohort that were set together, and what came of each way of holding them',
    params,
    handle: ({ params: p }) => readGroups(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/groups/look',
    role: 'helper',
    summary: 'What was seen of a joint',
    body: lookAtJoint,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'joint', body, person }, (w) => lookAt(w, body)),
  });
}

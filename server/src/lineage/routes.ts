import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { fusePlants, identifyCohort, mergeCohort, newTally, type NewTally } from '@gonimos/contract/lineage';
import { once } from '../http/once.ts';
import { route } from '../http/route.ts';
import { fuse, identify, merge, readLineage, tally } from './service.ts';
import { readTallies } from './store.ts';

const params = object({ id: id() });

export function lineageRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/lineage',
    role: 'helper',
    summary: 'The family of a cohort over generations, with survival at each edge, and its names before',
    params,
    handle: ({ params: p }) => readLineage(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/merge',
    role: 'grower',
    summary: 'Puts plants in with another cohort of the same kind',
    params,
    body: mergeCohort,
    handle: ({ params: p, body, person }) =>
      once(app.db, body.id, `merge ${p.id}`, body, (trx) => merge(trx, p.id, body, person)),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/fuse',
    role: 'grower',
    summary: 'Stems set together to become fewer plants',
    params,
    body: fusePlants,
    handle: ({ params: p, body, person }) =>
      once(app.db, body.id, `fuse ${p.id}`, body, (trx) => fuse(trx, p.id, body, person)),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/identify',
    role: 'grower',
    summary: 'Another code or tag, with the reason; old ones are kept and still found',
    params,
    body: identifyCohort,
    handle: ({ params: p, body, person }) =>
      once(app.db, body.id, `identify ${p.id}`, body, (trx) => identify(trx, p.id, body, person)),
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/tallies',
    role: 'helper',
    summary: 'Counts by state inside a cohort, newest first',
    params,
    handle: ({ params: p }) => readTallies(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/tallies',
    role: 'helper',
    summary: 'A walk through with a count by state',
    params,
    body: newTally,
    handle: ({ params: p, body, person }) =>
      once(app.db, body.id, `tally ${p.id}`, body, (trx) => tally(trx, p.id, body as NewTally, person)),
  });
}

import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { fusePlants, identifyCohort, mergeCohort, newTally, type NewTally } from '@gonimos/contract/lineage';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { fuse, identify, merge, readLineage, tally } from './service.ts';
import { readTallies } from './store.ts';

const params = object({ id: id() });

export function lineageRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/cohorts/:id/lineage',
    role: 'helper',
    summary: 'The family of a cohort over generations, with survival at each edge, and its names before',
    params,
    read: (sql, { params: p }) => readLineage(sql, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/merge',
    role: 'grower',
    summary: 'Puts plants in with another cohort of the same kind',
    params,
    body: mergeCohort,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `merge ${p.id}`, body, person }, (w) => merge(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/fuse',
    role: 'grower',
    summary: 'Stems set together to become fewer plants',
    params,
    body: fusePlants,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `fuse ${p.id}`, body, person }, (w) => fuse(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/identify',
    role: 'grower',
    summary: 'Another code or tag, with the reason; old ones are kept and still found',
    params,
    body: identifyCohort,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `identify ${p.id}`, body, person }, (w) => identify(w, p.id, body)),
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
      write(app, { id: body.id, what: `tally ${p.id}`, body, person }, (w) =>
        tally(w, p.id, body as NewTally),
      ),
  });
}

import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { endProtection, newProtection, newSeedEvent, newSeedLot } from '@gonimos/contract/seed';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { coverPlants, enterLot, tellOfLot, uncoverPlants } from './enter.ts';
import { readLots, readSowing } from './service.ts';

const params = object({ id: id() });

export function seedRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/seed-lots',
    role: 'helper',
    summary: 'Seed lots with what was done to them, what is left, and what they want before sowing',
    handle: () => readLots(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/seed-lots',
    role: 'grower',
    summary: 'Enters a seed lot',
    body: newSeedLot,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'seed lot', body, person }, (w) => enterLot(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/seed-lots/:id/events',
    role: 'helper',
    summary: 'Soaked, to warm, to cold, out, a viability test, thrown away',
    params,
    body: newSeedEvent,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `seed event ${p.id}`, body, person }, (w) => tellOfLot(w, p.id, body)),
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/sowing',
    role: 'helper',
    summary: 'Emergence over time with t50, covers, the risk of animals, losses before emergence',
    params,
    handle: ({ params: p }) => readSowing(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/protections',
    role: 'helper',
    summary: 'A cover over plants or seed: mesh, fleece, cage or glass',
    params,
    body: newProtection,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `protection ${p.id}`, body, person }, (w) =>
        coverPlants(w, p.id, body),
      ),
  });

  route(app, {
    method: 'PUT',
    url: '/protections/:id/end',
    role: 'helper',
    summary: 'The cover came off',
    params,
    body: endProtection,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `protection end ${p.id}`, body, person }, (w) =>
        uncoverPlants(w, p.id, body),
      ),
  });
}

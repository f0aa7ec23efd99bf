import type { FastifyInstance } from 'fastify';
import { carryIn, carryOut } from '@gonimos/contract/shelter';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { carryPlantsIn, carryPlantsOut } from './service.ts';

export function shelterRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/shelter/in',
    role: 'helper',
    summary: 'Cohorts were carried in before a cold night, until a day',
    body: carryIn,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'carried in', body, person }, (w) => carryPlantsIn(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/shelter/out',
    role: 'helper',
    summary: 'Cohorts were carried out again',
    body: carryOut,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'carried out', body, person }, (w) => carryPlantsOut(w, body)),
  });
}

import type { FastifyInstance } from 'fastify';
import { object, string } from 'yup';
import { id, noneOf } from '@gonimos/contract/fields';
import { changeRootRecord, newRootRecord, withdrawRootRecord } from '@gonimos/contract/root-records';
import { PAPER_OF, PAPERS } from '@gonimos/core/paper';
import { drawingRoutes } from '../drawings/routes.ts';
import { route } from '../http/route.ts';
import { unitsOf } from '../people/store.ts';
import { readRootCard } from './card.ts';
import { readRootBench } from './service.ts';

const params = object({ id: id() });

export function rootRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/roots',
    role: 'helper',
    summary: 'Roots as they were drawn, what was left, and what may go at the next work on them',
    params,
    handle: ({ params: p }) => readRootBench(app, p.id),
  });

  route(app, {
    method: 'GET',
    url: '/cohorts/:id/roots/:record/card',
    role: 'helper',
    summary: 'The root card of a kept drawing, as PDF; without a paper it is A4, or Letter for US units',
    params: object({ id: id(), record: id() }),
    query: object({ paper: string().oneOf(PAPERS, noneOf(PAPERS)) }),
    handle: async ({ params: p, query, person, reply }) => {
      const units = await unitsOf(app.db, person.id);
      const card = await readRootCard(app, p.id, p.record, units, query.paper ?? PAPER_OF[units]);
      return reply
        .type('application/pdf')
        .header('cache-control', 'no-store')
        .header('content-disposition', `inline; filename="${card.name}"`)
        .send(card.pdf);
    },
  });

  drawingRoutes(app, {
    table: 'root_record',
    url: '/root-records',
    what: 'root record',
    drawn: 'the roots of a plant as they lie open',
    add: newRootRecord,
    change: changeRootRecord,
    withdraw: withdrawRootRecord,
  });
}

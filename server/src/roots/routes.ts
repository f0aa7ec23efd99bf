import type { FastifyInstance } from 'fastify';
import { object, string } from 'yup';
import { id, noneOf } from '@gonimos/contract/fields';
import {
  changeRootRecord as changing,
  newRootRecord,
  withdrawRootRecord as withdrawing,
} from '@gonimos/contract/root-records';
import { PAPER_OF, PAPERS } from '@gonimos/core/paper';
import { route } from '../http/route.ts';
import { unitsOf } from '../people/store.ts';
import { write } from '../write/write.ts';
import { readRootCard } from './card.ts';
import { addRootRecord, changeRootRecord, readRootBench, withdraw } from './service.ts';

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

  route(app, {
    method: 'POST',
    url: '/root-records',
    role: 'helper',
    summary: 'Keeps the roots of a plant as they lie open, with what was decided',
    body: newRootRecord,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'root record', body, person }, (w) => addRootRecord(w, body)),
  });

  route(app, {
    method: 'PUT',
    url: '/root-records/:id',
    role: 'helper',
    summary: 'Changes a drawing that is as it was when it was opened',
    params,
    body: changing,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `root record ${p.id}`, body, person }, (w) =>
        changeRootRecord(w, p.id, body),
      ),
  });

  route(app, {
    method: 'POST',
    url: '/root-records/:id/withdraw',
    role: 'helper',
    summary: 'Takes a drawing back; it is kept, and shown no more',
    params,
    body: withdrawing,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `withdraw root record ${p.id}`, body, person }, (w) =>
        withdraw(w, p.id, body.version),
      ),
  });
}

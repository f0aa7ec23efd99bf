import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import {
  changeRootRecord as changing,
  newRootRecord,
  withdrawRootRecord as withdrawing,
} from '@gonimos/contract/root-records';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
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

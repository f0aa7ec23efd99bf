import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newRecord, putOffStep, undoRecord } from '@gonimos/contract/records';
import { once } from '../http/once.ts';
import { route } from '../http/route.ts';
import { putOff, recordWork, undo } from './service.ts';
import { readRecords } from './store.ts';

const params = object({ id: id() });

export function recordRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/records',
    role: 'helper',
    summary: 'What was done, found or put off, newest first',
    params,
    handle: ({ params: p }) => readRecords(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/records',
    role: 'helper',
    summary: 'Records work on a step, or a look, and re-plans the rest of the course',
    body: newRecord,
    handle: ({ body, person }) =>
      once(app.db, body.id, 'record', body, (trx) => recordWork(trx, body, person)),
  });

  route(app, {
    method: 'POST',
    url: '/put-offs',
    role: 'grower',
    summary: 'Puts a step off until a day, for a reason that is kept',
    body: putOffStep,
    handle: ({ body, person }) => once(app.db, body.id, 'put-off', body, (trx) => putOff(trx, body, person)),
  });

  route(app, {
    method: 'POST',
    url: '/records/:id/undo',
    role: 'helper',
    summary: 'Undoes a record by reversal',
    params,
    body: undoRecord,
    handle: ({ params: p, body, person }) =>
      once(app.db, body.id, `undo ${p.id}`, body, (trx) => undo(trx, body.id, p.id, person)),
  });
}

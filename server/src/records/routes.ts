import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newRecord, putOffStep, undoRecord } from '@gonimos/contract/records';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { putOff, recordOnly, undo } from './service.ts';
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
      write(app, { id: body.id, what: 'record', body, person }, (w) => recordOnly(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/put-offs',
    role: 'grower',
    summary: 'Puts a step off until a day, for a reason that is kept',
    body: putOffStep,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'put-off', body, person }, (w) => putOff(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/records/:id/undo',
    role: 'helper',
    summary: 'Undoes a record by reversal',
    params,
    body: undoRecord,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `undo ${p.id}`, body, person }, (w) => undo(w, body.id, p.id)),
  });
}

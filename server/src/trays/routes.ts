import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { markCells as marking, newTray, undoMarks as undoing } from '@gonimos/contract/trays';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { addTray, markCells, readTrays, undoMarks } from './service.ts';

const params = object({ id: id() });

export function trayRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/cohorts/:id/trays',
    role: 'helper',
    summary: 'The trays of a cohort, cell by cell, against its ledger',
    params,
    handle: ({ params: p }) => readTrays(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/cohorts/:id/trays',
    role: 'grower',
    summary: 'Adds a tray of any size',
    params,
    body: newTray,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `tray ${p.id}`, body, person }, (w) => addTray(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/trays/:id/marks',
    role: 'helper',
    summary: 'Marks cells; the ledger follows. Cells somebody else marked meanwhile are left and told',
    params,
    body: marking,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `marks ${p.id}`, body, person }, (w) => markCells(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/trays/:id/marks/:mark/undo',
    role: 'helper',
    summary: 'Takes marks back where their cells still stand as they left them',
    params: object({ id: id(), mark: id() }),
    body: undoing,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `undo marks ${p.mark}`, body, person }, (w) =>
        undoMarks(w, p.id, p.mark, body.id),
      ),
  });
}

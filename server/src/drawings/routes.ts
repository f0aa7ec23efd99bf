import type { FastifyInstance } from 'fastify';
import { object, type AnyObjectSchema } from 'yup';
import { id } from '@gonimos/contract/fields';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { addDrawing, changeDrawing, withdraw } from './service.ts';
import type { DrawingTable, Drawn } from './store.ts';

const params = object({ id: id() });

interface Kind {
  table: DrawingTable;
  /** of its addresses: '/root-records' */
  url: string;
  /** what it is called in receipts: 'root record' */
  what: string;
  /** what is drawn, for the description: 'the roots of a plant as they lie open' */
  drawn: string;
  add: AnyObjectSchema;
  change: AnyObjectSchema;
  withdraw: AnyObjectSchema;
}

/** Keeping, changing and taking back drawings of one kind. */
export function drawingRoutes(app: FastifyInstance, k: Kind): void {
  route(app, {
    method: 'POST',
    url: k.url,
    role: 'helper',
    summary: `Keeps ${k.drawn}, with what was decided`,
    body: k.add,
    handle: ({ body, person }) => {
      const sent = body as Drawn & { id: string; cohortId: string };
      return write(app, { id: sent.id, what: k.what, body: sent, person }, (w) =>
        addDrawing(w, k.table, sent),
      );
    },
  });

  route(app, {
    method: 'PUT',
    url: `${k.url}/:id`,
    role: 'helper',
    summary: 'Changes a drawing that is as it was when it was opened',
    params,
    body: k.change,
    handle: ({ params: p, body, person }) => {
      const sent = body as Drawn & { id: string; version: number };
      return write(app, { id: sent.id, what: `${k.what} ${p.id}`, body: sent, person }, (w) =>
        changeDrawing(w, k.table, p.id, sent),
      );
    },
  });

  route(app, {
    method: 'POST',
    url: `${k.url}/:id/withdraw`,
    role: 'helper',
    summary: 'Takes a drawing back; it is kept, and shown no more',
    params,
    body: k.withdraw,
    handle: ({ params: p, body, person }) => {
      const sent = body as { id: string; version: number };
      return write(app, { id: sent.id, what: `withdraw ${k.what} ${p.id}`, body: sent, person }, (w) =>
        withdraw(w, k.table, p.id, sent.version),
      );
    },
  });
}

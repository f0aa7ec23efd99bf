import type { FastifyInstance } from 'fastify';
import { cuttingCheck } from '@gonimos/contract/cuttings';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { checkCuttings } from './service.ts';

export function cuttingRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'POST',
    url: '/checks',
    role: 'helper',
    summary: 'A check of cuttings per tray: losses, what goes back, what is potted, when to look again',
    body: cuttingCheck,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'cutting check', body, person }, (w) => checkCuttings(w, body)),
  });
}

import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { newObservation, withdrawObservation, type ObservationOutcome } from '@gonimos/contract/observations';
import { route } from '../http/route.ts';
import { readObservations } from '../season/observations.ts';
import { write } from '../write/write.ts';
import { observe, takeBackObservation } from './service.ts';

export function observationRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/observations',
    role: 'helper',
    summary: 'What was seen of the season, oldest first',
    handle: () => readObservations(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/observations',
    role: 'helper',
    summary: 'Something seen today: fixes this year’s marker at the place and plans again what hangs on it',
    body: newObservation,
    handle: ({ body, person }): Promise<ObservationOutcome> =>
      write(app, { id: body.id, what: 'observation', body, person }, (w) => observe(w, body)),
  });

  route(app, {
    method: 'POST',
    url: '/observations/:id/withdraw',
    role: 'helper',
    summary: 'Takes an observation back; the model speaks again',
    params: object({ id: id() }),
    body: withdrawObservation,
    handle: ({ params, body, person }) =>
      write(app, { id: body.id, what: `withdraw ${params.id}`, body, person }, (w) =>
        takeBackObservation(w, body.id, params.id),
      ),
  });
}

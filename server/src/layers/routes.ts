import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { askLayers, newLayerEvent, newLayers, parentFed } from '@gonimos/contract/layers';
import { route } from '../http/route.ts';
import { write } from '../write/write.ts';
import { planLayers, readParentLayers } from './read.ts';
import { fed, layerEvent, makeLayers } from './service.ts';
import { readParents } from './store.ts';

const params = object({ id: id() });

export function layerRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/parents',
    role: 'helper',
    summary: 'Plants that layers hang on, or that are kept for it',
    handle: () => readParents(app.db),
  });

  route(app, {
    method: 'GET',
    url: '/parents/:id/layers',
    role: 'helper',
    summary: 'The layers of a parent, top down, each with its verdict, and the calendar of safe dates',
    params,
    handle: ({ params: p }) => readParentLayers(app.db, p.id),
  });

  route(app, {
    method: 'POST',
    url: '/parents/:id/plan',
    role: 'helper',
    summary: 'What to cut for layers not made yet, what is wrong with them, what to expect',
    params,
    body: askLayers,
    handle: ({ params: p, body }) => planLayers(app.db, p.id, body),
  });

  route(app, {
    method: 'POST',
    url: '/parents/:id/layers',
    role: 'grower',
    summary: 'Rings layers on a parent: each gets a course of its own',
    params,
    body: newLayers,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `layers ${p.id}`, body, person }, (w) => makeLayers(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/parents/:id/fed',
    role: 'helper',
    summary: 'The parent was fed: its feeding that is due is done, or a line says so',
    params,
    body: parentFed,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `fed ${p.id}`, body, person }, (w) => fed(w, p.id, body)),
  });

  route(app, {
    method: 'POST',
    url: '/layers/:id/events',
    role: 'helper',
    summary: 'Looked at, opened, wrapped again, severed, failed, wound sealed',
    params,
    body: newLayerEvent,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `layer event ${p.id}`, body, person }, (w) =>
        layerEvent(w, p.id, body),
      ),
  });
}

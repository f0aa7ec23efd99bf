import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { editNursery, editPlace, newPlace } from '@gonimos/contract/nursery';
import { audit } from '../audit/store.ts';
import { route } from '../http/route.ts';
import { answering, touching, write } from '../write/write.ts';
import { keptAddress } from './address.ts';
import { shown } from './shown.ts';
import * as store from './store.ts';

const params = object({ id: id() });

export function nurseryRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/nursery',
    role: 'helper',
    summary: 'The nursery, its site and the day it is there',
    handle: async ({ person }) => shown(await store.readNursery(app.db), person),
  });

  route(app, {
    method: 'PUT',
    url: '/nursery',
    role: 'owner',
    summary: 'Changes the nursery and its site; every course is planned again',
    body: editNursery,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'nursery', body, person }, async ({ trx }) => {
        const kept = await store.readNursery(trx);
        await store.updateNursery(trx, {
          ...body,
          stationUrl: keptAddress(body.stationUrl, kept.stationUrl),
        });
        await audit(
          trx,
          person.id,
          'site',
          `The nursery and its site were changed: ${body.name}, ${body.latitude}°, ${body.longitude}°`,
        );
        return touching('all', 'the site was changed', shown(await store.readNursery(trx), person));
      }),
  });

  route(app, {
    method: 'GET',
    url: '/places',
    role: 'helper',
    summary: 'Every place with the cohorts alive there',
    handle: () => store.listPlaces(app.db),
  });

  route(app, {
    method: 'POST',
    url: '/places',
    role: 'grower',
    summary: 'Adds a place',
    body: newPlace,
    handle: ({ body, person }) =>
      write(app, { id: body.id, what: 'place', body, person }, async ({ trx }) => {
        await store.insertPlace(trx, body);
        return answering(await store.readPlace(trx, body.id));
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/places/:id',
    role: 'grower',
    summary: 'Changes a place; the courses there are planned again',
    params,
    body: editPlace,
    handle: ({ params: p, body, person }) =>
      write(app, { id: body.id, what: `place ${p.id}`, body, person }, async ({ trx }) => {
        await store.readPlace(trx, p.id);
        await store.updatePlace(trx, p.id, body);
        const cause = `the place ${body.name} was changed`;
        return touching({ placeId: p.id }, cause, await store.readPlace(trx, p.id));
      }),
  });
}

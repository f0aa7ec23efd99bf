import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { editNursery, editPlace, newPlace, stepCalendar, type Nursery } from '@gonimos/contract/nursery';
import type { Person } from '@gonimos/contract/people';
import { addDays } from '@gonimos/core/calendar';
import { planAllAgain, planPlaceAgain } from '../course/due.ts';
import { extendWeather } from '../demo/weather.ts';
import { audit } from '../audit/store.ts';
import { once } from '../http/once.ts';
import { Refusal } from '../http/problem.ts';
import { mayDo, route } from '../http/route.ts';
import { keptAddress, shownAddress } from '../station/ask.ts';
import * as store from './store.ts';

const params = object({ id: id() });

/** The nursery as it is told to somebody: where its station stands is for owners, and no secret is for anyone. */
const shown = (
  { demoToday, weatherSeed: _w, plannedOn: _p, ...n }: store.NurseryRow,
  person: Person,
): Nursery => ({
  ...n,
  stationUrl: mayDo(person, 'owner') ? shownAddress(n.stationUrl) : null,
  today: store.todayAt({ ...n, demoToday, weatherSeed: null, plannedOn: null }),
  demo: demoToday !== null,
});

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
      once(app.db, body.id, 'nursery', body, async (trx) => {
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
        await planAllAgain(trx, 'the site was changed');
        return shown(await store.readNursery(trx), person);
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
    handle: ({ body }) =>
      once(app.db, body.id, 'place', body, async (trx) => {
        await store.insertPlace(trx, body);
        return store.readPlace(trx, body.id);
      }),
  });

  route(app, {
    method: 'PUT',
    url: '/places/:id',
    role: 'grower',
    summary: 'Changes a place; the courses there are planned again',
    params,
    body: editPlace,
    handle: ({ params: p, body }) =>
      once(app.db, body.id, `place ${p.id}`, body, async (trx) => {
        await store.readPlace(trx, p.id);
        await store.updatePlace(trx, p.id, body);
        await planPlaceAgain(trx, p.id, `the place ${body.name} was changed`);
        return store.readPlace(trx, p.id);
      }),
  });

  route(app, {
    method: 'POST',
    url: '/demo/calendar',
    role: 'helper',
    summary: 'Moves the demo calendar on by a day, a week or a season',
    body: stepCalendar,
    handle: ({ body, person }) =>
      once(app.db, body.id, 'demo calendar', body, async (trx) => {
        const nursery = await store.readNursery(trx);
        if (!app.demo || nursery.demoToday === null)
          throw new Refusal(409, 'Not the demo', 'Only the demo nursery has a calendar of its own.');
        const today = addDays(nursery.demoToday, body.days);
        await extendWeather(trx, nursery, today);
        await store.setDemoToday(trx, today);
        await planAllAgain(trx, `the calendar went on to ${today}`);
        return shown(await store.readNursery(trx), person);
      }),
  });
}

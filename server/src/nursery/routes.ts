import type { FastifyInstance } from 'fastify';
import { object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { editNursery, editPlace, newPlace, stepCalendar, type Nursery } from '@gonimos/contract/nursery';
import { addDays } from '@gonimos/core/calendar';
import { replanAll, replanPlace } from '../course/replan.ts';
import { extendWeather } from '../demo/weather.ts';
import { once } from '../http/once.ts';
import { Refusal } from '../http/problem.ts';
import { route } from '../http/route.ts';
import * as store from './store.ts';

const params = object({ id: id() });

const shown = ({ demoToday, weatherSeed: _w, plannedOn: _p, ...n }: store.NurseryRow): Nursery => ({
  ...n,
  today: store.todayAt({ ...n, demoToday, weatherSeed: null, plannedOn: null }),
  demo: demoToday !== null,
});

export function nurseryRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/nursery',
    role: 'helper',
    summary: 'The nursery, its site and the day it is there',
    handle: async () => shown(await store.readNursery(app.db)),
  });

  route(app, {
    method: 'PUT',
    url: '/nursery',
    role: 'owner',
    summary: 'Changes the nursery and its site; every course is planned again',
    body: editNursery,
    handle: async ({ body }) => {
      await store.updateNursery(app.db, body);
      await replanAll(app.db, 'the site was changed');
      return shown(await store.readNursery(app.db));
    },
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
    handle: async ({ params: p, body }) => {
      await store.readPlace(app.db, p.id);
      await store.updatePlace(app.db, p.id, body);
      await replanPlace(app.db, p.id, `the place ${body.name} was changed`);
      return store.readPlace(app.db, p.id);
    },
  });

  route(app, {
    method: 'POST',
    url: '/demo/calendar',
    role: 'helper',
    summary: 'Moves the demo calendar on by a day, a week or a season',
    body: stepCalendar,
    handle: async ({ body }) => {
      const nursery = await store.readNursery(app.db);
      if (nursery.demoToday === null)
        throw new Refusal(409, 'Not the demo', 'Only the demo nursery has a calendar of its own.');
      const today = addDays(nursery.demoToday, body.days);
      await extendWeather(app.db, nursery, today);
      await store.setDemoToday(app.db, today);
      await replanAll(app.db, `the calendar went on to ${today}`);
      return shown(await store.readNursery(app.db));
    },
  });
}

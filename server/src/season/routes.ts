import type { FastifyInstance } from 'fastify';
import { number, object } from 'yup';
import { id } from '@gonimos/contract/fields';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import { toDay, toIso } from '@gonimos/core/calendar';
import { climateOf, dayLength, normalOn } from '@gonimos/core/season';
import { route } from '../http/route.ts';
import { notFound } from '../http/problem.ts';
import { readNursery, readPlace, siteOf, todayAt } from '../nursery/store.ts';
import { seasonBooks } from './books.ts';
import { recordEnd } from './store.ts';

const RECENT_DAYS = 21;

export function seasonRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/places/:id/season',
    role: 'helper',
    summary: 'The year of a place: markers expected and passed, normals, last days of the record',
    params: object({ id: id() }),
    query: object({ year: number().integer().min(1950).max(2150) }),
    handle: async ({ params, query }): Promise<SeasonOfPlace> => {
      const nursery = await readNursery(app.db);
      const place = await readPlace(app.db, params.id);
      const book = (await seasonBooks(app.db)).get(params.id);
      if (!book) throw notFound('place');
      const today = todayAt(nursery);
      const year = query.year ?? book.seasonOf(toDay(today));
      const { from, to } = book.span(year);
      const climate = climateOf(siteOf(nursery), place);
      const weekly = [];
      for (let day = from; day <= to; day += 7) {
        const [tmin, tmax] = normalOn(climate, day);
        weekly.push({ day: toIso(day), tmin, tmax, dayLength: dayLength(nursery.latitude, day) });
      }
      const recent = await app
        .db('weather_day')
        .where('on_date', '<=', today)
        .orderBy('on_date', 'desc')
        .limit(RECENT_DAYS)
        .select({ day: 'on_date', tmin: 'tmin', tmax: 'tmax' });
      return {
        placeId: params.id,
        year,
        from: toIso(from),
        to: toIso(to),
        today,
        markers: book.season(year),
        recordTo: await recordEnd(app.db),
        weekly,
        recent: recent.reverse(),
      };
    },
  });
}

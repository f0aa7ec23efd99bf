import type { FastifyInstance } from 'fastify';
import { number, object } from 'yup';
import { id } from '@gonimos/contract/fields';
import { importWeather, type WeatherReport } from '@gonimos/contract/season';
import { route } from '../http/route.ts';
import { touching, write } from '../write/write.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readRecord } from './import.ts';
import { readSeason } from './service.ts';
import { differing, replaceWeather } from './store.ts';

export function seasonRoutes(app: FastifyInstance): void {
  route(app, {
    method: 'GET',
    url: '/places/:id/season',
    role: 'helper',
    summary: 'The year of a place: markers, band, record, sums against other years, frost, days ahead',
    params: object({ id: id() }),
    query: object({ year: number().integer().min(1950).max(2150) }),
    handle: ({ params, query }) => readSeason(app.db, params.id, query.year),
  });

  route(app, {
    method: 'POST',
    url: '/weather/import',
    role: 'grower',
    summary: 'A daily record from CSV: faults line by line first, written only when confirmed',
    body: importWeather,
    handle: async ({ body, person }): Promise<WeatherReport> => {
      const { days, faults } = readRecord(body.csv, todayAt(await readNursery(app.db)));
      const report = {
        days: days.length,
        from: days[0]?.onDate ?? null,
        to: days.at(-1)?.onDate ?? null,
        faults: faults.slice(0, 200),
        replaced: await differing(app.db, days),
      };
      if (!body.confirm || days.length === 0) return { ...report, written: 0 };
      const written = await write(
        app,
        { id: body.id, what: 'weather', body: { csv: body.csv }, person },
        async ({ trx }) => {
          const replaced = await replaceWeather(trx, days);
          return touching('all', 'the weather record was brought up to date', replaced);
        },
      );
      return { ...report, written };
    },
  });
}

import type { FastifyInstance } from 'fastify';
import type { StationNow } from '@gonimos/contract/station';
import type { Warning } from '@gonimos/core/station';
import { readRoute } from '../http/reading.ts';
import { route } from '../http/route.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { pollStation } from './poll.ts';
import { readReadings } from './store.ts';
import { readWarnings } from './warnings.ts';

export function stationRoutes(app: FastifyInstance): void {
  readRoute(app, {
    url: '/warnings',
    role: 'helper',
    summary: 'What the days ahead warn of: frost, heat and wind, with what to bring in',
    read: async (sql): Promise<Warning[]> => readWarnings(sql, todayAt(await readNursery(sql))),
  });

  route(app, {
    method: 'GET',
    url: '/station',
    role: 'helper',
    summary: 'The weather station: latest reading, last 24 hours, and what the days ahead warn of',
    handle: async (): Promise<StationNow> => {
      const { name: station, trouble } = await pollStation(app, app.db);
      const today = todayAt(await readNursery(app.db));
      const readings = await readReadings(app.db, today);
      const temperatures = readings.map((r) => r.temperature);
      return {
        station,
        trouble,
        latest: readings.at(-1) ?? null,
        readings,
        low: temperatures.length > 0 ? Math.min(...temperatures) : null,
        high: temperatures.length > 0 ? Math.max(...temperatures) : null,
        warnings: await readWarnings(app.db, today),
      };
    },
  });
}

import type { FastifyInstance } from 'fastify';
import { toDay } from '@gonimos/core/calendar';
import { climateOf, simulate } from '@gonimos/core/season';
import { lastDay } from '@gonimos/core/station';
import { WEATHER_FROM } from './weather.ts';
import { notFound } from '../http/problem.ts';
import { findNursery, siteOf, todayAt } from '../nursery/store.ts';

/** The hour it is at the nursery, 0..23. */
export const hourAt = (timeZone: string): number =>
  Number(new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hour12: false }).format(new Date())) %
  24;

/**
 * A simulated weather station for the demo, at the address and in the shape that a real one would have
 * (contract/src/station.ts). Its days are those of the demo's seeded weather.
 */
export function simulatedStation(app: FastifyInstance): void {
  app.get('/station/readings', async () => {
    const nursery = await findNursery(app.db);
    if (!nursery?.demoToday) throw notFound('station');
    const today = todayAt(nursery);
    const from = toDay(WEATHER_FROM);
    const seed = nursery.weatherSeed ?? 1;
    const run = simulate(climateOf(siteOf(nursery)), seed, from, toDay(today) - from + 2);
    const dayOf = (day: number) =>
      day < from || day - from >= run.tmin.length
        ? null
        : { tmin: run.tmin[day - from], tmax: run.tmax[day - from] };
    return { station: 'Hilltop mast', readings: lastDay(dayOf, today, hourAt(nursery.timeZone), seed) };
  });
}

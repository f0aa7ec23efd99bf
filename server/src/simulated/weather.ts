import { toDay } from '@gonimos/core/calendar';
import { climateOf, simulate } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { siteOf, type NurseryRow } from '../nursery/store.ts';
import { insertWeather } from '../season/store.ts';

/** The demo's weather begins here and is one seeded run, so any day of it can be made again. */
export const WEATHER_FROM = '2026-11-01';

/** Lengthens the demo's weather record to a day, from the seed kept with the nursery. */
export async function extendWeather(sql: Sql, nursery: NurseryRow, to: string): Promise<void> {
  const from = toDay(WEATHER_FROM);
  const run = simulate(climateOf(siteOf(nursery)), nursery.weatherSeed ?? 1, from, toDay(to) - from + 1);
  await insertWeather(sql, run);
}

import { climateOf, seasonBook, type SeasonBook, type WeatherRun } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { listClimates, readNursery, siteOf } from '../nursery/store.ts';
import { readWeather, recordEnd } from './store.ts';

const MOST = 60;
const kept = new Map<string, SeasonBook>();
let weather: { key: string; run: WeatherRun | null } | null = null;

/**
 * The season book of every place, by place id. Books are worked out once for each state of site, place
 * and weather record, and kept in this process; nothing in them is state of its own.
 */
export async function seasonBooks(sql: Sql): Promise<Map<string, SeasonBook>> {
  const nursery = await readNursery(sql);
  const key = `${nursery.id} ${nursery.version} ${await recordEnd(sql)}`;
  if (weather?.key !== key) weather = { key, run: await readWeather(sql) };
  const books = new Map<string, SeasonBook>();
  for (const place of await listClimates(sql)) {
    const own = `${key} ${place.night} ${place.day} ${place.heatedTo}`;
    let book = kept.get(own);
    if (!book) {
      book = seasonBook(climateOf(siteOf(nursery), place), weather.run ?? undefined);
      kept.set(own, book);
      if (kept.size > MOST) kept.delete(kept.keys().next().value!);
    }
    books.set(place.id, book);
  }
  return books;
}

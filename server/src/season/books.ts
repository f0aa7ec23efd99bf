import { climateOf, seasonBook, type SeasonBook, type WeatherRun } from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { listClimates, readNursery, siteOf } from '../nursery/store.ts';
import { asSeenFrom, readObservations } from '../observations/store.ts';
import { readWeather, recordState } from './store.ts';

const MOST = 60;
const kept = new Map<string, SeasonBook>();
let weather: { key: string; run: WeatherRun | null } | null = null;

/**
 * The season book of every place, by place id. Books are worked out once for each state of site, place,
 * weather record and observations, and kept in this process; nothing in them is state of its own.
 */
export async function seasonBooks(sql: Sql): Promise<Map<string, SeasonBook>> {
  const nursery = await readNursery(sql);
  const key = `${nursery.id} ${nursery.version} ${await recordState(sql)}`;
  if (weather?.key !== key) weather = { key, run: await readWeather(sql) };
  const seen = await readObservations(sql);
  const all = seen.map((o) => o.id).join();
  const site = siteOf(nursery);
  const keep = (own: string, make: () => SeasonBook): SeasonBook => {
    let book = kept.get(own);
    if (!book) {
      book = make();
      kept.set(own, book);
      if (kept.size > MOST) kept.delete(kept.keys().next().value!);
    }
    return book;
  };
  const run = weather.run ?? undefined;
  const outside = keep(`${key} outside`, () => seasonBook(climateOf(site), run));
  const books = new Map<string, SeasonBook>();
  for (const place of await listClimates(sql)) {
    const own = `${key} ${place.night} ${place.day} ${place.heatedTo} ${place.id} ${all}`;
    books.set(
      place.id,
      keep(own, () => seasonBook(climateOf(site, place), run, { outside, seen: asSeenFrom(seen, place.id) })),
    );
  }
  return books;
}

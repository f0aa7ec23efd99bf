import {
  climateOf,
  ordinarySeasons,
  seasonBook,
  seasonModel,
  type OrdinarySeasons,
  type SeasonBook,
  type SeasonModel,
  type WeatherRun,
} from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { listClimates, readNursery, siteOf } from '../nursery/store.ts';
import { asSeenFrom, readObservations } from './observations.ts';
import { readWeather, recordState } from './store.ts';

const MOST = 60;
const kept = new Map<string, SeasonBook>();
const models = new Map<string, SeasonModel>();
const ordinary = new Map<string, OrdinarySeasons>();
let weather: { key: string; run: WeatherRun | null } | null = null;

function keep<T>(all: Map<string, T>, key: string, make: () => T): T {
  let one = all.get(key);
  if (!one) {
    one = make();
    all.set(key, one);
    if (all.size > MOST) all.delete(all.keys().next().value!);
  }
  return one;
}

/**
 * The season book of every place, by place id. Books are worked out once for each state of site, place,
 * weather record and observations, and kept in this process; nothing in them is state of its own.
 */
export async function seasonBooks(sql: Sql): Promise<Map<string, SeasonBook>> {
  const nursery = await readNursery(sql);
  const { latitude, tmin, tmax, spreadWinter, spreadSummer, wetFrom } = nursery;
  const weatherOf = JSON.stringify([latitude, tmin, tmax, spreadWinter, spreadSummer, wetFrom]);
  const key = `${nursery.id} ${weatherOf} ${await recordState(sql)}`;
  if (weather?.key !== key) weather = { key, run: await readWeather(sql) };
  const seen = await readObservations(sql);
  const all = seen.map((o) => o.id).join();
  const site = siteOf(nursery);
  const run = weather.run ?? undefined;
  const outside = keep(kept, `${key} outside`, () => seasonBook(climateOf(site), run));
  const books = new Map<string, SeasonBook>();
  for (const place of await listClimates(sql)) {
    // what was seen changes the book of a place, but not the weather years under it
    const climate = climateOf(site, place);
    const offset = `${place.night} ${place.day} ${place.heatedTo}`;
    const own = `${key} ${offset}`;
    // what the climate alone says outlives the day's record
    const plain = keep(ordinary, `${weatherOf} ${offset}`, () => ordinarySeasons(climate));
    const model = keep(models, own, () => seasonModel(climate, run, undefined, plain));
    books.set(
      place.id,
      keep(kept, `${own} ${place.id} ${all}`, () =>
        seasonBook(climate, run, { outside, model, seen: asSeenFrom(seen, place.id) }),
      ),
    );
  }
  return books;
}

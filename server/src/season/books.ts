import {
  climateOf,
  ordinarySeasons,
  seasonBook,
  seasonModel,
  siteYears,
  type Climate,
  type OrdinarySeasons,
  type SeasonBook,
  type SeasonModel,
  type SiteYears,
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
const skies = new Map<string, SiteYears>();
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

const offsetKey = ({ offset }: Climate) => `${offset.night} ${offset.day} ${offset.heatedTo}`;

/** The books of a nursery's places, and the weather record they are joined to. */
export interface Seasons {
  books: Map<string, SeasonBook>;
  run: WeatherRun | null;
}

/**
 * The season book of every place, by place id. Books are worked out once for each state of site, place,
 * weather record and observations, and kept in this process; nothing in them is state of its own.
 */
export async function readSeasons(sql: Sql): Promise<Seasons> {
  const nursery = await readNursery(sql);
  const { latitude, tmin, tmax, spreadWinter, spreadSummer, wetFrom } = nursery;
  const weatherOf = JSON.stringify([latitude, tmin, tmax, spreadWinter, spreadSummer, wetFrom]);
  const key = `${nursery.id} ${weatherOf} ${await recordState(sql)}`;
  if (weather?.key !== key) weather = { key, run: await readWeather(sql) };
  const seen = await readObservations(sql);
  const all = seen.map((o) => o.id).join();
  const known = weather.run ?? undefined;
  const open = climateOf(siteOf(nursery));
  // the open air is drawn once for all places; without a record it outlives the day
  const bare = keep(skies, weatherOf, () => siteYears(open));
  const sky = keep(skies, key, () => siteYears(open, known));
  const ordinaryOf = (climate: Climate) =>
    keep(ordinary, `${weatherOf} ${offsetKey(climate)}`, () => ordinarySeasons(climate, bare));
  const modelOf = (climate: Climate) =>
    keep(models, `${key} ${offsetKey(climate)}`, () =>
      seasonModel(climate, known, { site: sky, ordinary: ordinaryOf(climate) }),
    );
  const outside = keep(kept, `${key} outside`, () => seasonBook(open, known, { model: modelOf(open) }));
  const books = new Map<string, SeasonBook>();
  for (const place of await listClimates(sql)) {
    // what was seen changes the book of a place, but not the weather years under it
    const climate = climateOf(siteOf(nursery), place);
    const book = keep(kept, `${key} ${offsetKey(climate)} ${place.id} ${all}`, () =>
      seasonBook(climate, known, { outside, model: modelOf(climate), seen: asSeenFrom(seen, place.id) }),
    );
    books.set(place.id, book);
  }
  return { books, run: weather.run };
}

export const seasonBooks = async (sql: Sql): Promise<Map<string, SeasonBook>> =>
  (await readSeasons(sql)).books;

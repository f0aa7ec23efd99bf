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

/** States of the record that are kept: today's, and what others still read while a new one is being written. */
const MOST_STATES = 4;
/** Books of one state: of its places, and of them anew with whatever was seen meanwhile. */
const MOST_BOOKS = 500;
/** Sites whose ordinary years are kept. */
const MOST_SITES = 3;

/** What a site is like without a record, by what its places make of it; it outlives the day. */
interface SiteState {
  sky: SiteYears;
  ordinary: Map<string, OrdinarySeasons>;
}
/** What site and record together say; the open air is drawn once for all places. */
interface RecordState {
  run: WeatherRun | null;
  sky: SiteYears;
  models: Map<string, SeasonModel>;
  books: Map<string, SeasonBook>;
}
const sites = new Map<string, SiteState>();
const records = new Map<string, RecordState>();

/** What is kept under a key, or made and kept: as many as allowed, those asked for last. */
function keep<T>(all: Map<string, T>, most: number, key: string, make: () => T): T {
  const one = all.get(key) ?? make();
  all.delete(key);
  all.set(key, one);
  if (all.size > most) all.delete(all.keys().next().value!);
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
  const open = climateOf(siteOf(nursery));
  const site = keep(sites, MOST_SITES, weatherOf, (): SiteState => ({
    sky: siteYears(open),
    ordinary: new Map(),
  }));
  const run = records.has(key) ? records.get(key)!.run : await readWeather(sql);
  const known = run ?? undefined;
  const { sky, models, books } = keep(records, MOST_STATES, key, (): RecordState => ({
    run,
    sky: siteYears(open, known),
    models: new Map(),
    books: new Map(),
  }));
  const seen = await readObservations(sql);
  const all = seen.map((o) => o.id).join();
  const ordinaryOf = (climate: Climate) =>
    keep(site.ordinary, MOST_BOOKS, offsetKey(climate), () => ordinarySeasons(climate, site.sky));
  const modelOf = (climate: Climate) =>
    keep(models, MOST_BOOKS, offsetKey(climate), () =>
      seasonModel(climate, known, { site: sky, ordinary: ordinaryOf(climate) }),
    );
  const outside = keep(books, MOST_BOOKS, 'outside', () => seasonBook(open, known, { model: modelOf(open) }));
  const byPlace = new Map<string, SeasonBook>();
  for (const place of await listClimates(sql)) {
    // what was seen changes the book of a place, but not the weather years under it
    const climate = climateOf(siteOf(nursery), place);
    const book = keep(books, MOST_BOOKS, `${offsetKey(climate)} ${place.id} ${all}`, () =>
      seasonBook(climate, known, { outside, model: modelOf(climate), seen: asSeenFrom(seen, place.id) }),
    );
    byPlace.set(place.id, book);
  }
  return { books: byPlace, run };
}

export const seasonBooks = async (sql: Sql): Promise<Map<string, SeasonBook>> =>
  (await readSeasons(sql)).books;

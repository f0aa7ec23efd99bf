import type { SeasonOfPlace } from '@gonimos/contract/season';
import { toDay, toIso } from '@gonimos/core/calendar';
import {
  atPlace,
  dayLength,
  degreeDays,
  frostClass,
  indoors,
  normalOn,
  placeSpread,
  type ChanceDay,
  type SeasonBook,
  type WeatherRun,
} from '@gonimos/core/season';
import type { Sql } from '../db/index.ts';
import { notFound } from '../http/problem.ts';
import { readNursery, todayAt } from '../nursery/store.ts';
import { readObservations } from './observations.ts';
import { readSeasons } from './books.ts';

const RECENT_DAYS = 21;
const YEARS_SHOWN = 5;
const AHEAD = 10;
const Z10 = 1.2816;

const written = (d: ChanceDay | null) =>
  d && { p02: toIso(d.p02), p10: toIso(d.p10), p50: toIso(d.p50), p90: toIso(d.p90), share: d.share };

/** Running degree days above 5 °C and days below it since the season's chilling began, one value a week. */
function sumsOf(
  book: SeasonBook,
  run: WeatherRun,
  year: number,
  upTo: number,
): SeasonOfPlace['sums'][number] | null {
  const { chillFrom, from, to } = { ...book.span(year), chillFrom: book.span(year).from - 61 };
  if (run.from > chillFrom) return null;
  const end = Math.min(to, upTo, run.from + run.tmin.length - 1);
  const warm: number[] = [];
  const cold: number[] = [];
  let dd = 0;
  let chill = 0;
  for (let d = chillFrom; d <= end; d++) {
    const [lo, hi] = indoors(book.climate.offset, run.tmin[d - run.from], run.tmax[d - run.from]);
    if (d >= from) dd += degreeDays(lo, hi, 5);
    if ((lo + hi) / 2 < 5) chill++;
    if (d >= from && ((d - from) % 7 === 0 || d === end)) {
      warm.push(Math.round(dd));
      cold.push(chill);
    }
  }
  return warm.length === 0 ? null : { year, from: toIso(from), degreeDays: warm, chill: cold };
}

type Day = SeasonOfPlace['record'][number];

/** Days of a run between two days, as far as it has them. */
function daysOf(run: WeatherRun | null, first: number, last: number): Day[] {
  const days: Day[] = [];
  if (!run) return days;
  const end = Math.min(last, run.from + run.tmin.length - 1);
  for (let d = Math.max(first, run.from); d <= end; d++)
    days.push({
      day: toIso(d),
      tmin: Math.round(run.tmin[d - run.from] * 10) / 10,
      tmax: Math.round(run.tmax[d - run.from] * 10) / 10,
    });
  return days;
}

/** What an ordinary year of the place is like, week by week, and what one day in ten is below or above. */
function ordinaryYear({ climate }: SeasonBook, from: number, to: number) {
  const weekly: SeasonOfPlace['weekly'] = [];
  const band: SeasonOfPlace['band'] = [];
  for (let day = from; day <= to; day += 7) {
    const [tmin, tmax] = normalOn(climate, day);
    const sd = placeSpread(climate, day);
    weekly.push({ day: toIso(day), tmin, tmax, dayLength: dayLength(climate.latitude, day) });
    band.push({ day: toIso(day), low: tmin - Z10 * sd, high: tmax + Z10 * sd });
  }
  return { weekly, band };
}

function frostOf(book: SeasonBook, year: number): SeasonOfPlace['frost'] {
  const cold = book.coldBelow(0, year);
  const { name, coldest } = frostClass(book, year);
  return { class: name, coldest, first: written(cold.first), last: written(cold.last) };
}

type Told = Omit<SeasonOfPlace, 'placeId' | 'seen'>;

/** All that book and record say of a year on a day. */
function tell(book: SeasonBook, run: WeatherRun | null, year: number, now: number): Told {
  const { from, to } = book.span(year);
  const here = run && atPlace(book.climate, run);
  return {
    year,
    from: toIso(from),
    to: toIso(to),
    today: toIso(now),
    markers: book.season(year),
    recordTo: run && toIso(run.from + run.tmin.length - 1),
    ...ordinaryYear(book, from, to),
    record: daysOf(here, from, Math.min(to, now)),
    sums: run
      ? Array.from({ length: YEARS_SHOWN }, (_, i) =>
          sumsOf(book, run, year - i, i === 0 ? now : Infinity),
        ).filter((s) => s !== null)
      : [],
    ahead: Array.from({ length: AHEAD }, (_, i) => ({ day: toIso(now + i), ...book.outlook(now + i) })),
    frost: frostOf(book, year),
    recent: daysOf(run, now - RECENT_DAYS + 1, now),
  };
}

/** Years of a book that are kept as they were told. */
const MOST_TOLD = 8;
/** What was told of a book, by year and day: every page of the interface asks for it. */
const told = new WeakMap<SeasonBook, Map<string, Told>>();

function toldOf(book: SeasonBook, run: WeatherRun | null, year: number, now: number): Told {
  const own = told.get(book) ?? new Map<string, Told>();
  told.set(book, own);
  const key = `${year} ${now}`;
  let one = own.get(key);
  if (!one) {
    if (own.size >= MOST_TOLD) own.clear();
    own.set(key, (one = tell(book, run, year, now)));
  }
  return one;
}

/** Everything the season engine knows of a place's year. */
export async function readSeason(sql: Sql, placeId: string, asked?: number): Promise<SeasonOfPlace> {
  const today = toDay(todayAt(await readNursery(sql)));
  const { books, run } = await readSeasons(sql);
  const book = books.get(placeId);
  if (!book) throw notFound('place');
  const year = asked ?? book.seasonOf(today);
  const seen = (await readObservations(sql)).filter((o) => o.season === year && o.placeId === placeId);
  return { placeId, ...toldOf(book, run, year, today), seen };
}

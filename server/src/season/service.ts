import type { SeasonOfPlace } from '@gonimos/contract/season';
import { toDay, toIso } from '@gonimos/core/calendar';
import {
  atPlace,
  climateOf,
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
import { readNursery, readPlace, siteOf, todayAt } from '../nursery/store.ts';
import { readObservations } from './observations.ts';
import { seasonBooks } from './books.ts';
import { readWeather, recordEnd } from './store.ts';

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

/** Everything the season engine knows of a place's year. */
export async function readSeason(sql: Sql, placeId: string, asked?: number): Promise<SeasonOfPlace> {
  const nursery = await readNursery(sql);
  const place = await readPlace(sql, placeId);
  const book = (await seasonBooks(sql)).get(placeId);
  if (!book) throw notFound('place');
  const today = todayAt(nursery);
  const now = toDay(today);
  const year = asked ?? book.seasonOf(now);
  const { from, to } = book.span(year);
  const climate = climateOf(siteOf(nursery), place);
  const weekly: SeasonOfPlace['weekly'] = [];
  const band: SeasonOfPlace['band'] = [];
  for (let day = from; day <= to; day += 7) {
    const [tmin, tmax] = normalOn(climate, day);
    const sd = placeSpread(climate, day);
    weekly.push({ day: toIso(day), tmin, tmax, dayLength: dayLength(nursery.latitude, day) });
    band.push({ day: toIso(day), low: tmin - Z10 * sd, high: tmax + Z10 * sd });
  }
  const run = await readWeather(sql);
  const here = run && atPlace(climate, run);
  const day = (r: WeatherRun, d: number) => ({
    day: toIso(d),
    tmin: Math.round(r.tmin[d - r.from] * 10) / 10,
    tmax: Math.round(r.tmax[d - r.from] * 10) / 10,
  });
  const days = (r: WeatherRun | null, a: number, b: number) => {
    const out = [];
    if (r)
      for (let d = Math.max(a, r.from); d <= Math.min(b, r.from + r.tmin.length - 1); d++)
        out.push(day(r, d));
    return out;
  };
  const cold = book.coldBelow(0, year);
  return {
    placeId,
    year,
    from: toIso(from),
    to: toIso(to),
    today,
    markers: book.season(year),
    recordTo: await recordEnd(sql),
    weekly,
    band,
    record: days(here, from, Math.min(to, now)),
    sums: run
      ? Array.from({ length: YEARS_SHOWN }, (_, i) =>
          sumsOf(book, run, year - i, i === 0 ? now : Infinity),
        ).filter((s) => s !== null)
      : [],
    ahead: Array.from({ length: AHEAD }, (_, i) => ({ day: toIso(now + i), ...book.outlook(now + i) })),
    frost: (() => {
      const { name, coldest } = frostClass(book, year);
      return { class: name, coldest, first: written(cold.first), last: written(cold.last) };
    })(),
    seen: (await readObservations(sql)).filter((o) => o.season === year && o.placeId === placeId),
    recent: days(run, now - RECENT_DAYS + 1, now),
  };
}

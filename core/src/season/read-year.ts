import { dayOf, yearOf, type SeasonSpan } from '../calendar/index.ts';
import { random } from '../random/index.ts';
import { indoors, type Climate } from './climate.ts';
import { dayLength } from './day-length.ts';
import { degreeDays } from './degree-days.ts';
import {
  HIGH_CHILL,
  MARKER_RULES,
  MARKERS,
  STANDARD_CHILL,
  type Fixed,
  type MarkerName,
} from './marker-rules.ts';
import type { WeatherRun } from './weather.ts';

export const NONE = -1;
/** Days a year is read past the season's last, so that no autumn is cut off at its edge. */
export const CARRIED = 75;
const MIDSUMMER = 171;
const YEAR = 365;
const LATE_SUMMER = 225;
const SHORTEST_DAY = 354;
/** Least length of a warm season before it may end, days. */
const WARM_LEAST = 30;

export interface YearMarkers {
  /** days from the season's first, NONE if absent */
  days: Record<MarkerName, number>;
  /** days below 5 °C before bud swell, for the two chilling classes */
  chill: { 'bud-swell': number; 'bud-swell-late': number };
}

/** Days from the season's start to the rains, where rain rules the year. */
function wetSeasonDay(c: Climate, span: SeasonSpan): number | null {
  if (c.wetFrom === null) return null;
  const days = dayOf(yearOf(span.from), c.wetFrom, 1) - span.from;
  return days < 0 ? days + YEAR : days;
}

const daylight = new WeakMap<Climate, Map<number, Float64Array>>();

/** Hours of daylight of a season, day by day; worked out once for all its simulated years. */
function hoursOf(c: Climate, span: SeasonSpan, days: number): Float64Array {
  const own = daylight.get(c) ?? new Map<number, Float64Array>();
  daylight.set(c, own);
  let hours = own.get(span.from);
  if (!hours || hours.length < days) {
    hours = Float64Array.from({ length: days }, (_, d) => dayLength(c.latitude, span.from + d));
    own.set(span.from, hours);
  }
  return hours;
}

/** Spring of one kind of bud: cold and warmth to the swell, warmth to the break, warmth to the hard flush. */
class Buds {
  chillAtSwell = 0;
  private since = 0;

  constructor(
    private readonly days: Record<MarkerName, number>,
    private readonly names: { swell: MarkerName; breaks: MarkerName; hard: MarkerName | null },
    private readonly need: { a: number; b: number; k: number },
    private readonly comes: (name: MarkerName, d: number, model: boolean) => boolean,
  ) {}

  day(d: number, chill: number, forcing: number, warmth: number): void {
    const { days, names, need } = this;
    if (days[names.swell] === NONE) {
      const wanted = need.a + need.b * Math.exp(-need.k * chill);
      if (!this.comes(names.swell, d, forcing >= wanted)) return;
      days[names.swell] = d;
      this.chillAtSwell = chill;
      return;
    }
    this.since += warmth;
    if (days[names.breaks] === NONE) {
      if (!this.comes(names.breaks, d, this.since >= MARKER_RULES.swellToBreak)) return;
      days[names.breaks] = d;
      this.since = 0;
    } else if (names.hard && days[names.hard] === NONE) {
      if (this.comes(names.hard, d, this.since >= MARKER_RULES.breakToHard)) days[names.hard] = d;
    }
  }
}

/** What a year is read with besides its weather. */
interface Reading {
  /** days some markers were seen on */
  fixed: Fixed;
  /** numbers the drawn year: what differs between years besides the weather */
  luck: number;
  /** winters hold no buds back and bring down no leaves */
  tooWarm: boolean;
}

/** Walks one year of the site's weather as the place feels it. */
export function readYear(
  c: Climate,
  span: SeasonSpan,
  run: WeatherRun,
  { fixed, luck, tooWarm }: Reading,
): YearMarkers {
  const R = MARKER_RULES;
  const days = Object.fromEntries(MARKERS.map((m) => [m, NONE])) as Record<MarkerName, number>;
  const lead = span.from - span.chillFrom;
  const n = Math.min(run.tmin.length, span.to - span.chillFrom + 1 + CARRIED);
  const hours = hoursOf(c, span, n - lead);
  const wet = wetSeasonDay(c, span);
  const byLight =
    SHORTEST_DAY + R.leafFallByLight + Math.round(R.leafFallByLightSd * random(9000 + luck).normal());
  let chill = 0;
  let forcing = 0;
  let warmth = 0;
  let cold = 0;
  let lagged = 0;
  let fortnight = 0;
  days.midwinter = 0;
  days.midsummer = MIDSUMMER;
  /** the day has come for a marker: as it was seen, else as the model says */
  const comes = (name: MarkerName, d: number, model: boolean) => {
    const seen = fixed[name];
    return seen === undefined ? model : d >= seen - span.from;
  };
  const buds = new Buds(
    days,
    { swell: 'bud-swell', breaks: 'bud-break', hard: 'flush-hard' },
    STANDARD_CHILL,
    comes,
  );
  const late = new Buds(
    days,
    { swell: 'bud-swell-late', breaks: 'bud-break-late', hard: null },
    HIGH_CHILL,
    comes,
  );

  for (let i = 0; i < n; i++) {
    const [lo, hi] = indoors(c.offset, run.tmin[i], run.tmax[i]);
    const mean = (lo + hi) / 2;
    const d = i - lead;
    if (mean < R.chillBase && d < MIDSUMMER) chill++;
    lagged += (mean - lagged) / (i < R.rootsLag ? i + 1 : R.rootsLag);
    fortnight += (mean - fortnight) / (i < 14 ? i + 1 : 14);
    if (d < 0) continue;
    if (d < YEAR) {
      forcing += Math.max(0, mean - R.forcingBase);
      const dd = degreeDays(lo, hi, 5);
      warmth += dd;
      if (!tooWarm) {
        buds.day(d, chill, forcing, dd);
        late.day(d, chill, forcing, dd);
      }
      if (days['candles-moving'] === NONE && comes('candles-moving', d, warmth >= R.candles))
        days['candles-moving'] = d;
      if (days['warm-season'] === NONE) {
        const warm = fortnight >= R.warmMean && hours[d] >= R.warmDayLength;
        if (wet === null ? warm : d >= wet) days['warm-season'] = d;
      }
    }
    const began = days['warm-season'];
    if (began !== NONE && days['warm-ends'] === NONE && d >= began + WARM_LEAST) {
      const over = fortnight < R.warmEndsMean || (d > MIDSUMMER && hours[d] < R.warmEndsDayLength);
      const longest = wet === null ? R.warmLongest : R.wetLasts;
      if (d >= began + longest || (wet === null && over)) days['warm-ends'] = d;
    }
    if (d < MIDSUMMER) {
      if (lo <= 0) days['last-frost'] = d;
      if (days['roots-active'] === NONE && comes('roots-active', d, lagged >= R.rootsBase))
        days['roots-active'] = d;
      continue;
    }
    if (lo <= 0 && days['first-frost'] === NONE) days['first-frost'] = d;
    if (days['roots-rest'] === NONE && comes('roots-rest', d, lagged < R.rootsBase)) days['roots-rest'] = d;
    if (d >= LATE_SUMMER && days['leaf-fall-done'] === NONE && hours[d] < R.leafFallDayLength) {
      cold += Math.max(0, R.leafFallBase - mean);
      const gone = !tooWarm && (cold >= R.leafFallSum || d >= byLight);
      if (comes('leaf-fall-done', d, gone)) days['leaf-fall-done'] = d;
    }
  }
  return { days, chill: { 'bud-swell': buds.chillAtSwell, 'bud-swell-late': late.chillAtSwell } };
}

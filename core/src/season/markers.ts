import { dayOf, seasonSpan, yearOf, type Day, type SeasonSpan } from '../calendar/index.ts';
import { quantile } from '../stats/index.ts';
import type { Climate } from './climate.ts';
import type { ObservationKind } from './observe.ts';
import { dayLength } from './day-length.ts';
import { degreeDays } from './degree-days.ts';
import { atPlace, simulate, type WeatherRun } from './weather.ts';

/** Seasonal events of a place that windows hang on. */
export const MARKERS = [
  'midwinter',
  'roots-active',
  'bud-swell',
  'bud-swell-late',
  'bud-break',
  'bud-break-late',
  'candles-moving',
  'last-frost',
  'warm-season',
  'flush-hard',
  'midsummer',
  'first-frost',
  'roots-rest',
  'leaf-fall-done',
] as const;
export type MarkerName = (typeof MARKERS)[number];

/** Days as P10/P50/P90 of the years looked at; `p02` for frost, where one year in fifty is too often. */
export interface MarkerDays {
  kind: 'days';
  p02: Day;
  p10: Day;
  p50: Day;
  p90: Day;
  /** share of years in which the event comes at all */
  share: number;
  /** the weather record already holds it */
  passed: boolean;
  /** seen with the eye this year, and as what */
  seen?: { on: Day; as: ObservationKind };
  /** fixed by what was seen on other kinds at the place */
  near?: true;
  /** moved by what was seen on this kind in earlier years: days, from so many observations */
  learned?: { days: number; from: number };
  /** bud swell only: median days below 5 °C before it, and the first decile */
  chill?: { p10: number; p50: number };
}
export interface NoMarker {
  kind: 'no-marker';
  why: string;
}
export type Marker = MarkerDays | NoMarker;

/**
 * Alternating chilling–forcing model of bud swell, in the form of Cannell & Smith 1983
 * (Journal of Applied Ecology 20:951–963): forcing above 5 °C must reach a + b·e^(−k·chill days).
 */
export interface ChillForcing {
  a: number;
  b: number;
  k: number;
}
export const STANDARD_CHILL: ChillForcing = { a: 60, b: 300, k: 0.03 };
export const HIGH_CHILL: ChillForcing = { a: 60, b: 800, k: 0.025 };

/** Thresholds of the other markers: common practice turned into numbers, no source. */
export const MARKER_RULES = {
  chillBase: 5,
  forcingBase: 5,
  /** degree days base 5 °C from bud swell to leaves showing, and from there to a hardened first flush */
  swellToBreak: 70,
  breakToHard: 420,
  /** degree days base 5 °C from midwinter to candles moving on pines */
  candles: 170,
  /** roots work while the lagged mean air temperature is at or above this, °C */
  rootsBase: 6,
  rootsLag: 15,
  /** cold sum below 15 °C after late summer that brings the leaves down */
  leafFallBase: 15,
  leafFallSum: 330,
  /** warm season: fortnight mean at or above, °C, and day length at or above, h */
  warmMean: 18,
  warmDayLength: 12,
} as const;

const NONE = -1;
const MIDSUMMER = 171;
const LATE_SUMMER = 232;

interface YearMarkers {
  days: Record<MarkerName, number>;
  /** days below 5 °C before bud swell, for the two chilling classes */
  chill: { 'bud-swell': number; 'bud-swell-late': number };
}

/** Days from the season's start to the rains, where rain rules the year. */
function wetSeasonDay(c: Climate, span: SeasonSpan): number | null {
  if (c.wetFrom === null) return null;
  const days = dayOf(yearOf(span.from), c.wetFrom, 1) - span.from;
  return days < 0 ? days + 365 : days;
}

/** Markers that were seen with the eye, or follow from what was seen; they replace the model's day. */
export type Fixed = Partial<Record<MarkerName, Day>>;

/** Walks one year's weather at the place; days are counted from the season's first day, NONE if absent. */
function readYear(c: Climate, span: SeasonSpan, run: WeatherRun, fixed: Fixed): YearMarkers {
  const R = MARKER_RULES;
  const days = Object.fromEntries(MARKERS.map((m) => [m, NONE])) as Record<MarkerName, number>;
  const lead = span.from - span.chillFrom;
  const n = run.tmin.length;
  const wet = wetSeasonDay(c, span);
  let [chill, forcing, warmth, cold, afterSwell, afterSwellLate, hard] = [0, 0, 0, 0, 0, 0, 0];
  let [lagged, fortnight] = [0, 0];
  const chillBefore = { 'bud-swell': 0, 'bud-swell-late': 0 };
  days.midwinter = 0;
  days.midsummer = MIDSUMMER;
  /** the day has come for a marker: as it was seen, else as the model says */
  const comes = (name: MarkerName, d: number, model: boolean) => {
    const seen = fixed[name];
    return seen === undefined ? model : d >= seen - span.from;
  };

  for (let i = 0; i < n; i++) {
    const [lo, hi] = [run.tmin[i], run.tmax[i]];
    const mean = (lo + hi) / 2;
    const d = i - lead;
    if (mean < R.chillBase && d < MIDSUMMER) chill++;
    lagged += (mean - lagged) / (i < R.rootsLag ? i + 1 : R.rootsLag);
    fortnight += (mean - fortnight) / (i < 14 ? i + 1 : 14);
    if (d < 0) continue;

    forcing += Math.max(0, mean - R.forcingBase);
    const dd = degreeDays(lo, hi, 5);
    warmth += dd;
    if (days['bud-swell'] === NONE) {
      const need = STANDARD_CHILL.a + STANDARD_CHILL.b * Math.exp(-STANDARD_CHILL.k * chill);
      if (comes('bud-swell', d, forcing >= need)) {
        days['bud-swell'] = d;
        chillBefore['bud-swell'] = chill;
      }
    } else if (days['bud-break'] === NONE) {
      afterSwell += dd;
      if (comes('bud-break', d, afterSwell >= R.swellToBreak)) days['bud-break'] = d;
    } else if (days['flush-hard'] === NONE) {
      hard += dd;
      if (comes('flush-hard', d, hard >= R.breakToHard)) days['flush-hard'] = d;
    }
    if (days['bud-swell-late'] === NONE) {
      const need = HIGH_CHILL.a + HIGH_CHILL.b * Math.exp(-HIGH_CHILL.k * chill);
      if (comes('bud-swell-late', d, forcing >= need)) {
        days['bud-swell-late'] = d;
        chillBefore['bud-swell-late'] = chill;
      }
    } else if (days['bud-break-late'] === NONE) {
      afterSwellLate += dd;
      if (comes('bud-break-late', d, afterSwellLate >= R.swellToBreak)) days['bud-break-late'] = d;
    }
    if (days['candles-moving'] === NONE && comes('candles-moving', d, warmth >= R.candles))
      days['candles-moving'] = d;
    if (days['warm-season'] === NONE) {
      const warm = fortnight >= R.warmMean && dayLength(c.latitude, span.from + d) >= R.warmDayLength;
      if (wet === null ? warm : d >= wet) days['warm-season'] = d;
    }
    if (d < MIDSUMMER) {
      if (lo <= 0) days['last-frost'] = d;
      if (days['roots-active'] === NONE && comes('roots-active', d, lagged >= R.rootsBase))
        days['roots-active'] = d;
    } else {
      if (lo <= 0 && days['first-frost'] === NONE) days['first-frost'] = d;
      if (days['roots-rest'] === NONE && comes('roots-rest', d, lagged < R.rootsBase)) days['roots-rest'] = d;
    }
    if (d >= LATE_SUMMER && days['leaf-fall-done'] === NONE) {
      cold += Math.max(0, R.leafFallBase - mean);
      if (comes('leaf-fall-done', d, cold >= R.leafFallSum)) days['leaf-fall-done'] = d;
    }
  }
  return { days, chill: chillBefore };
}

const ABSENT: Partial<Record<MarkerName, string>> = {
  'bud-swell': 'buds are not held back by cold here',
  'bud-swell-late': 'too little cold for this kind in most years',
  'last-frost': 'no frost in most years',
  'first-frost': 'no frost in most years',
  'warm-season': 'the place does not get warm enough in most years',
  'leaf-fall-done': 'no cold autumn here: leaves are not shed by cold',
  'roots-rest': 'roots do not come to rest here',
};

function summarise(name: MarkerName, years: YearMarkers[], span: SeasonSpan, knownTo: Day): Marker {
  const came = years.map((y) => y.days[name]).filter((d) => d !== NONE);
  const share = came.length / years.length;
  if (share < 0.5) return { kind: 'no-marker', why: ABSENT[name] ?? 'does not come in most years' };
  came.sort((a, b) => a - b);
  const at = (q: number) => span.from + Math.round(quantile(came, q));
  const marker: MarkerDays = {
    kind: 'days',
    p02: at(name === 'last-frost' ? 0.98 : 0.02),
    p10: at(0.1),
    p50: at(0.5),
    p90: at(0.9),
    share,
    passed: came.length > 0 && span.from + came[came.length - 1] <= knownTo && share === 1,
  };
  if (name === 'bud-swell' || name === 'bud-swell-late') {
    const chill = years.map((y) => y.chill[name]).sort((a, b) => a - b);
    marker.chill = { p10: quantile(chill, 0.1), p50: quantile(chill, 0.5) };
  }
  return marker;
}

export type SeasonMarkers = Record<MarkerName, Marker>;

/**
 * Markers of one season at a place from `years` seeded weather years (default 200), each joined to the
 * `known` outdoor days where the record reaches into the season. Seeds are the same for every climate.
 */
export function seasonMarkers(
  c: Climate,
  year: number,
  known?: WeatherRun,
  years = 200,
  fixed: Fixed = {},
): SeasonMarkers {
  const span = seasonSpan(year, c.hemisphere);
  const length = span.to - span.chillFrom + 1;
  const knownTo = known ? known.from + known.tmin.length - 1 : -Infinity;
  const usable = known && known.from <= span.chillFrom && knownTo >= span.chillFrom ? known : undefined;
  const draws = usable && knownTo >= span.to ? 1 : years;
  const read = Array.from({ length: draws }, (_, i) =>
    readYear(c, span, atPlace(c, simulate(c, i + 1, span.chillFrom, length, usable)), fixed),
  );
  return Object.fromEntries(
    MARKERS.map((m) => [m, summarise(m, read, span, usable ? knownTo : -Infinity)]),
  ) as SeasonMarkers;
}

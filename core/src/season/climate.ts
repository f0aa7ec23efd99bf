import { placeInYear, type Day, type Hemisphere } from '../calendar/index.ts';

/** Where the nursery stands and what its weather is like in an ordinary year. */
export interface Site {
  latitude: number;
  longitude: number;
  elevation: number;
  timeZone: string;
  /** twelve monthly means of the daily minimum and maximum, °C, January first */
  tmin: number[];
  tmax: number[];
  /** day-to-day standard deviation, °C, in midwinter and midsummer */
  spreadWinter: number;
  spreadSummer: number;
  /** month 1..12 in which the rains begin, where the year is ruled by rain and not by cold */
  wetFrom?: number | null;
}

/** What a place makes of the weather outdoors. */
export interface PlaceOffset {
  /** added to the outdoor minimum and maximum, °C */
  night: number;
  day: number;
  /** heating keeps the place at or above this, °C; null when unheated */
  heatedTo: number | null;
}

export interface Climate {
  hemisphere: Hemisphere;
  latitude: number;
  /** daily normals by place in the year, 365 values, °C */
  tmin: Float64Array;
  tmax: Float64Array;
  /** standard deviation of the daily anomaly by place in the year, °C */
  spread: Float64Array;
  offset: PlaceOffset;
  wetFrom: number | null;
}

export const OUTDOORS: PlaceOffset = { night: 0, day: 0, heatedTo: null };
const MONTH_LENGTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

export const hemisphereOf = (latitude: number): Hemisphere => (latitude < 0 ? 'south' : 'north');

/**
 * Daily curve, 365 values, whose mean over each month is exactly the monthly mean given.
 * Histospline (Boneva, Kendall & Stefanov 1971, JRSS B 33:1–71; from memory): a periodic cubic spline
 * through the cumulative departures at month ends, differenced day by day.
 */
export function dailyNormals(monthly: readonly number[]): Float64Array {
  const n = 12;
  const mean = monthly.reduce((s, v, i) => s + v * MONTH_LENGTHS[i], 0) / 365;
  const h = MONTH_LENGTHS;
  const y = [0];
  for (let i = 0; i < n; i++) y.push(y[i] + (monthly[i] - mean) * h[i]);

  // second derivatives m of the periodic cubic spline, by Gauss–Seidel (diagonally dominant)
  const m = new Float64Array(n);
  for (let sweep = 0; sweep < 60; sweep++)
    for (let i = 0; i < n; i++) {
      const prev = (i + n - 1) % n;
      const rhs = 6 * ((y[i + 1] - y[i]) / h[i] - (y[prev + 1] - y[prev]) / h[prev]);
      m[i] = (rhs - h[prev] * m[prev] - h[i] * m[(i + 1) % n]) / (2 * (h[prev] + h[i]));
    }

  const cumulative = (month: number, day: number) => {
    const m0 = m[month];
    const m1 = m[(month + 1) % n];
    const len = h[month];
    const a = len - day;
    const b = day;
    return (
      (m0 * a ** 3 + m1 * b ** 3) / (6 * len) +
      (y[month] / len - (m0 * len) / 6) * a +
      (y[month + 1] / len - (m1 * len) / 6) * b
    );
  };
  const out = new Float64Array(365);
  let at = 0;
  for (let month = 0; month < n; month++)
    for (let d = 0; d < h[month]; d++) out[at++] = mean + cumulative(month, d + 1) - cumulative(month, d);
  return out;
}

/** Curves kept: the minimum and maximum of the sites in use. */
const MOST_CURVES = 64;
const curves = new Map<string, Float64Array>();

/** The daily curve of twelve monthly means, worked out once. */
function normalsOf(monthly: readonly number[]): Float64Array {
  const key = monthly.join(' ');
  let curve = curves.get(key);
  if (!curve) {
    if (curves.size >= MOST_CURVES) curves.clear();
    curves.set(key, (curve = dailyNormals(monthly)));
  }
  return curve;
}

/** The climate of a place: a site's normals with the place's offsets kept aside for each day. */
export function climateOf(site: Site, offset: PlaceOffset = OUTDOORS): Climate {
  const hemisphere = hemisphereOf(site.latitude);
  const coldest = hemisphere === 'north' ? 14 : 195;
  const mid = (site.spreadWinter + site.spreadSummer) / 2;
  const swing = (site.spreadWinter - site.spreadSummer) / 2;
  return {
    hemisphere,
    latitude: site.latitude,
    tmin: normalsOf(site.tmin),
    tmax: normalsOf(site.tmax),
    spread: Float64Array.from(
      { length: 365 },
      (_, d) => mid + swing * Math.cos((2 * Math.PI * (d - coldest)) / 365),
    ),
    offset,
    wetFrom: site.wetFrom ?? null,
  };
}

/** Outdoor temperatures turned into those of the place. */
export function indoors(offset: PlaceOffset, tmin: number, tmax: number): [number, number] {
  const low = tmin + offset.night;
  const high = Math.max(low, tmax + offset.day);
  if (offset.heatedTo === null) return [low, high];
  return [Math.max(low, offset.heatedTo), Math.max(high, offset.heatedTo + 2)];
}

const coldest = new WeakMap<Climate, number>();

/** Mean of the coldest month at the place, °C. */
export function coldestMonth(c: Climate): number {
  let found = coldest.get(c);
  if (found !== undefined) return found;
  let at = 0;
  const means = MONTH_LENGTHS.map((length) => {
    let sum = 0;
    for (let d = at; d < at + length; d++) {
      const [low, high] = indoors(c.offset, c.tmin[d], c.tmax[d]);
      sum += (low + high) / 2;
    }
    at += length;
    return sum / length;
  });
  coldest.set(c, (found = Math.min(...means)));
  return found;
}

/** Vapour pressure of saturated air, kPa, at a temperature, °C: FAO-56 (Allen et al. 1998), equation 11. */
const saturated = (t: number) => 0.6108 * Math.exp((17.27 * t) / (t + 237.3));

/**
 * Whether summers are dry to a leaf: mean vapour pressure deficit of the three warmest months above 1.3 kPa, the
 * night's minimum standing for the dew point (FAO-56, equations 12 and 48; the bound is common practice).
 */
export function dryAir(c: Climate): boolean {
  let dry = dryPlaces.get(c);
  if (dry === undefined) dryPlaces.set(c, (dry = summerDeficit(c) > DRY_ABOVE));
  return dry;
}
const dryPlaces = new WeakMap<Climate, boolean>();

function summerDeficit(c: Climate): number {
  const deficits = c.tmin.map((low, d) => (saturated(low) + saturated(c.tmax[d])) / 2 - saturated(low));
  const warmest = [...deficits].sort((a, b) => b - a).slice(0, 91);
  return warmest.reduce((a, b) => a + b, 0) / warmest.length;
}
const DRY_ABOVE = 1.3;

/** Normal minimum and maximum of the place on a day, °C. */
export function normalOn(c: Climate, day: Day): [number, number] {
  const d = placeInYear(day);
  return indoors(c.offset, c.tmin[d], c.tmax[d]);
}

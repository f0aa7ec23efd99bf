import { placeInYear, placesInYear, type Day } from '../calendar/index.ts';
import { random, type Random } from '../random/index.ts';
import { indoors, type Climate } from './climate.ts';

/** A run of days; index 0 is `from`. Temperatures in °C, of the outdoors unless said otherwise. */
export interface WeatherRun {
  from: Day;
  tmin: Float64Array;
  tmax: Float64Array;
}

/** Lag-one correlation of daily anomalies, and of the slow drift under them (about 45 days). */
export const PHI = 0.7;
export const PHI_SLOW = Math.exp(-1 / 45);
export const SLOW_SD = 1.0;
const FAST_STEP = Math.sqrt(1 - PHI * PHI);
const SLOW_STEP = Math.sqrt(1 - PHI_SLOW * PHI_SLOW) * SLOW_SD;

/** State of the generator on the day before a run: anomalies in units of the daily spread, and °C. */
export interface Anomaly {
  fast: number;
  slow: number;
}

/** The luck of a seed, draw by draw: the same in every climate, so that it is drawn once and kept. */
interface Luck {
  rng: Random;
  draws: Float64Array;
  drawn: number;
}
const lucks = new Map<number, Luck>();
/** Seeds kept: the years that markers and cold nights are told from. */
const MOST_KEPT = 1000;

/** The first `count` normal draws of a seed. */
function drawsOf(seed: number, count: number): Float64Array {
  let luck = lucks.get(seed);
  if (!luck) {
    luck = { rng: random(seed), draws: new Float64Array(count), drawn: 0 };
    if (lucks.size < MOST_KEPT) lucks.set(seed, luck);
  }
  if (luck.draws.length < count) {
    const more = new Float64Array(count);
    more.set(luck.draws);
    luck.draws = more;
  }
  while (luck.drawn < count) luck.draws[luck.drawn++] = luck.rng.normal();
  return luck.draws;
}

/** What the last days of a record say of the generator's state; `known` days are at the front of `run`. */
export function stateAfter(c: Climate, run: WeatherRun, known: number): Anomaly {
  const anomaly = (i: number) => {
    const d = placeInYear(run.from + i);
    return (run.tmin[i] + run.tmax[i] - c.tmin[d] - c.tmax[d]) / 2;
  };
  const back = Math.min(known, 30);
  let sum = 0;
  for (let i = known - back; i < known; i++) sum += anomaly(i);
  const slow = 0.5 * (sum / back);
  const spread = c.spread[placeInYear(run.from + known - 1)];
  return { fast: (anomaly(known - 1) - slow) / spread, slow };
}

/**
 * Outdoor weather from day `from` for `length` days: the `known` days first, then a seeded first-order
 * autoregressive anomaly on the daily normals. The same seed gives the same luck in every climate.
 */
export function simulate(
  c: Climate,
  seed: number,
  from: Day,
  length: number,
  known?: WeatherRun,
): WeatherRun {
  const run = { from, tmin: new Float64Array(length), tmax: new Float64Array(length) };
  const have = known ? Math.max(0, Math.min(length, known.from + known.tmin.length - from)) : 0;
  if (known && have > 0) {
    const skip = from - known.from;
    run.tmin.set(known.tmin.subarray(skip, skip + have));
    run.tmax.set(known.tmax.subarray(skip, skip + have));
  }
  const places = placesInYear(from, length);
  const draws = drawsOf(seed, 2 * (length - have) + 2);
  let next = 0;
  const a = have > 0 ? stateAfter(c, run, have) : { fast: draws[next++], slow: draws[next++] };
  let { fast, slow } = a;
  for (let i = have; i < length; i++) {
    fast = PHI * fast + FAST_STEP * draws[next++];
    slow = PHI_SLOW * slow + SLOW_STEP * draws[next++];
    const d = places[i];
    const shift = fast * c.spread[d] + slow;
    run.tmin[i] = c.tmin[d] + shift;
    run.tmax[i] = c.tmax[d] + shift;
  }
  return run;
}

/** The run as the place feels it. */
export function atPlace(c: Climate, run: WeatherRun): WeatherRun {
  const out = {
    from: run.from,
    tmin: new Float64Array(run.tmin.length),
    tmax: new Float64Array(run.tmax.length),
  };
  for (let i = 0; i < run.tmin.length; i++)
    [out.tmin[i], out.tmax[i]] = indoors(c.offset, run.tmin[i], run.tmax[i]);
  return out;
}

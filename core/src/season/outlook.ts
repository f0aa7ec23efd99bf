import { placeInYear, type Day } from '../calendar/index.ts';
import { indoors, OUTDOORS, type Climate, type PlaceOffset } from './climate.ts';
import { PHI, PHI_SLOW, SLOW_SD, stateAfter, type Anomaly, type WeatherRun } from './weather.ts';

/** What a day may bring at a place, °C: the night's low and the day's high. */
export interface Outlook {
  /** one night in fifty and one in ten is colder than this; half are */
  low: { p02: number; p10: number; p50: number };
  /** half the days are warmer than this; one in ten is */
  high: { p50: number; p90: number };
  /** the day is in the weather record */
  known: boolean;
}

const Z02 = 2.054;
const Z10 = 1.282;

/**
 * Outlook for single days from the weather generator's own law, in closed form: after k days the fast
 * anomaly keeps φ^k of its value and regains variance 1 − φ^2k; the slow one likewise.
 */
export function outlookOf(c: Climate, known: WeatherRun | undefined, offset: PlaceOffset = c.offset) {
  const end = known ? known.from + known.tmin.length - 1 : -Infinity;
  const state: Anomaly | null =
    known && known.tmin.length > 0 ? stateAfter(c, known, known.tmin.length) : null;
  return (day: Day): Outlook => {
    if (known && day >= known.from && day <= end) {
      const [lo, hi] = indoors(offset, known.tmin[day - known.from], known.tmax[day - known.from]);
      return { low: { p02: lo, p10: lo, p50: lo }, high: { p50: hi, p90: hi }, known: true };
    }
    const d = placeInYear(day);
    const ahead = state && day > end ? day - end : Infinity;
    const [keepFast, keepSlow] = ahead === Infinity ? [0, 0] : [PHI ** ahead, PHI_SLOW ** ahead];
    const shift = state ? keepFast * state.fast * c.spread[d] + keepSlow * state.slow : 0;
    const sd = Math.sqrt(c.spread[d] ** 2 * (1 - keepFast ** 2) + SLOW_SD ** 2 * (1 - keepSlow ** 2));
    const at = (z: number) => indoors(offset, c.tmin[d] + shift + z * sd, c.tmax[d] + shift + z * sd);
    const [p50, high] = at(0);
    return {
      low: { p02: at(-Z02)[0], p10: at(-Z10)[0], p50 },
      high: { p50: high, p90: at(Z10)[1] },
      known: false,
    };
  };
}

/** Outlook of the open air at the same site. */
export const outdoorsOf = (c: Climate, known: WeatherRun | undefined) => outlookOf(c, known, OUTDOORS);

/** Standard deviation of a single day's temperature about the normal at a place, °C; heating takes it away. */
export function placeSpread(c: Climate, day: Day): number {
  const d = placeInYear(day);
  const held = c.offset.heatedTo !== null && c.tmin[d] + c.offset.night < c.offset.heatedTo;
  return held ? 0.5 : Math.sqrt(c.spread[d] ** 2 + SLOW_SD ** 2);
}

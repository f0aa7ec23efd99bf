import type { Day } from '../calendar/index.ts';
import { cp } from '../params/index.ts';
import { quantile } from '../stats/index.ts';
import type { SeasonBook } from './book.ts';

/** Largest fall from the night of one place to that of another, without and after hardening off. */
export const SAFE_STEP = cp(10, '°C colder');
export const HARDENED_STEP = cp(18, '°C colder');
/** Nights as mild as this harm nothing, whatever the fall. */
export const MILD = cp(5, '°C');
/** Days for which hardening off holds. */
export const HARDENED_FOR = 45;

export interface Exposure {
  /** the night there, one in ten is colder, °C */
  low: number;
  /** fall from an ordinary night here, °C */
  fall: number;
  safe: boolean;
}

/** What a plant that bears `hardyTo` °C meets when it goes from one place to another on a day. */
export function exposureBetween(
  from: SeasonBook,
  to: SeasonBook,
  day: Day,
  hardyTo: number,
  hardened: boolean,
): Exposure {
  const low = to.outlook(day).low.p10;
  const fall = from.outlook(day).low.p50 - low;
  const allowed = (hardened ? HARDENED_STEP : SAFE_STEP).value;
  return { low, fall, safe: low >= hardyTo && (fall <= allowed || low >= Math.max(MILD.value, hardyTo + 2)) };
}

/** First day from `day` on which the move is safe, within ten months; null when there is none. */
export function safeFrom(
  from: SeasonBook,
  to: SeasonBook,
  day: Day,
  hardyTo: number,
  hardened: boolean,
): Day | null {
  for (let d = day; d < day + 300; d++) if (exposureBetween(from, to, d, hardyTo, hardened).safe) return d;
  return null;
}

export type FrostClass = 'heated' | 'frost-free' | 'light frost' | 'hard frost' | 'deep frost';

/** How cold a place gets: the coldest night of the season that one year in ten brings, and its class. */
export function frostClass(book: SeasonBook, year: number): { coldest: number; name: FrostClass } {
  const lows = book
    .years(year)
    .map((r) => r.tmin.reduce((m, t) => Math.min(m, t), Infinity))
    .sort((a, b) => a - b);
  const coldest = Math.round(quantile(lows, 0.1) * 10) / 10;
  const { heatedTo } = book.climate.offset;
  const name =
    heatedTo !== null && heatedTo >= 5
      ? 'heated'
      : coldest > 0
        ? 'frost-free'
        : coldest > -5
          ? 'light frost'
          : coldest > -12
            ? 'hard frost'
            : 'deep frost';
  return { coldest, name };
}

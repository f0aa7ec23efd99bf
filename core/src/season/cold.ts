import type { Day, SeasonSpan } from '../calendar/index.ts';
import { quantile } from '../stats/index.ts';
import type { PlaceOffset } from './climate.ts';

/** A night in the year that comes with chance: days as shares of the years looked at. */
export interface ChanceDay {
  p01: Day;
  p02: Day;
  p10: Day;
  p50: Day;
  p90: Day;
  /** share of years in which it comes at all */
  share: number;
}

/**
 * Nights at or below a temperature on either side of the warm season that begins in a season: the last before
 * midsummer, and the first from midsummer to the midsummer after. null: fewer than one year in fifty.
 */
export interface ColdSpells {
  /** early days are the dangerous ones: p02 comes before all but one year in fifty */
  first: ChanceDay | null;
  /** late days are the dangerous ones: p02 comes after all but one year in fifty */
  last: ChanceDay | null;
  /** days between the two in all but one year in a hundred on either side; Infinity where such nights never come */
  safe: number;
}

const MIDSUMMER = 171;
const YEAR = 365;
/** Fewer safe nights than this, and a tender kind is not taken out at all. Common practice, no source. */
export const LEAST_SAFE = 42;

/** Quantile over all years, those without such a night standing at the safe end; null when they reach it. */
function chance(days: number[], years: number, late: boolean): ChanceDay | null {
  const share = days.length / years;
  if (share < 0.02) return null;
  const sorted = [...days].sort((a, b) => (late ? b - a : a - b));
  // the q-th most dangerous year of all years; years without cold are the least dangerous
  const at = (q: number) =>
    Math.round(quantile(sorted, Math.min(1, (q * (years - 1)) / Math.max(1, days.length - 1))));
  return { p01: at(0.01), p02: at(0.02), p10: at(0.1), p50: at(0.5), p90: at(0.9), share };
}

/** Nights from a season's first to the midsummer after it. */
export const NIGHTS = YEAR + MIDSUMMER;

/**
 * Reads the cold on either side of a warm season out of the nights of drawn years, each from the season's first.
 * `years`: minimum of every night in the open air, °C; `threshold`: of the nights at a place of that site, °C.
 */
export function coldSpells(
  years: readonly Float32Array[],
  span: SeasonSpan,
  threshold: number,
  { night, heatedTo }: PlaceOffset,
): ColdSpells {
  // a night is as cold at the place as one this cold outdoors; where it is heated above that, none is
  const outdoors = heatedTo !== null && heatedTo > threshold ? -Infinity : threshold - night;
  const firsts: number[] = [];
  const lasts: number[] = [];
  for (const nights of years) {
    let first = -1;
    let last = -1;
    for (let d = 0; d < nights.length; d++) {
      if (nights[d] > outdoors) continue;
      if (d < MIDSUMMER) last = d;
      else {
        first = d;
        break;
      }
    }
    if (last >= 0) lasts.push(span.from + last);
    if (first >= 0) firsts.push(span.from + first);
  }
  const first = chance(firsts, years.length, false);
  const last = chance(lasts, years.length, true);
  const from = last?.p01 ?? span.from;
  return { first, last, safe: first ? first.p01 - from : Infinity };
}

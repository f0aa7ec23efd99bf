import type { Day, SeasonSpan } from '../calendar/index.ts';
import { quantile } from '../stats/index.ts';
import type { WeatherRun } from './weather.ts';

/** A night in the year that comes with chance: days as shares of the years looked at. */
export interface ChanceDay {
  p02: Day;
  p10: Day;
  p50: Day;
  p90: Day;
  /** share of years in which it comes at all */
  share: number;
}

/** First night of the cold half and last of the spring at or below a temperature; null: fewer than one year in fifty. */
export interface ColdSpells {
  /** early days are the dangerous ones: p02 comes before all but one year in fifty */
  first: ChanceDay | null;
  /** late days are the dangerous ones: p02 comes after all but one year in fifty */
  last: ChanceDay | null;
}

const MIDSUMMER = 171;

/** Quantile over all years, those without such a night standing at the safe end; null when they reach it. */
function chance(days: number[], years: number, late: boolean): ChanceDay | null {
  const share = days.length / years;
  if (share < 0.02) return null;
  const sorted = [...days].sort((a, b) => (late ? b - a : a - b));
  // the q-th most dangerous year of all years; years without cold are the least dangerous
  const at = (q: number) =>
    Math.round(quantile(sorted, Math.min(1, (q * (years - 1)) / Math.max(1, days.length - 1))));
  return { p02: at(0.02), p10: at(0.1), p50: at(0.5), p90: at(0.9), share };
}

/** Reads the cold half of a season out of simulated years: spring up to midsummer, autumn after it. */
export function coldSpells(years: readonly WeatherRun[], span: SeasonSpan, threshold: number): ColdSpells {
  const [first, last]: [number[], number[]] = [[], []];
  for (const run of years) {
    const lead = span.from - run.from;
    let f = -1;
    let l = -1;
    for (let i = lead; i < Math.min(run.tmin.length, lead + 365 + 150); i++) {
      if (run.tmin[i] > threshold) continue;
      if (i - lead < MIDSUMMER) l = i;
      else if (f < 0) f = i;
    }
    if (l >= 0) last.push(run.from + l);
    if (f >= 0) first.push(run.from + f);
  }
  return { first: chance(first, years.length, false), last: chance(last, years.length, true) };
}

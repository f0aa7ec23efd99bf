import { seasonSpan, type Day } from '../calendar/index.ts';
import type { Climate } from './climate.ts';
import { NIGHTS } from './cold.ts';
import { kept } from './kept.ts';
import { simulate, type WeatherRun } from './weather.ts';

/**
 * The open air of a site in the years its seasons are told from, the record first where it reaches into one. Drawn
 * once, and the same for every place of the site: a place only makes something else of it.
 */
export interface SiteYears {
  /** years a marker rests on */
  count: number;
  /** last day of the record, −Infinity without one */
  knownTo: Day;
  /** the record reaches into the season, from its chilling on */
  reaches: (year: number) => boolean;
  /** one year's weather from the season's chilling on, by its luck: 0 and up */
  run: (year: number, luck: number) => WeatherRun;
  /** minimum of every night from the season's first, °C, in a thousand years */
  nights: (year: number) => Float32Array[];
}

/** Days a drawn year goes on after the season's last, so that growth into the next spring can be read from it. */
const BEYOND = 190;
/** Years that cold nights are told from: one year in fifty needs more of them than the rest. */
const COLD_YEARS = 1000;

/** `count`: drawn years a marker rests on. Nothing is drawn before it is asked for. */
export function siteYears(c: Climate, known?: WeatherRun, count = 200): SiteYears {
  const knownTo = known ? known.from + known.tmin.length - 1 : -Infinity;
  const spanOf = (year: number) => seasonSpan(year, c.hemisphere);
  const reaches = (year: number) => {
    const { chillFrom } = spanOf(year);
    return known !== undefined && known.from <= chillFrom && knownTo >= chillFrom;
  };
  const recordOf = (year: number) => (reaches(year) ? known : undefined);
  const runs = kept((year: number) => {
    const { chillFrom, to } = spanOf(year);
    return kept((luck: number) =>
      simulate(c, luck + 1, chillFrom, to - chillFrom + 1 + BEYOND, recordOf(year)),
    );
  });
  const nights = kept((year: number) => {
    const { chillFrom, from } = spanOf(year);
    const lead = from - chillFrom;
    return Array.from({ length: COLD_YEARS }, (_, luck) => {
      const { tmin } = simulate(c, luck + 1, chillFrom, lead + NIGHTS, recordOf(year));
      return Float32Array.from(tmin.subarray(lead));
    });
  });
  return { count, knownTo, reaches, run: (year, luck) => runs(year)(luck), nights };
}

import { placeInYear, seasonSpan, type Day } from '../calendar/index.ts';
import { indoors, type Climate } from './climate.ts';
import { coldSpells, NIGHTS, type ChanceDay, type ColdSpells } from './cold.ts';
import { degreeDays } from './degree-days.ts';
import type { Fixed } from './marker-rules.ts';
import { seasonMarkers, type Marker, type SeasonMarkers } from './markers.ts';
import { outdoorsOf, outlookOf, type Outlook } from './outlook.ts';
import { atPlace, simulate, type WeatherRun } from './weather.ts';

/** What climate and record alone say of a place, worked out once and kept; sights are laid on top of it. */
export interface SeasonModel {
  /** markers of a season when some are fixed by what was seen */
  modelled: (year: number, fixed: Fixed) => SeasonMarkers;
  years: (year: number) => WeatherRun[];
  coldBelow: (threshold: number, year: number) => ColdSpells;
  warmthBy: (from: Day, degreeDays: number, base?: number) => Day | null;
  outlook: (day: Day) => Outlook;
  outdoors: (day: Day) => Outlook;
}

/** Keeps what was worked out for each key. */
export function kept<K, V>(make: (key: K) => V): (key: K) => V {
  const have = new Map<K, V>();
  return (key) => {
    let value = have.get(key);
    if (value === undefined) {
      value = make(key);
      have.set(key, value);
    }
    return value;
  };
}

/** Keeps what was worked out for each pair of keys. */
function kept2<K, L, V>(make: (a: K, b: L) => V): (a: K, b: L) => V {
  const rows = kept((a: K) => kept((b: L) => make(a, b)));
  return (a, b) => rows(a)(b);
}

export const moved = (m: Marker, by: number): Marker =>
  m.kind === 'days' ? { ...m, p02: m.p02 + by, p10: m.p10 + by, p50: m.p50 + by, p90: m.p90 + by } : m;

/** Simulated years that cold nights are told from. */
const COLD_YEARS = 1000;
const laterBy = (d: ChanceDay, by: number): ChanceDay => ({
  p01: d.p01 + by,
  p02: d.p02 + by,
  p10: d.p10 + by,
  p50: d.p50 + by,
  p90: d.p90 + by,
  share: d.share,
});

/** Moves a season's markers to another year without drawing the weather again. */
const shifted = (markers: SeasonMarkers, by: number): SeasonMarkers =>
  Object.fromEntries(Object.entries(markers).map(([name, m]) => [name, moved(m, by)])) as SeasonMarkers;

/** What the climate alone says of a season: the same for every year, moved to it. */
export interface OrdinarySeasons {
  markers: (year: number) => SeasonMarkers;
  years: (year: number) => WeatherRun[];
  coldBelow: (threshold: number, year: number) => ColdSpells;
}

/** The year that is drawn for all that no record reaches; one for all, so that it matters not which is asked for first. */
const DRAWN = 2001;

function drawYears(c: Climate, year: number, years: number, known?: WeatherRun): WeatherRun[] {
  const span = seasonSpan(year, c.hemisphere);
  const length = span.to - span.chillFrom + 1 + 190;
  return Array.from({ length: years }, (_, i) =>
    atPlace(c, simulate(c, i + 1, span.chillFrom, length, known)),
  );
}

/** Nights of a season in a thousand simulated years: one year in fifty is told from more years than the rest. */
function drawNights(c: Climate, year: number, known?: WeatherRun): Float32Array[] {
  const span = seasonSpan(year, c.hemisphere);
  const lead = span.from - span.chillFrom;
  return Array.from({ length: COLD_YEARS }, (_, i) => {
    const run = simulate(c, i + 1, span.chillFrom, lead + NIGHTS, known);
    const nights = new Float32Array(run.tmin.length - lead);
    // a plain loop: this is done for a thousand years of every place
    for (let n = 0; n < nights.length; n++) {
      const t = run.tmin[lead + n];
      nights[n] = indoors(c.offset, t, t)[0];
    }
    return nights;
  });
}

/** `years`: simulated years a marker rests on. Nothing is worked out before it is asked for. */
export function ordinarySeasons(c: Climate, years = 200): OrdinarySeasons {
  const drawn = seasonSpan(DRAWN, c.hemisphere);
  const by = (year: number): number => seasonSpan(year, c.hemisphere).from - drawn.from;
  const once = kept((year: number) => seasonMarkers(c, year, undefined, years));
  const runs = kept((year: number) => drawYears(c, year, years));
  const nights = kept((year: number) => drawNights(c, year));
  const spells = kept((threshold: number) => coldSpells(nights(DRAWN), drawn, threshold));
  return {
    markers: kept((year: number) => shifted(once(DRAWN), by(year))),
    years: kept((year: number) => runs(DRAWN).map((r) => ({ ...r, from: r.from + by(year) }))),
    coldBelow: kept2((threshold: number, year: number) => {
      const { first, last, safe } = spells(threshold);
      return { first: first && laterBy(first, by(year)), last: last && laterBy(last, by(year)), safe };
    }),
  };
}

/**
 * `years`: simulated years a marker rests on. What the climate alone says may be handed in, as it was worked out for
 * another state of the record.
 */
export function seasonModel(
  c: Climate,
  known?: WeatherRun,
  years = 200,
  ordinary: OrdinarySeasons = ordinarySeasons(c, years),
): SeasonModel {
  const knownTo = known ? known.from + known.tmin.length - 1 : -Infinity;
  const reaches = (year: number) => {
    const { chillFrom } = seasonSpan(year, c.hemisphere);
    return known !== undefined && known.from <= chillFrom && knownTo >= chillFrom;
  };
  const markers = kept((key: string): SeasonMarkers => {
    const { year, fixed } = JSON.parse(key) as { year: number; fixed: Fixed };
    if (!reaches(year) && Object.keys(fixed).length === 0) return ordinary.markers(year);
    return seasonMarkers(c, year, reaches(year) ? known : undefined, years, fixed);
  });
  const drawn = kept((year: number) => drawYears(c, year, years, known));
  const nightsOf = kept((year: number) => drawNights(c, year, known));
  const cold = kept2((threshold: number, year: number): ColdSpells =>
    reaches(year)
      ? coldSpells(nightsOf(year), seasonSpan(year, c.hemisphere), threshold)
      : ordinary.coldBelow(threshold, year),
  );

  // ordinary warmth above a base from 1 January of one year on, over three years: running totals
  const warmth = kept((base: number) => {
    const sums = new Float64Array(3 * 365 + 1);
    for (let d = 0; d < 3 * 365; d++)
      sums[d + 1] = sums[d] + degreeDays(...indoors(c.offset, c.tmin[d % 365], c.tmax[d % 365]), base);
    return sums;
  });

  return {
    modelled: (year, fixed) => markers(JSON.stringify({ year, fixed })),
    years: (year) => (reaches(year) ? drawn(year) : ordinary.years(year)),
    coldBelow: cold,
    warmthBy(from, wanted, base = 5) {
      const sums = warmth(base);
      const at = placeInYear(from + 1);
      let low = at;
      let high = at + 730;
      if (sums[high] - sums[at] < wanted) return null;
      while (low < high) {
        const mid = (low + high) >> 1;
        if (sums[mid] - sums[at] >= wanted) high = mid;
        else low = mid + 1;
      }
      return from + low - at;
    },
    outlook: kept(outlookOf(c, known)),
    outdoors: kept(outdoorsOf(c, known)),
  };
}

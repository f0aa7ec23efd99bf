import { seasonSpan, type Day, type SeasonSpan } from '../calendar/index.ts';
import { quantile } from '../stats/index.ts';
import { coldestMonth, type Climate } from './climate.ts';
import type { ObservationKind } from './observe.ts';
import { MARKER_RULES, MARKERS, type Fixed, type MarkerName } from './marker-rules.ts';
import { CARRIED, NONE, readYear, type YearMarkers } from './read-year.ts';
import { siteYears, type SiteYears } from './site-years.ts';
import type { WeatherRun } from './weather.ts';

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

const TOO_WARM = 'winters here are too warm to hold buds back';
const ABSENT: Partial<Record<MarkerName, string>> = {
  'bud-swell': TOO_WARM,
  'bud-swell-late': TOO_WARM,
  'last-frost': 'no frost in most years',
  'first-frost': 'no frost in most years',
  'warm-season': 'the place does not get warm enough in most years',
  'warm-ends': 'the place does not get warm enough in most years',
  'leaf-fall-done': 'winters here are too warm for leaves to be shed',
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

/** Markers of one season at a place, from the drawn years of its site; `fixed`: days some of them were seen on. */
export function markersFrom(c: Climate, site: SiteYears, year: number, fixed: Fixed = {}): SeasonMarkers {
  const span = seasonSpan(year, c.hemisphere);
  const knownTo = site.reaches(year) ? site.knownTo : -Infinity;
  // where the record holds all of it, one year is as good as many
  const count = knownTo >= span.to + CARRIED ? 1 : site.count;
  const tooWarm = coldestMonth(c) > MARKER_RULES.tooWarm;
  const read = Array.from({ length: count }, (_, luck) =>
    readYear(c, span, site.run(year, luck), { fixed, luck, tooWarm }),
  );
  return Object.fromEntries(MARKERS.map((m) => [m, summarise(m, read, span, knownTo)])) as SeasonMarkers;
}

/**
 * Markers of one season at a place from 200 seeded weather years, each joined to the `known` outdoor days where the
 * record reaches into the season. Seeds are the same for every climate.
 */
export const seasonMarkers = (c: Climate, year: number, known?: WeatherRun): SeasonMarkers =>
  markersFrom(c, siteYears(c, known), year);

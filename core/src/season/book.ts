import { seasonOf, seasonSpan, type Day, type Hemisphere } from '../calendar/index.ts';
import { normalOn, type Climate } from './climate.ts';
import { degreeDays } from './degree-days.ts';
import { seasonMarkers, type Marker, type MarkerName, type SeasonMarkers } from './markers.ts';
import type { WeatherRun } from './weather.ts';

/** How a taxon answers the season. */
export type Phenology = 'standard' | 'high-chill' | 'warm-season';

/** The markers of a place for any season, worked out once and kept. */
export interface SeasonBook {
  hemisphere: Hemisphere;
  seasonOf(day: Day): number;
  span(year: number): { from: Day; to: Day };
  season(year: number): SeasonMarkers;
  /** a marker as a taxon of this phenology meets it */
  marker(name: MarkerName, year: number, phenology: Phenology): Marker;
  /** day by which this much warmth, °C·d above 5 °C, has come after `from` in an ordinary year; null: never */
  warmthBy(from: Day, degreeDays: number): Day | null;
  /** growing days of the season: leaves out to leaves down, or the warm season */
  growing(year: number, phenology: Phenology): { from: Day; to: Day };
}

const LATE: Partial<Record<MarkerName, MarkerName>> = {
  'bud-swell': 'bud-swell-late',
  'bud-break': 'bud-break-late',
};
const HELD_BY_COLD: ReadonlySet<MarkerName> = new Set([
  'bud-swell',
  'bud-break',
  'flush-hard',
  'leaf-fall-done',
  'candles-moving',
]);

/** Moves a season's markers to another year without drawing the weather again. */
function shifted(markers: SeasonMarkers, by: number): SeasonMarkers {
  return Object.fromEntries(
    Object.entries(markers).map(([name, m]) => [
      name,
      m.kind === 'days' ? { ...m, p02: m.p02 + by, p10: m.p10 + by, p50: m.p50 + by, p90: m.p90 + by } : m,
    ]),
  ) as SeasonMarkers;
}

/** `known`: the outdoor weather record so far; seasons it reaches into are forecast from it. */
export function seasonBook(c: Climate, known?: WeatherRun, years = 200): SeasonBook {
  const kept = new Map<number, SeasonMarkers>();
  const grown = new Map<string, { from: Day; to: Day }>();
  const knownTo = known ? known.from + known.tmin.length - 1 : -Infinity;
  let ordinary: { year: number; markers: SeasonMarkers } | undefined;

  function season(year: number): SeasonMarkers {
    const have = kept.get(year);
    if (have) return have;
    const span = seasonSpan(year, c.hemisphere);
    let markers: SeasonMarkers;
    if (known && known.from <= span.chillFrom && knownTo >= span.chillFrom) {
      markers = seasonMarkers(c, year, known, years);
    } else {
      ordinary ??= { year, markers: seasonMarkers(c, year, undefined, years) };
      const from = seasonSpan(ordinary.year, c.hemisphere).from;
      markers = shifted(ordinary.markers, span.from - from);
    }
    kept.set(year, markers);
    return markers;
  }

  function marker(name: MarkerName, year: number, phenology: Phenology): Marker {
    if (phenology === 'warm-season' && HELD_BY_COLD.has(name))
      return {
        kind: 'no-marker',
        why: 'a tropical kind: its year is ruled by warmth and rain, not by cold',
      };
    return season(year)[phenology === 'high-chill' ? (LATE[name] ?? name) : name];
  }

  return {
    hemisphere: c.hemisphere,
    seasonOf: (day) => seasonOf(day, c.hemisphere),
    span: (year) => seasonSpan(year, c.hemisphere),
    season,
    marker,
    warmthBy(from, wanted) {
      let sum = 0;
      for (let day = from + 1; day < from + 730; day++) {
        sum += degreeDays(...normalOn(c, day), 5);
        if (sum >= wanted) return day;
      }
      return null;
    },
    growing(year, phenology) {
      const key = `${year} ${phenology}`;
      const have = grown.get(key);
      if (have) return have;
      const { from } = seasonSpan(year, c.hemisphere);
      const leaves = phenology === 'warm-season' ? 'warm-season' : 'bud-break';
      const start = marker(leaves, year, phenology);
      const end = marker('leaf-fall-done', year, phenology);
      const begin = start.kind === 'days' ? start.p50 : from + 75;
      const growing = { from: begin, to: end.kind === 'days' ? end.p50 : begin + 220 };
      grown.set(key, growing);
      return growing;
    },
  };
}

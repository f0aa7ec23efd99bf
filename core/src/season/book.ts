import { placeInYear, seasonOf, seasonSpan, type Day, type Hemisphere } from '../calendar/index.ts';
import { indoors, type Climate } from './climate.ts';
import { coldSpells, type ColdSpells } from './cold.ts';
import { degreeDays } from './degree-days.ts';
import {
  seasonMarkers,
  type Fixed,
  type Marker,
  type MarkerDays,
  type MarkerName,
  type SeasonMarkers,
} from './markers.ts';
import { learnedOffset, markerOf, sightsOf, type Observation, type SeasonalKind } from './observe.ts';
import { outdoorsOf, outlookOf, type Outlook } from './outlook.ts';
import { atPlace, simulate, type WeatherRun } from './weather.ts';

export type Phenology = SeasonalKind['phenology'];

/** The markers of a place for any season, worked out once and kept. */
export interface SeasonBook {
  hemisphere: Hemisphere;
  climate: Climate;
  seasonOf(day: Day): number;
  span(year: number): { from: Day; to: Day };
  /** markers of the place by the model and by what was seen of the place as a whole */
  season(year: number): SeasonMarkers;
  /** a marker as this kind of plant meets it: seen, learned, or by the model */
  marker(name: MarkerName, year: number, kind: SeasonalKind): Marker;
  /** day by which this much warmth, °C·d above `base`, has come after `from` in an ordinary year; null: never */
  warmthBy(from: Day, degreeDays: number, base?: number): Day | null;
  /** growing days of the season: leaves out to leaves down, or the warm season */
  growing(year: number, kind: SeasonalKind): { from: Day; to: Day };
  /** what a night and day may bring here, and in the open air of the same site */
  outlook(day: Day): Outlook;
  outdoors(day: Day): Outlook;
  /** the cold half of a season: first and last night at or below a temperature, °C */
  coldBelow(threshold: number, year: number): ColdSpells;
  /** simulated years of the place for a season, joined to the record; the same seeds for every place */
  years(year: number): WeatherRun[];
  /** the open air of the same site */
  outside: SeasonBook;
}

const HELD_BY_COLD: ReadonlySet<MarkerName> = new Set([
  'bud-swell',
  'bud-break',
  'flush-hard',
  'leaf-fall-done',
  'candles-moving',
]);
/** A kind's offset at one marker carries to what follows from it, unless that has been seen itself. */
const FOLLOWS: Partial<Record<MarkerName, MarkerName>> = {
  'bud-break': 'bud-swell',
  'flush-hard': 'bud-break',
  'bud-break-late': 'bud-swell-late',
};
/** Days of doubt either way when a sight only announces a marker. */
const ANNOUNCED = 5;

const moved = (m: Marker, by: number): Marker =>
  m.kind === 'days' ? { ...m, p02: m.p02 + by, p10: m.p10 + by, p50: m.p50 + by, p90: m.p90 + by } : m;

/** Moves a season's markers to another year without drawing the weather again. */
const shifted = (markers: SeasonMarkers, by: number): SeasonMarkers =>
  Object.fromEntries(Object.entries(markers).map(([name, m]) => [name, moved(m, by)])) as SeasonMarkers;

/** Keeps what was worked out for each key. */
function kept<K, V>(make: (key: K) => V): (key: K) => V {
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

export interface BookOptions {
  /** what growers have seen, here and at other places */
  seen?: readonly Observation[];
  /** simulated years a marker rests on */
  years?: number;
  /** the open air of the same site; the book itself when not given */
  outside?: SeasonBook;
}

const NOBODY: SeasonalKind = { id: '', phenology: 'standard' };

/** `known`: the outdoor weather record so far; seasons it reaches into are forecast from it. */
export function seasonBook(
  c: Climate,
  known?: WeatherRun,
  { seen = [], years = 200, outside }: BookOptions = {},
): SeasonBook {
  const knownTo = known ? known.from + known.tmin.length - 1 : -Infinity;
  const reaches = (year: number) => {
    const { chillFrom } = seasonSpan(year, c.hemisphere);
    return known !== undefined && known.from <= chillFrom && knownTo >= chillFrom;
  };
  const ordinary = kept((year: number) => seasonMarkers(c, year, undefined, years));
  let ordinaryYear: number | undefined;

  const modelled = kept((key: string): SeasonMarkers => {
    const { year, fixed } = JSON.parse(key) as { year: number; fixed: Fixed };
    if (reaches(year) || Object.keys(fixed).length > 0)
      return seasonMarkers(c, year, reaches(year) ? known : undefined, years, fixed);
    ordinaryYear ??= year;
    const from = seasonSpan(ordinaryYear, c.hemisphere).from;
    return shifted(ordinary(ordinaryYear), seasonSpan(year, c.hemisphere).from - from);
  });
  const plainSeason = kept((year: number) => modelled(JSON.stringify({ year, fixed: {} })));
  const seenIn = kept((year: number) => seen.some((o) => o.here && o.season === year));

  function offsetOf(kind: SeasonalKind, name: MarkerName, year: number): MarkerDays['learned'] | null {
    if (seen.length === 0) return null;
    const own = learnedOffset(seen, kind.id, name, year);
    if (own) return own;
    const before = FOLLOWS[name];
    return before ? offsetOf(kind, before, year) : null;
  }

  const markers = new Map<string, Marker>();
  function marker(name: MarkerName, year: number, kind: SeasonalKind): Marker {
    const key = `${name} ${year} ${kind.phenology} ${seen.length > 0 ? kind.id : ''}`;
    let m = markers.get(key);
    if (!m) markers.set(key, (m = work(name, year, kind)));
    return m;
  }

  function work(name: MarkerName, year: number, kind: SeasonalKind): Marker {
    if (kind.phenology === 'warm-season' && HELD_BY_COLD.has(name))
      return {
        kind: 'no-marker',
        why: 'a tropical kind: its year is ruled by warmth and rain, not by cold',
      };
    const real = markerOf(name, kind.phenology);
    if (!seenIn(year)) {
      const plain = plainSeason(year)[real];
      const offset = offsetOf(kind, real, year);
      return offset && plain.kind === 'days'
        ? { ...(moved(plain, offset.days) as typeof plain), learned: offset }
        : plain;
    }
    const { own, fixed } = sightsOf(seen, year, kind);
    const m = modelled(JSON.stringify({ year, fixed }))[real];
    if (m.kind === 'no-marker') return m;
    const sight = own[real];
    if (sight) {
      const doubt = sight.main ? 0 : ANNOUNCED;
      return {
        ...m,
        ...{ p02: sight.on - doubt, p10: sight.on - doubt, p50: sight.on, p90: sight.on + doubt },
        passed: sight.main,
        seen: { on: sight.seen, as: sight.as },
      };
    }
    // what follows from a sight of this kind itself needs no offset
    const before = FOLLOWS[real];
    const offset = before && own[before] ? null : offsetOf(kind, real, year);
    return offset ? { ...(moved(m, offset.days) as typeof m), learned: offset } : m;
  }

  const growing = kept((key: string) => {
    const [year, phenology, id] = key.split(' ');
    const kind = { id, phenology: phenology as Phenology };
    const { from } = seasonSpan(Number(year), c.hemisphere);
    const leaves = phenology === 'warm-season' ? 'warm-season' : 'bud-break';
    const start = marker(leaves, Number(year), kind);
    const end = marker('leaf-fall-done', Number(year), kind);
    const begin = start.kind === 'days' ? start.p50 : from + 75;
    return { from: begin, to: Math.max(begin + 30, end.kind === 'days' ? end.p50 : begin + 220) };
  });

  const drawn = kept((year: number): WeatherRun[] => {
    const span = seasonSpan(year, c.hemisphere);
    const use = reaches(year) ? known : undefined;
    const length = span.to - span.chillFrom + 1 + 180;
    return Array.from({ length: years }, (_, i) =>
      atPlace(c, simulate(c, i + 1, span.chillFrom, length, use)),
    );
  });
  /** Years no record reaches into look alike: one set, moved. */
  let firstOrdinary: number | undefined;
  const yearsOf = (year: number): WeatherRun[] => {
    if (reaches(year)) return drawn(year);
    firstOrdinary ??= year;
    const by = seasonSpan(year, c.hemisphere).chillFrom - seasonSpan(firstOrdinary, c.hemisphere).chillFrom;
    return drawn(firstOrdinary).map((r) => ({ ...r, from: r.from + by }));
  };
  const cold = kept((key: string) => {
    const [threshold, year] = key.split(' ').map(Number);
    return coldSpells(yearsOf(year), seasonSpan(year, c.hemisphere), threshold);
  });

  // ordinary warmth above a base from 1 January of one year on, over three years: running totals
  const warmth = kept((base: number) => {
    const sums = new Float64Array(3 * 365 + 1);
    for (let d = 0; d < 3 * 365; d++)
      sums[d + 1] = sums[d] + degreeDays(...indoors(c.offset, c.tmin[d % 365], c.tmax[d % 365]), base);
    return sums;
  });

  const book: SeasonBook = {
    hemisphere: c.hemisphere,
    climate: c,
    seasonOf: (day) => seasonOf(day, c.hemisphere),
    span: (year) => seasonSpan(year, c.hemisphere),
    season: (year) => {
      const { own, fixed } = sightsOf(seen, year, NOBODY);
      const markers = modelled(JSON.stringify({ year, fixed }));
      if (Object.keys(own).length === 0) return markers;
      const names = Object.keys(markers) as MarkerName[];
      return Object.fromEntries(
        names.map((name) => [name, own[name] ? marker(name, year, NOBODY) : markers[name]]),
      ) as SeasonMarkers;
    },
    marker,
    warmthBy(from, wanted, base = 5) {
      const sums = warmth(base);
      const at = placeInYear(from + 1);
      let [low, high] = [at, at + 730];
      if (sums[high] - sums[at] < wanted) return null;
      while (low < high) {
        const mid = (low + high) >> 1;
        if (sums[mid] - sums[at] >= wanted) high = mid;
        else low = mid + 1;
      }
      return from + low - at;
    },
    growing: (year, kind) => growing(`${year} ${kind.phenology} ${seen.length > 0 ? kind.id : ''}`),
    outlook: kept(outlookOf(c, known)),
    outdoors: kept(outdoorsOf(c, known)),
    coldBelow: (threshold, year) => cold(`${threshold} ${year}`),
    years: yearsOf,
    get outside() {
      return outside ?? book;
    },
  };
  return book;
}

import { seasonOf, seasonSpan, type Day, type Hemisphere } from '../calendar/index.ts';
import { coldestMonth, type Climate } from './climate.ts';
import type { ColdSpells } from './cold.ts';
import { kept } from './kept.ts';
import { MARKER_RULES, type MarkerName } from './marker-rules.ts';
import type { Marker, MarkerDays, SeasonMarkers } from './markers.ts';
import { moved, seasonModel, type SeasonModel } from './model.ts';
import {
  classOffset,
  learnedOffset,
  markerOf,
  sightsOf,
  type Observation,
  type Phenology,
  type SeasonalKind,
  type Sight,
} from './observe.ts';
import type { Outlook } from './outlook.ts';
import type { WeatherRun } from './weather.ts';

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
/** Days by which kinds of one place differ, one in ten each way. Common practice, no source. */
const NEAR = 6;

export interface BookOptions {
  /** what growers have seen, here and at other places */
  seen?: readonly Observation[];
  /** the open air of the same site; the book itself when not given */
  outside?: SeasonBook;
  model?: SeasonModel;
}

const NOBODY: SeasonalKind = { id: '', phenology: 'standard' };

/** A marker that was seen, or announced by what was seen. */
function asSeen(m: MarkerDays, sight: Sight): MarkerDays {
  const doubt = sight.main ? 0 : ANNOUNCED;
  return {
    ...m,
    p02: sight.on - doubt,
    p10: sight.on - doubt,
    p50: sight.on,
    p90: sight.on + doubt,
    passed: sight.main,
    seen: { on: sight.seen, as: sight.as },
  };
}

/** A marker near a day, as kinds of one place differ. */
const around = (m: MarkerDays, day: Day): MarkerDays => ({
  ...m,
  p02: day - 2 * NEAR,
  p10: day - NEAR,
  p50: day,
  p90: day + NEAR,
  passed: false,
  near: true,
});

/**
 * The season of a place as seen by growers. `known`: the outdoor weather record so far; seasons it reaches
 * into are forecast from it. A model worked out before for the same place and record may be handed in.
 */
export function seasonBook(
  c: Climate,
  known?: WeatherRun,
  { seen = [], outside, model = seasonModel(c, known) }: BookOptions = {},
): SeasonBook {
  const { modelled } = model;
  const plainSeason = kept((year: number) => modelled(year, {}));
  const seenIn = kept((year: number) => seen.some((o) => o.here && o.season === year));

  function offsetOf(kind: SeasonalKind, name: MarkerName, year: number): MarkerDays['learned'] | null {
    if (seen.length === 0) return null;
    const own = learnedOffset(seen, kind.id, name, year);
    if (own) return own;
    const before = FOLLOWS[name];
    return before ? offsetOf(kind, before, year) : null;
  }

  const markers = new Map<string, Marker>();
  const tooWarm = coldestMonth(c) > MARKER_RULES.tooWarm;
  /** what tells one kind from another here: without sights all of a class are alike */
  const sort = (kind: SeasonalKind) =>
    `${kind.phenology} ${kind.buds ?? 'middle'} ${seen.length > 0 ? kind.id : ''}`;
  function marker(name: MarkerName, year: number, kind: SeasonalKind): Marker {
    const key = `${name} ${year} ${sort(kind)}`;
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
    // what winters too warm indoors would not wake goes out to rest, and wakes as outdoors
    if (tooWarm && HELD_BY_COLD.has(name) && outside && coldestMonth(outside.climate) <= MARKER_RULES.tooWarm)
      return outside.marker(name, year, kind);
    const real = markerOf(name, kind.phenology);
    const ofClass = classOffset(real, kind.buds);
    if (!seenIn(year)) {
      const plain = moved(plainSeason(year)[real], ofClass);
      const offset = offsetOf(kind, real, year);
      return offset && plain.kind === 'days'
        ? { ...(moved(plain, offset.days) as typeof plain), learned: offset }
        : plain;
    }
    const { own, fixed } = sightsOf(seen, year, kind);
    const m = modelled(year, fixed)[real];
    if (m.kind === 'no-marker') return m;
    const sight = own[real];
    if (sight) return asSeen(m, sight);
    // other kinds there have moved: near, but not this kind's own day
    if (fixed[real] !== undefined) {
      const by = offsetOf(kind, real, year)?.days ?? 0;
      return around(m, m.p50 + by + ofClass);
    }
    // what follows from a sight of this kind itself needs no offset
    const before = FOLLOWS[real];
    if (before && own[before]) return m;
    const plain = moved(m, ofClass) as typeof m;
    const offset = offsetOf(kind, real, year);
    return offset ? { ...(moved(plain, offset.days) as typeof m), learned: offset } : plain;
  }

  const growing = kept((key: string) => {
    const [year, phenology, buds, id] = key.split(' ');
    const kind = { id, phenology: phenology as Phenology, buds: buds as SeasonalKind['buds'] };
    const { from } = seasonSpan(Number(year), c.hemisphere);
    const byWarmth = phenology === 'warm-season';
    const start = marker(byWarmth ? 'warm-season' : 'bud-break', Number(year), kind);
    const end = marker(byWarmth ? 'warm-ends' : 'leaf-fall-done', Number(year), kind);
    const begin = start.kind === 'days' ? start.p50 : from + 75;
    return { from: begin, to: Math.max(begin + 30, end.kind === 'days' ? end.p50 : begin + 220) };
  });

  const book: SeasonBook = {
    hemisphere: c.hemisphere,
    climate: c,
    seasonOf: (day) => seasonOf(day, c.hemisphere),
    span: (year) => seasonSpan(year, c.hemisphere),
    season: (year) => {
      const { own, fixed } = sightsOf(seen, year, NOBODY);
      const markers = modelled(year, fixed);
      if (Object.keys(own).length === 0) return markers;
      const names = Object.keys(markers) as MarkerName[];
      return Object.fromEntries(
        names.map((name) => [name, own[name] ? marker(name, year, NOBODY) : markers[name]]),
      ) as SeasonMarkers;
    },
    marker,
    warmthBy: model.warmthBy,
    growing: (year, kind) => growing(`${year} ${sort(kind)}`),
    outlook: model.outlook,
    outdoors: model.outdoors,
    coldBelow: model.coldBelow,
    years: model.years,
    get outside() {
      return outside ?? book;
    },
  };
  return book;
}

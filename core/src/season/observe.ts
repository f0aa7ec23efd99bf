import type { Day } from '../calendar/index.ts';
import { cp, type Param } from '../params/index.ts';
import type { Fixed, MarkerName } from './marker-rules.ts';

/** How a kind of plant answers the season: its own id, and what rules its year. A taxon is one. */
export type Phenology = 'standard' | 'high-chill' | 'warm-season';

export interface SeasonalKind {
  id: string;
  phenology: Phenology;
  /** how early its buds are among those of its phenology; middle where nothing is said */
  buds?: BudClass;
}

export type BudClass = 'early' | 'middle' | 'late';
/** Days by which early and late kinds differ from the middle: five and a half weeks between the ends. */
export const BUD_OFFSET: Record<BudClass, Param> = {
  early: cp(-18, 'days'),
  middle: cp(0, 'days'),
  late: cp(20, 'days'),
};
/** How far markers follow a kind's buds: roots and leaves wholly, the autumn by half. Common practice, no source. */
const FOLLOWS_BUDS: Partial<Record<MarkerName, number>> = {
  'roots-active': 1,
  'bud-swell': 1,
  'bud-swell-late': 1,
  'bud-break': 1,
  'bud-break-late': 1,
  'candles-moving': 1,
  'flush-hard': 1,
  'leaf-fall-done': 0.5,
  'roots-rest': 0.5,
};

/** Days by which a marker comes earlier (negative) or later for kinds of a class. */
export const classOffset = (marker: MarkerName, buds: BudClass = 'middle'): number =>
  Math.round((FOLLOWS_BUDS[marker] ?? 0) * BUD_OFFSET[buds].value);

/**
 * What growers see and say, the markers it fixes, and the days from the sight to the marker.
 * White tips on the roots run a little ahead of the buds. Common practice, no source.
 */
export const OBSERVATIONS = {
  'white-tips': { name: 'white root tips', fixes: { 'roots-active': 0, 'bud-swell': 12 } },
  'buds-swelling': { name: 'buds swelling', fixes: { 'bud-swell': 0 } },
  'bud-break': { name: 'bud break', fixes: { 'bud-break': 0 } },
  'candles-moving': { name: 'candles moving', fixes: { 'candles-moving': 0 } },
  'flush-hard': { name: 'first flush hard', fixes: { 'flush-hard': 0 } },
  'leaf-fall-done': { name: 'leaf fall done', fixes: { 'leaf-fall-done': 0 } },
  'roots-stopped': { name: 'roots stopped', fixes: { 'roots-rest': 0 } },
} as const satisfies Record<string, { name: string; fixes: Partial<Record<MarkerName, number>> }>;
export type ObservationKind = keyof typeof OBSERVATIONS;
export const OBSERVATION_KINDS = Object.keys(OBSERVATIONS) as ObservationKind[];

/** One sight: of a kind of plant (null: of the place as a whole), with what the model expected of that marker then. */
export interface Observation {
  kind: ObservationKind;
  taxonId: string | null;
  phenology: SeasonalKind['phenology'];
  buds?: BudClass;
  season: number;
  on: Day;
  /** the model's day for the marker it fixes first, null when it had none */
  expected: Day | null;
  /** seen at the place this book is for; sights elsewhere teach but do not fix */
  here: boolean;
}

/** Beech and its like keep markers of their own for what buds do. */
const LATE: Partial<Record<MarkerName, MarkerName>> = {
  'bud-swell': 'bud-swell-late',
  'bud-break': 'bud-break-late',
};
export const markerOf = (name: MarkerName, phenology: SeasonalKind['phenology']): MarkerName =>
  phenology === 'high-chill' ? (LATE[name] ?? name) : name;

/** The marker an observation is held against: the one it names itself. */
export const mainMarker = (kind: ObservationKind): MarkerName =>
  Object.keys(OBSERVATIONS[kind].fixes)[0] as MarkerName;

/** A marker's day by what was seen. */
export interface Sight {
  on: Day;
  seen: Day;
  as: ObservationKind;
  /** it was the marker itself that was seen; else what was seen only announces it */
  main: boolean;
}

/** Days seen this year at this place, from one kind or the whole place. */
export interface Sights {
  /** by the kind itself, or of the place as a whole */
  own: Partial<Record<MarkerName, Sight>>;
  /** handed to the model: own sights, else those of other kinds less what is known of those kinds */
  fixed: Fixed;
}

/** Weight, in observations, given to the model when a kind's offset is learned: the mean is shrunk by it. */
export const PRIOR_WEIGHT = 2;

/** Days a kind runs ahead (negative) or behind the model at a marker, as seen before `season`. */
export function learnedOffset(
  seen: readonly Observation[],
  taxonId: string,
  marker: MarkerName,
  season: number,
): { days: number; from: number } | null {
  const errors = seen
    .filter((o) => o.taxonId === taxonId && o.season < season && o.expected !== null)
    .filter((o) => markerOf(mainMarker(o.kind), o.phenology) === marker)
    .map((o) => o.on - o.expected!);
  if (errors.length === 0) return null;
  const sum = errors.reduce((a, b) => a + b, 0);
  return { days: Math.round(sum / (errors.length + PRIOR_WEIGHT)), from: errors.length };
}

/** What was seen in a season at the place, as it bears on one kind of plant. */
export function sightsOf(seen: readonly Observation[], season: number, kind: SeasonalKind): Sights {
  const own: Sights['own'] = {};
  const others: Partial<Record<MarkerName, number[]>> = {};
  for (const o of seen) {
    if (!o.here || o.season !== season) continue;
    for (const [name, ahead] of Object.entries(OBSERVATIONS[o.kind].fixes)) {
      const marker = markerOf(name as MarkerName, o.phenology);
      const day = o.on + ahead;
      if (o.taxonId === null || o.taxonId === kind.id) {
        const have = own[marker];
        // the marker's own sight outweighs one that only announces it
        if (!have || ahead === 0) own[marker] = { on: day, seen: o.on, as: o.kind, main: ahead === 0 };
      } else {
        const learned = learnedOffset(seen, o.taxonId, marker, season)?.days ?? 0;
        const offset = learned + classOffset(marker, o.buds);
        (others[marker] ??= []).push(day - offset);
      }
    }
  }
  const fixed: Fixed = {};
  for (const [name, days] of Object.entries(others))
    fixed[name as MarkerName] = Math.round(days.reduce((a, b) => a + b, 0) / days.length);
  for (const [name, sight] of Object.entries(own)) fixed[name as MarkerName] = sight.on;
  return { own, fixed };
}

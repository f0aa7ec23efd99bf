import type { Day } from '../calendar/index.ts';
import type { Fixed, MarkerName } from './markers.ts';

/** How a kind of plant answers the season: its own id, and what rules its year. A taxon is one. */
export interface SeasonalKind {
  id: string;
  phenology: 'standard' | 'high-chill' | 'warm-season';
}

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

/** Days seen this year at this place, from one kind or the whole place. */
export interface Sights {
  /** by the kind itself, or of the place as a whole */
  own: Partial<Record<MarkerName, { on: Day; seen: Day; as: ObservationKind; main: boolean }>>;
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
        const offset = learnedOffset(seen, o.taxonId, marker, season)?.days ?? 0;
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

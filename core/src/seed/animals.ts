import { daysBetween, placeInYear, toDay, type IsoDate } from '../calendar/index.ts';
import { cp } from '../params/index.ts';

/** Seed or seedlings taken by animals, as the ledgers tell it. */
export interface Eaten {
  placeId: string;
  on: IsoDate;
  count: number;
  of: number;
}

/** Days for which animals that have found a place are taken to come back. */
export const LEARNED_FOR = cp(60, 'days');
/** Share of the seed of a flat lost to animals from which a risk is called high. */
export const HIGH = cp(0.1, 'share');
const SEASON_DAYS = 45;

export interface AnimalRisk {
  level: 'low' | 'raised' | 'high';
  /** they have found this place within the last weeks: when */
  learnedOn: IsoDate | null;
  /** times and share of seed lost here at this time of year, in years past */
  times: number;
  share: number;
}

/**
 * How likely animals are to take seed at a place on a day: from what was eaten there at this time of year, and
 * raised once they have learned the place.
 */
export function animalRisk(history: readonly Eaten[], placeId: string, on: IsoDate): AnimalRisk {
  const here = history.filter((e) => e.placeId === placeId && e.on <= on && e.count > 0);
  const apart = (e: Eaten) => {
    const d = Math.abs(placeInYear(toDay(e.on)) - placeInYear(toDay(on)));
    return Math.min(d, 365 - d);
  };
  const season = here.filter((e) => apart(e) <= SEASON_DAYS);
  const learned = here
    .map((e) => e.on)
    .sort()
    .findLast((d) => daysBetween(d, on) <= LEARNED_FOR.value);
  const of = season.reduce((n, e) => n + e.of, 0);
  const share = of === 0 ? 0 : season.reduce((n, e) => n + e.count, 0) / of;
  const level = learned || share >= HIGH.value ? 'high' : season.length > 0 ? 'raised' : 'low';
  return { level, learnedOn: learned ?? null, times: season.length, share };
}

/** Growth of seedlings under mesh after half are up. Common practice, no source. */
export const SEEDLING_GROWTH = cp(2.5, 'mm a day');
/** Mesh is lifted this long before tips would touch it. */
export const MESH_SPARE_DAYS = 4;

/** Day by which mesh at this clearance, mm, has to come off: tips reach it, counted from the day half are up. */
export const meshOffBy = (halfUp: number, clearance: number): number =>
  halfUp + Math.max(0, Math.floor(clearance / SEEDLING_GROWTH.value) - MESH_SPARE_DAYS);

import { LabPlant, MEDIAN_LUCK, type LabStart } from '../lab/index.ts';
import type { Taxon } from '../taxa/index.ts';
import { between } from './closing.ts';
import { keepersOf, USUAL_FOLIAGE, type Keeper } from './light.ts';
import { sideBetween, type StemPart, type StemRecord } from './record.ts';

/** Years a sacrifice is looked ahead. */
const AHEAD = 10;
/** Widest scar of the stem that bark of a kind hides in the end, 0..1. Common practice, no source. */
const HIDES: Readonly<Record<Taxon['bark'], number>> = { smooth: 0.45, coarse: 0.65 };
/** A scar is to be shut within so many seasons. Common practice, no source. */
const SHUT_WITHIN = 6;
/** Roots within so many degrees of a branch are fed by it first. Common practice, no source. */
const FEEDS_WIDE = 60;
/** One for the next layer is looked ahead so many seasons: layers of a parent follow each other. Common practice, no source. */
const LAYER_AFTER = 3;
/** The next layer is ringed so far below the branch that is kept to swell its base, mm. Common practice, no source. */
const RING_BELOW = 25;

/** A sacrifice in a year, after its season. */
export interface SacrificeYear {
  year: number;
  /** mm */
  diameter: number;
  /** its scar against the stem there if it came off now, 0..1 */
  share: number;
  /** seasons until that scar is shut; null: not while it is watched */
  shut: number | null;
}

export interface SacrificeLook {
  part: StemPart;
  years: SacrificeYear[];
  /**
   * last year after whose season it comes off with a scar that bark hides and callus shuts in time; null: it is late
   * now, and its scar is carved or shows. One kept for the next layer goes with the layer, whatever its scar: then it is
   * the year that layer is thought of.
   */
  offBy: number | null;
  /** its scar would be seen from the front */
  front: boolean;
  /** base with it and without it then, mm */
  base: { with: number; without: number };
  /** what it takes the light from, and what is done for that */
  keepers: Keeper[];
  /** roots on its own side, now and then, mm; none where no roots are drawn or it does not serve them */
  roots: { azimuth: number; now: number; then: number }[];
  /** where the next layer would be ringed below it: how high, and the stem there with it and without, mm */
  ring: { at: number; with: number; without: number } | null;
}

/** A root as it was last drawn. */
export interface RootSeen {
  /** degrees from the compass mark */
  azimuth: number;
  /** mm at the trunk */
  diameter: number;
}

const actsOf = (record: StemRecord, year: number) =>
  record.parts
    .filter((p) => p.kind === 'sacrifice')
    .map((p) => ({
      year,
      do: 'sacrifice' as const,
      id: p.id,
      height: p.height,
      foliage: p.foliage ?? USUAL_FOLIAGE,
      diameter: p.diameter,
    }));

/** The plant with its sacrifices after so many seasons, in middling weather. */
function grown(record: StemRecord, start: LabStart, seasons: number, without?: string): LabPlant {
  const plant = new LabPlant(start);
  for (const act of actsOf(record, start.year)) if (act.id !== without) plant.act(act);
  for (let i = 0; i < seasons; i++) plant.season(MEDIAN_LUCK, i);
  return plant;
}

/** Seasons a scar made now stays open; the plant is grown on. */
function shutIn(plant: LabPlant, id: string): number | null {
  plant.act({ year: plant.year, do: 'off', id });
  for (let season = 1; season <= 2 * SHUT_WITHIN; season++) {
    plant.season(MEDIAN_LUCK, season);
    if ((plant.look().scars.find((s) => s.id === id)?.open ?? 0) === 0) return season;
  }
  return null;
}

const areaOf = (mm: number): number => mm * mm;

/**
 * Roots on the side of a branch then: what the branch adds to the base goes down its own side, the rest of the wood to
 * all roots alike, each by its cross-section (pipe model, Shinozaki et al. 1964).
 */
function rootsThen(
  roots: readonly RootSeen[],
  part: StemPart,
  now: number,
  base: SacrificeLook['base'],
): SacrificeLook['roots'] {
  const total = roots.reduce((n, r) => n + areaOf(r.diameter), 0);
  const fed = roots.filter((r) => sideBetween(r.azimuth, part.azimuth) <= FEEDS_WIDE);
  const near = fed.reduce((n, r) => n + areaOf(r.diameter), 0);
  if (near === 0) return [];
  // of the wood the base lays on, roots get the part that their cross-section has of it
  const conducts = Math.min(1, total / areaOf(now));
  const rest = (areaOf(base.without) - areaOf(now)) * conducts;
  const own = (areaOf(base.with) - areaOf(base.without)) * conducts;
  return fed.map(({ azimuth, diameter }) => {
    const area = areaOf(diameter);
    return { azimuth, now: diameter, then: Math.sqrt(area + (rest * area) / total + (own * area) / near) };
  });
}

function yearsOf(record: StemRecord, start: LabStart, part: StemPart): SacrificeYear[] {
  return Array.from({ length: AHEAD }, (_, i) => {
    const plant = grown(record, start, i + 1);
    const now = plant.look();
    const diameter = now.sacrifices.find((s) => s.id === part.id)?.diameter ?? part.diameter;
    const share = diameter / Math.max(diameter, between(now.stem, part.height));
    return { year: now.year, diameter, share, shut: shutIn(plant, part.id) };
  });
}

/** Last year its scar is still one that bark hides and callus shuts; one kept for a layer goes with the layer. */
function lastGood(years: readonly SacrificeYear[], kind: Taxon, part: StemPart): number | null {
  if (part.feeds === 'layer') return years[LAYER_AFTER - 1].year;
  const good = (y: SacrificeYear) => y.share <= HIDES[kind.bark] && y.shut !== null && y.shut <= SHUT_WITHIN;
  const firstBad = years.findIndex((y) => !good(y));
  if (firstBad < 0) return years.at(-1)!.year;
  return firstBad === 0 ? null : years[firstBad - 1].year;
}

function lookAt(
  record: StemRecord,
  start: LabStart,
  kind: Taxon,
  part: StemPart,
  roots: readonly RootSeen[],
): SacrificeLook {
  const years = yearsOf(record, start, part);
  const offBy = lastGood(years, kind, part);
  const seasons = (offBy ?? years[0].year) - start.year + 1;
  const kept = grown(record, start, seasons);
  const bare = grown(record, start, seasons, part.id);
  const base = { with: kept.caliper, without: bare.caliper };
  const ringAt = part.height - RING_BELOW;
  return {
    part,
    years,
    offBy,
    front: sideBetween(part.azimuth, record.front) < 90,
    base,
    keepers: keepersOf(record, part),
    roots: part.feeds === 'roots' ? rootsThen(roots, part, start.caliper, base) : [],
    ring:
      part.feeds === 'layer' && ringAt > 0
        ? {
            at: ringAt,
            with: between(kept.look().stem, ringAt),
            without: between(bare.look().stem, ringAt),
          }
        : null,
  };
}

/**
 * Each sacrifice of a stem over the years to come: how thick it grows, what scar it would leave, and by when it has to
 * come off; those that must go first stand first, so that they are taken in turns. `roots`: as they were last drawn.
 */
export function sacrificesOf(
  record: StemRecord,
  start: LabStart,
  kind: Taxon,
  roots: readonly RootSeen[] = [],
): SacrificeLook[] {
  return record.parts
    .filter((p) => p.kind === 'sacrifice')
    .map((p) => lookAt(record, start, kind, p, roots))
    .toSorted((a, b) => (a.offBy ?? 0) - (b.offBy ?? 0) || b.part.diameter - a.part.diameter);
}

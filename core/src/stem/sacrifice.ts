import { LabPlant, MEDIAN_LUCK, type LabStart } from '../lab/index.ts';
import type { Taxon } from '../taxa/index.ts';
import { between } from './closing.ts';
import { isAlive, sideBetween, type StemPart, type StemRecord } from './record.ts';

/** Years a sacrifice is looked ahead. */
const AHEAD = 10;
/** Widest scar of the stem that bark of a kind hides in the end, 0..1. Common practice, no source. */
const HIDES: Readonly<Record<Taxon['bark'], number>> = { smooth: 0.45, coarse: 0.65 };
/** A scar is to be shut within so many seasons. Common practice, no source. */
const SHUT_WITHIN = 6;
/** A sacrifice without a figure of its own comes to this part of a natural crown. Common practice, no source. */
export const USUAL_FOLIAGE = 0.5;
/** What stands below it by so much, mm, and on its side, degrees, gets little light. Common practice, no source. */
const SHADE_DEEP = 250;
const SHADE_WIDE = 75;

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
  /** last year after whose season it comes off with a scar that bark hides and callus shuts in time; null: it is late now */
  offBy: number | null;
  /** base with it and without it then, mm */
  base: { with: number; without: number };
  /** buds and shoots it takes the light from */
  shades: StemPart[];
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

function lookAt(record: StemRecord, start: LabStart, kind: Taxon, part: StemPart): SacrificeLook {
  const years: SacrificeYear[] = [];
  for (let i = 1; i <= AHEAD; i++) {
    const plant = grown(record, start, i);
    const now = plant.look();
    const diameter = now.sacrifices.find((s) => s.id === part.id)?.diameter ?? part.diameter;
    const share = diameter / Math.max(diameter, between(now.stem, part.height));
    years.push({ year: now.year, diameter, share, shut: shutIn(plant, part.id) });
  }
  const good = (y: SacrificeYear) => y.share <= HIDES[kind.bark] && y.shut !== null && y.shut <= SHUT_WITHIN;
  const firstBad = years.findIndex((y) => !good(y));
  const offBy = firstBad < 0 ? years.at(-1)!.year : firstBad === 0 ? null : years[firstBad - 1].year;
  const seasons = (offBy ?? years[0].year) - start.year + 1;
  return {
    part,
    years,
    offBy,
    base: {
      with: grown(record, start, seasons).caliper,
      without: grown(record, start, seasons, part.id).caliper,
    },
    shades: record.parts.filter(
      (p) =>
        isAlive(p) &&
        p.kind !== 'sacrifice' &&
        p.height < part.height &&
        part.height - p.height < SHADE_DEEP &&
        sideBetween(p.azimuth, part.azimuth) < SHADE_WIDE,
    ),
  };
}

/**
 * Each sacrifice of a stem over the years to come: how thick it grows, what scar it would leave, and by when it has to
 * come off; those that must go first stand first, so that they are taken in turns.
 */
export function sacrificesOf(record: StemRecord, start: LabStart, kind: Taxon): SacrificeLook[] {
  return record.parts
    .filter((p) => p.kind === 'sacrifice')
    .map((p) => lookAt(record, start, kind, p))
    .toSorted((a, b) => (a.offBy ?? 0) - (b.offBy ?? 0) || b.part.diameter - a.part.diameter);
}

import { isAlive, isShoot, sideBetween, type StemPart, type StemRecord } from './record.ts';

/** What stands below a sacrifice by so much, mm, and on its side, degrees, gets little light. Common practice, no source. */
const DEEP = 250;
const WIDE = 75;
/** A full natural crown right above takes so much of the light. Common practice, no source. */
const TAKES = 0.9;
/** A sacrifice without a figure of its own comes to this part of a natural crown. Common practice, no source. */
export const USUAL_FOLIAGE = 0.5;
/** A shoot of this thickness can still be wired to another side, mm, and so far round. Common practice, no source. */
const BENDS = 8;
const TURNS = 60;
const STEP = 5;
/** Thinning takes half of the leaves or needles above. Common practice, no source. */
const THINNED = 0.5;
/** With so much of the light a shoot below stays alive and back-buds. Common practice, no source. */
export const ENOUGH_LIGHT = 0.6;

/** A living part that a sacrifice takes the light from, and what is done for it. */
export interface Keeper {
  part: StemPart;
  /** share of the light that is left to it, 0..1 */
  light: number;
  /** the side it would be wired to, degrees, and the light there; null: it does not bend, or would gain nothing */
  wired: { azimuth: number; light: number } | null;
  /** where it stands when the sacrifices above are thinned */
  thinned: number;
}

/** Share of the light one sacrifice takes from a place below it, 0..1: less with distance down and round. */
function taken(sacrifice: StemPart, height: number, azimuth: number): number {
  const down = sacrifice.height - height;
  const round = sideBetween(sacrifice.azimuth, azimuth);
  if (down <= 0 || down >= DEEP || round >= WIDE) return 0;
  const crown = Math.min(1, sacrifice.foliage ?? USUAL_FOLIAGE);
  return TAKES * crown * (1 - down / DEEP) * (1 - round / WIDE);
}

/** Share of the light left at a place of the stem under its sacrifices, 0..1; `foliage`: of theirs that is left. */
export function lightAt(record: StemRecord, height: number, azimuth: number, foliage = 1): number {
  let light = 1;
  for (const p of record.parts) if (p.kind === 'sacrifice') light *= 1 - foliage * taken(p, height, azimuth);
  return light;
}

/** The least turn that brings a shoot into enough light, else the side with the most within reach. */
function sideFor(record: StemRecord, part: StemPart): Keeper['wired'] {
  if (!isShoot(part) || part.diameter > BENDS) return null;
  const now = lightAt(record, part.height, part.azimuth);
  let best = { azimuth: part.azimuth, light: now };
  for (let turn = STEP; turn <= TURNS; turn += STEP)
    for (const way of [1, -1]) {
      const azimuth = (part.azimuth + way * turn + 360) % 360;
      const light = lightAt(record, part.height, azimuth);
      if (best.light < ENOUGH_LIGHT && light > best.light + 0.02) best = { azimuth, light };
    }
  return best.azimuth === part.azimuth ? null : best;
}

/** What one sacrifice takes the light from, the darkest first. */
export const keepersOf = (record: StemRecord, sacrifice: StemPart): Keeper[] =>
  record.parts
    .filter((p) => isAlive(p) && p.kind !== 'sacrifice' && taken(sacrifice, p.height, p.azimuth) > 0)
    .map((part) => ({
      part,
      light: lightAt(record, part.height, part.azimuth),
      wired: sideFor(record, part),
      thinned: lightAt(record, part.height, part.azimuth, THINNED),
    }))
    .toSorted((a, b) => a.light - b.light);

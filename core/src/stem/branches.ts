import { isAlive, sideBetween, stemAt, type StemPart, type StemRecord } from './record.ts';

/** The first branch stands at about a third of the finished height. Common practice, no source. */
export const FIRST_BRANCH = 1 / 3;
/** Room to the next branch, of the finished height, and how much less it is each time. Common practice, no source. */
const ROOM = 0.17;
const SHORTENS = 0.82;
/** Above this part of the finished height all is twigs. */
const TWIGS = 0.92;
/** In the lowest part of the crown no branch points at the viewer, degrees either side of the front. */
const VIEWER = 45;
const LOW_PART = 0.6;

/** A place where a branch is wanted, and what stands there. */
export interface Place {
  /** mm above the soil */
  height: number;
  part: StemPart | null;
}

/** Heights at which branches are wanted on a tree of a finished height, mm: nearer to each other upward. */
export function wantedHeights(finished: number): number[] {
  const heights: number[] = [];
  let gap = ROOM * finished;
  for (let h = FIRST_BRANCH * finished; h < TWIGS * finished; h += gap, gap *= SHORTENS)
    heights.push(Math.round(h));
  return heights;
}

/** Whether a branch there would point at the viewer. */
export const atViewer = (p: StemPart, record: StemRecord, finished: number): boolean =>
  p.height < LOW_PART * finished && sideBetween(p.azimuth, record.front) < VIEWER;

/**
 * What stands where branches are wanted: each place takes the nearest living part within half of the room around it,
 * on another side than the one below it, and none that points at the viewer low down.
 */
export function placesOf(record: StemRecord, finished: number): Place[] {
  const heights = wantedHeights(finished);
  const left = new Set(record.parts.filter((p) => isAlive(p) && p.kind !== 'sacrifice'));
  let lastSide: number | null = null;
  return heights.map((height, i) => {
    const room = ((heights[i + 1] ?? finished) - height) / 2 + 0.02 * finished;
    const near = [...left]
      .filter((p) => Math.abs(p.height - height) <= room && !atViewer(p, record, finished))
      .filter((p) => lastSide === null || sideBetween(p.azimuth, lastSide) > VIEWER)
      .toSorted((a, b) => Math.abs(a.height - height) - Math.abs(b.height - height));
    const part = near[0] ?? null;
    if (part) {
      left.delete(part);
      lastSide = part.azimuth;
    }
    return { height, part };
  });
}

/** A branch is no thicker than half of the stem it stands on; a thicker one takes over. Common practice, no source. */
export const tooThick = (p: StemPart, record: StemRecord): boolean =>
  p.kind !== 'sacrifice' && p.diameter > 0.5 * stemAt(record, p.height);

import type { RootRecord } from './record.ts';

/** A trunk nearer to the middle than this is in it, mm. */
const IN_MIDDLE = 3;
/** More moves than these are no plan. */
const MOST = 8;

/** How a trunk that stands off the middle of its pot comes to it: one side of the ball shortened at each move. */
export interface Centring {
  /** mm it stands off, and the direction from the middle to it, degrees from the compass mark */
  off: number;
  towards: number;
  /** mm that it comes nearer at each move, the last one what is left; empty: it stands in the middle */
  moves: number[];
}

/**
 * Centring over several years. The ball can be set nearer to the far wall by as much as is cut off it on that side; where
 * a share of the root may go, that is taken off one side alone, about that share of the ball's width. Null where it would
 * take more than eight moves. Common practice, no source.
 *
 * @param aside mm to the right of the middle, seen from the front; `behind`: mm away from the viewer
 * @param limit share of the root that may go at a move, 0..1
 * @example centring(record, 30, 0, 0.4) // a ball 100 mm wide: { off: 30, towards: …, moves: [30] }
 */
export function centring(record: RootRecord, aside: number, behind: number, limit: number): Centring | null {
  const off = Math.hypot(aside, behind);
  // to the right of one who looks against the front is a quarter turn on from it
  const seen = (Math.atan2(aside, behind) * 180) / Math.PI;
  const towards = (((record.front + 180 + seen) % 360) + 360) % 360;
  if (off < IN_MIDDLE) return { off, towards, moves: [] };
  const reach = Math.max(record.trunk, ...record.roots.flatMap((r) => r.path.map((p) => p.out)));
  const step = limit * 2 * reach;
  if (step * MOST < off) return null;
  const moves: number[] = [];
  for (let left = off; left > 0.5; left -= step) moves.push(Math.min(left, step));
  return { off, towards, moves };
}

import type { Fitting } from '../src/operations/index.ts';
import { cp } from '../src/params/index.ts';

/**
 * What a root is worth at the base and what speaks against it, in points. The weights are our own, set so that the
 * choices growers agree on come out (the cases in the tests); common practice, no source.
 */
export const POINTS = {
  /** a root on the plane that may stay */
  root: cp(0.7, 'points'),
  /** all the fine root a plant has */
  fibre: cp(1.6, 'points'),
  /** off the plane by a fifth of the trunk; grows with the square */
  height: cp(1, 'points'),
  /** ten degrees outside of the school's angle; grows with the square */
  angle: cp(0.15, 'points'),
  /** a wound for each year until it has closed, at the flare */
  wound: cp(0.22, 'points a year'),
  /** the same underneath, where nobody sees it */
  woundUnder: cp(0.02, 'points a year'),
  /** a root that turns around the trunk */
  circling: cp(2.5, 'points'),
  /** a root that is ugly where it shows */
  ugly: cp(0.8, 'points'),
  dead: cp(3, 'points'),
  rotten: cp(6, 'points'),
  /** a root that goes down under the base */
  downward: cp(2.5, 'points'),
  /** a root stiff enough to push the trunk out of the place it should stand in */
  inTheWay: cp(3, 'points'),
  /** a thin root that has to be folded to fit */
  folded: cp(0.4, 'points'),
  /** turning and pinning a root */
  moved: cp(0.15, 'points'),
  splitting: cp(0.3, 'points'),
  /** a root as thick as `THICK` that comes straight at the viewer */
  atViewer: cp(1.5, 'points'),
  /** a whole circle bare; grows with the square of the gap */
  gap: cp(12, 'points'),
  /** neighbours of which one is e times the other */
  uneven: cp(0.6, 'points'),
  /** two roots closer than `TIGHT` */
  doubled: cp(3, 'points'),
} as const;

/** Neighbours closer than this stand double, degrees. */
export const TIGHT = cp(12, '°');
/** A root within so many degrees of the front comes straight at the viewer. */
export const AT_VIEWER = cp(20, '°');
/** From this on a root is seen first, of the trunk. */
export const THICK = cp(0.3, 'of the trunk');
/** Neighbours that differ by less are even enough: natural log of the ratio of their strengths. */
export const EVEN_ENOUGH = 0.5;
/** More than this counts no further. */
export const UNEVEN_MOST = 2.5;

/** Lengths a root is shortened to, in parts of what it has. */
export const SHORTENED = [0.3, 0.5, 0.7] as const;
/** A root is left at least so long, in trunks. */
export const SHORTEST = cp(0.5, 'trunks');

/** How far a root of a thickness can be turned and pinned, up to mm. Common practice, no source. */
export const TURNS: readonly { upTo: number; degrees: number; by: string; holds: Fitting }[] = [
  { upTo: 3, degrees: 30, by: 'pinned down', holds: 'pin' },
  { upTo: 6, degrees: 20, by: 'held on a board', holds: 'board' },
  { upTo: 9, degrees: 10, by: 'drawn by a guy', holds: 'guy' },
];
/** How far such a root can be brought up or down at the trunk, degrees. */
export const BENDS = cp(30, '°');
/** Up to this a root folds where the wall is in its way, mm. */
export const FOLDS = cp(4, 'mm');
/** Room left between a root's end and the wall, mm. */
export const CLEARANCE = cp(10, 'mm');

/** Wood that closes over a wound in a year from each side, against the ring of free growth. Common practice, no source. */
export const CALLUS = cp(0.18, 'of the free ring');

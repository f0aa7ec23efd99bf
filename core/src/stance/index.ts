/** How far a plant leans, degrees from upright, and the direction it leans to, degrees clockwise from its mark. */
export interface Lean {
  tilt: number;
  towards: number;
}

/** How a plant stands in its pot: the side that is its front, how it leans, and where its trunk is. */
export interface Stance extends Lean {
  /** direction the front looks to, degrees from the mark */
  front: number;
  /** mm from the middle of the pot: to the right seen from the front, and away from the viewer */
  aside: number;
  behind: number;
}

/** A plant that stands straight up. */
export const UPRIGHT: Lean = { tilt: 0, towards: 0 };

/** Most that a plant is set to lean, degrees: more is laying it down. Common practice, no source. */
export const LEAN_MOST = 45;
const RAD = Math.PI / 180;

/** A lean as degrees to the east and to the north of the mark. */
const partsOf = ({ tilt, towards }: Lean) => ({
  east: tilt * Math.sin(towards * RAD),
  north: tilt * Math.cos(towards * RAD),
});

function leanOf(east: number, north: number): Lean {
  const tilt = Math.hypot(east, north);
  const towards = tilt < 1e-9 ? 0 : (Math.atan2(east, north) / RAD + 360) % 360;
  return { tilt, towards };
}

/**
 * What has to be added to one lean to come to another. Degrees are added by direction: exact where both go one way,
 * within two degrees where neither is over twenty.
 *
 * @example leanFrom({ tilt: 0, towards: 0 }, { tilt: 5, towards: 90 }) // { tilt: 5, towards: 90 }
 */
export function leanFrom(was: Lean, to: Lean): Lean {
  const [a, b] = [partsOf(was), partsOf(to)];
  return leanOf(b.east - a.east, b.north - a.north);
}

/** A lean with another on top of it. */
export function leanOn(was: Lean, more: Lean): Lean {
  const [a, b] = [partsOf(was), partsOf(more)];
  return leanOf(a.east + b.east, a.north + b.north);
}

/** How far a plant is seen to lean to the right of one who looks at its front, degrees; to the left below 0. */
export function leanSeen({ front, tilt, towards }: Pick<Stance, 'front' | 'tilt' | 'towards'>): number {
  const across = Math.sin((towards - front - 180) * RAD);
  return Math.atan(Math.tan(tilt * RAD) * across) / RAD;
}

/** Two that stand so alike that nobody sees a difference: within a degree and a millimetre. */
export function standAlike(a: Stance, b: Stance): boolean {
  const turn = Math.abs(((((a.front - b.front) % 360) + 540) % 360) - 180);
  const lean = leanFrom(a, b).tilt;
  return turn <= 1 && lean <= 1 && Math.abs(a.aside - b.aside) <= 1 && Math.abs(a.behind - b.behind) <= 1;
}

/** A point of a stem, mm: to the right seen from the front, away from the viewer, and up. */
export interface Point {
  x: number;
  y: number;
  z: number;
}

/** One bend of a stem. */
export interface Bend {
  /** where its middle lies along the stem, 0 at the base, 1 at the tip */
  at: number;
  /** degrees the line turns by */
  turn: number;
  /** direction it turns to, degrees clockwise from the back seen from above */
  side: number;
  /** of the length over which it turns, 0..1 */
  over: number;
}

/** Pieces a line is drawn in. */
export const PIECES = 48;
const RAD = Math.PI / 180;

/** From 0 to 1 over −½ to ½, smoothly. */
function eased(x: number): number {
  const t = Math.min(1, Math.max(0, x + 0.5));
  return t * t * (3 - 2 * t);
}
/** A smooth turn is so many times as tight in its middle as on the whole. */
export const PEAK = 1.5;

/** How a stem is planted: leaning by so many degrees, in a direction as of bends. */
export interface Planted {
  lean: number;
  towards: number;
}
const UPRIGHT: Planted = { lean: 0, towards: 0 };

/** Which way the stem goes at a place along it: how far it leans, radians, to the right and to the back. */
function leanAt(bends: readonly Bend[], s: number, { lean, towards }: Planted): [number, number] {
  let right = lean * RAD * Math.sin(towards * RAD);
  let back = lean * RAD * Math.cos(towards * RAD);
  for (const b of bends) {
    const turned = b.turn * RAD * eased((s - b.at) / b.over);
    right += turned * Math.sin(b.side * RAD);
    back += turned * Math.cos(b.side * RAD);
  }
  return [right, back];
}

/** The line of a stem of a length, mm, with its bends: points from the base to the tip, at even steps along it. */
export function lineOf(bends: readonly Bend[], length: number, planted: Planted = UPRIGHT): Point[] {
  const step = length / PIECES;
  const points: Point[] = [{ x: 0, y: 0, z: 0 }];
  for (let i = 0; i < PIECES; i++) {
    const [right, back] = leanAt(bends, (i + 0.5) / PIECES, planted);
    const lean = Math.hypot(right, back);
    const flat = lean < 1e-9 ? 0 : Math.sin(lean) / lean;
    const last = points[i];
    points.push({
      x: last.x + step * flat * right,
      y: last.y + step * flat * back,
      z: last.z + step * Math.cos(lean),
    });
  }
  return points;
}

import type { Coil } from '@gonimos/core/stem';

/** A point of a drawing, mm. */
export interface At {
  x: number;
  y: number;
}

/** Turns beyond these would be a smear. */
const MOST_TURNS = 40;

/**
 * The half of each turn of a wire that is seen, as strokes across a part drawn along a line: from one edge to the other
 * and on by half a turn. Clockwise, seen from the foot, a turn that is seen rises from the left to the right.
 *
 * @param line a point of the part's middle at 0 (its foot) to 1 (its end)
 * @param thick how thick it is drawn there, mm
 */
export function coilStrokes(
  line: (at: number) => At,
  thick: (at: number) => number,
  turns: number,
  coil: Coil,
): string {
  const drawn = Math.min(MOST_TURNS, Math.max(1, Math.round(turns)));
  const side = coil === 'clockwise' ? 1 : -1;
  const strokes: string[] = [];
  for (let i = 0; i < drawn; i++) {
    const from = i / drawn;
    const to = (i + 0.5) / drawn;
    const edge = (at: number, sign: number): string => {
      const a = line(Math.max(0, at - 0.01));
      const b = line(Math.min(1, at + 0.01));
      const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
      const half = (thick(at) / 2) * sign;
      const mid = line(at);
      // across the line: turned a quarter clockwise on a page where y goes down
      const x = mid.x - ((b.y - a.y) / long) * half;
      const y = mid.y + ((b.x - a.x) / long) * half;
      return `${round(x)} ${round(y)}`;
    };
    strokes.push(`M${edge(from, -side)}L${edge(to, side)}`);
  }
  return strokes.join('');
}

const round = (x: number): number => Math.round(x * 100) / 100;

import { along, lengthOf, type Spot } from './record.ts';

/** Points of a line made round at its bends: a few between each two (Catmull–Rom). */
export function smooth(line: readonly Spot[], each = 6): Spot[] {
  if (line.length < 3) return [...line];
  const out: Spot[] = [];
  for (let i = 0; i < line.length - 1; i++) {
    const [a, b, c, d] = [line[i - 1] ?? line[i], line[i], line[i + 1], line[i + 2] ?? line[i + 1]];
    for (let k = 0; k < each; k++) {
      const t = k / each;
      const at = (p: number, q: number, r: number, s: number) =>
        0.5 * (2 * q + (r - p) * t + (2 * p - 5 * q + 4 * r - s) * t * t + (3 * q - p - 3 * r + s) * t ** 3);
      out.push({ x: at(a.x, b.x, c.x, d.x), y: at(a.y, b.y, c.y, d.y) });
    }
  }
  return [...out, line[line.length - 1]];
}

const point = ({ x, y }: Spot) => `${x.toFixed(1)} ${(-y).toFixed(1)}`;

export const pathOf = (line: readonly Spot[]): string => `M${line.map(point).join('L')}`;

/** How much thinner a root is at its end. */
const TIP = 0.35;

/** The outline of a root along a line: as thick as it is at the trunk, thinner outward. y is north, as drawn down. */
export function outline(line: readonly Spot[], thick: number, whole = lengthOf(line)): string {
  const round = smooth(line);
  const left: Spot[] = [];
  const right: Spot[] = [];
  let gone = 0;
  round.forEach((p, i) => {
    const a = round[Math.max(0, i - 1)];
    const b = round[Math.min(round.length - 1, i + 1)];
    const long = Math.hypot(b.x - a.x, b.y - a.y) || 1;
    if (i > 0) gone += Math.hypot(p.x - round[i - 1].x, p.y - round[i - 1].y);
    const half = (thick / 2) * (1 - (1 - TIP) * Math.min(1, gone / Math.max(1, whole)));
    const n = { x: -(b.y - a.y) / long, y: (b.x - a.x) / long };
    left.push({ x: p.x + n.x * half, y: p.y + n.y * half });
    right.push({ x: p.x - n.x * half, y: p.y - n.y * half });
  });
  return `${pathOf([...left, ...right.reverse()])}Z`;
}

/** A short line across a root, so many mm along it. */
export function across(line: readonly Spot[], mm: number, wide: number): [Spot, Spot] {
  const { spot, azimuth } = along(line, mm);
  const n = ((azimuth + 90) * Math.PI) / 180;
  return [
    { x: spot.x + wide * Math.sin(n), y: spot.y + wide * Math.cos(n) },
    { x: spot.x - wide * Math.sin(n), y: spot.y - wide * Math.cos(n) },
  ];
}

/** A slice of the circle between two directions, degrees. */
export function wedge(from: number, to: number, radius: number): string {
  const at = (azimuth: number): Spot => ({
    x: radius * Math.sin((azimuth * Math.PI) / 180),
    y: radius * Math.cos((azimuth * Math.PI) / 180),
  });
  const large = to - from > 180 ? 1 : 0;
  return `M0 0L${point(at(from))}A${radius} ${radius} 0 ${large} 1 ${point(at(to))}Z`;
}

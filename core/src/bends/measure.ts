import type { Point } from './line.ts';

const minus = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y, z: a.z - b.z });
const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y + a.z * b.z;
const cross = (a: Point, b: Point): Point => ({
  x: a.y * b.z - a.z * b.y,
  y: a.z * b.x - a.x * b.z,
  z: a.x * b.y - a.y * b.x,
});
const long = (a: Point): number => Math.sqrt(dot(a, a));

/**
 * Curvature at each inner point, 1/mm: of the circle through it and its neighbours (Menger curvature).
 *
 * @example curvatures([{x:0,y:0,z:0},{x:1,y:0,z:0},{x:2,y:0,z:0}]) // [0]
 */
export function curvatures(line: readonly Point[]): number[] {
  return line.slice(1, -1).map((p, i) => {
    const [a, b] = [minus(p, line[i]), minus(line[i + 2], p)];
    const c = minus(line[i + 2], line[i]);
    const area = long(cross(a, b));
    return (2 * area) / Math.max(1e-12, long(a) * long(b) * long(c));
  });
}

/**
 * Torsion at each inner piece, 1/mm: how fast the plane of the curve turns, by the angle between the planes of
 * neighbouring points over the length of the piece between them; 0 where the line is straight.
 */
export function torsions(line: readonly Point[]): number[] {
  const out: number[] = [];
  for (let i = 0; i + 3 < line.length; i++) {
    const [a, b, c] = [
      minus(line[i + 1], line[i]),
      minus(line[i + 2], line[i + 1]),
      minus(line[i + 3], line[i + 2]),
    ];
    const [n, m] = [cross(a, b), cross(b, c)];
    const flat = long(n) < 1e-9 * long(a) * long(b) || long(m) < 1e-9 * long(b) * long(c);
    const angle = flat ? 0 : Math.atan2(dot(cross(n, m), b) / long(b), dot(n, m));
    out.push(angle / Math.max(1e-12, long(b)));
  }
  return out;
}

const mean = (xs: readonly number[]): number => xs.reduce((n, x) => n + x, 0) / Math.max(1, xs.length);

/** How uneven a list is: standard deviation by mean; 0 for one that is all nought. */
export function variation(xs: readonly number[]): number {
  const m = mean(xs);
  if (m < 1e-12) return 0;
  return Math.sqrt(mean(xs.map((x) => (x - m) ** 2))) / m;
}

/** Eigenvectors of a symmetric 3 × 3 matrix by turning it (Jacobi), as rows. */
function axesOf(matrix: number[][]): number[][] {
  const a = matrix.map((r) => [...r]);
  const v = [
    [1, 0, 0],
    [0, 1, 0],
    [0, 0, 1],
  ];
  for (let round = 0; round < 24; round++)
    for (const [p, q] of [
      [0, 1],
      [0, 2],
      [1, 2],
    ]) {
      if (Math.abs(a[p][q]) < 1e-15) continue;
      const turn = 0.5 * Math.atan2(2 * a[p][q], a[p][p] - a[q][q]);
      const [c, s] = [Math.cos(turn), Math.sin(turn)];
      for (let k = 0; k < 3; k++) [a[k][p], a[k][q]] = [c * a[k][p] + s * a[k][q], c * a[k][q] - s * a[k][p]];
      for (let k = 0; k < 3; k++) [a[p][k], a[q][k]] = [c * a[p][k] + s * a[q][k], c * a[q][k] - s * a[p][k]];
      for (let k = 0; k < 3; k++) [v[p][k], v[q][k]] = [c * v[p][k] + s * v[q][k], c * v[q][k] - s * v[p][k]];
    }
  return v;
}

/** Room a line takes along its three principal axes, mm, the largest first: a flat one takes none along the last. */
export function extents(line: readonly Point[]): [number, number, number] {
  const middle = {
    x: mean(line.map((p) => p.x)),
    y: mean(line.map((p) => p.y)),
    z: mean(line.map((p) => p.z)),
  };
  const rows = line.map((p) => {
    const d = minus(p, middle);
    return [d.x, d.y, d.z];
  });
  const spread = [0, 1, 2].map((i) => [0, 1, 2].map((j) => mean(rows.map((r) => r[i] * r[j]))));
  const sizes = axesOf(spread).map((axis) => {
    const along = rows.map((r) => r[0] * axis[0] + r[1] * axis[1] + r[2] * axis[2]);
    return Math.max(...along) - Math.min(...along);
  });
  const [a, b, c] = sizes.toSorted((x, y) => y - x);
  return [a, b, c];
}

/**
 * Turns a line makes about an axis along its own chord, from base to tip, through the middle of its points: an even spiral
 * makes many.
 */
export function turnsAbout(line: readonly Point[]): number {
  const chord = minus(line[line.length - 1], line[0]);
  const along = long(chord);
  const up = { x: chord.x / along, y: chord.y / along, z: chord.z / along };
  const flat = line.map((p) => {
    const d = minus(p, line[0]);
    const t = dot(d, up);
    return { x: d.x - t * up.x, y: d.y - t * up.y, z: d.z - t * up.z };
  });
  const middle = {
    x: mean(flat.map((p) => p.x)),
    y: mean(flat.map((p) => p.y)),
    z: mean(flat.map((p) => p.z)),
  };
  const near = 0.01 * along;
  let angle = 0;
  let last: Point | null = null;
  for (const p of flat.map((q) => minus(q, middle))) {
    // on the axis itself there is no side
    if (long(p) < near) continue;
    if (last) angle += Math.atan2(dot(cross(last, p), up), dot(last, p));
    last = p;
  }
  return Math.abs(angle) / (2 * Math.PI);
}

/** A line of length 1. */
export const normalised = (line: readonly Point[], length: number): Point[] =>
  line.map((p) => ({ x: p.x / length, y: p.y / length, z: p.z / length }));

/**
 * How unlike two lines of length 1 are: root mean square of the distances of their points, after the turn about the
 * upright that brings them nearest to each other. Symmetric; 0 for a line and itself turned.
 */
export function unlike(a: readonly Point[], b: readonly Point[]): number {
  let [same, straight, turned, up] = [0, 0, 0, 0];
  for (let i = 0; i < a.length; i++) {
    const [p, q] = [a[i], b[i]];
    same += dot(p, p) + dot(q, q);
    straight += p.x * q.x + p.y * q.y;
    turned += p.y * q.x - p.x * q.y;
    up += p.z * q.z;
  }
  // Σ|p − R q|² is least where R brings the flat parts together
  return Math.sqrt(Math.max(0, same - 2 * (up + Math.hypot(straight, turned))) / a.length);
}

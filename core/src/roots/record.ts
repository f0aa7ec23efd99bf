/** What is wrong with a root, as a grower names it. Crossing, doubled, high and downward ones follow from the numbers. */
export const FAULTS = ['dead', 'rotten', 'strangling', 'circling', 'ugly'] as const;
export type Fault = (typeof FAULTS)[number];

/** A point of a root seen from above: direction, degrees clockwise from the compass mark, and mm from the trunk's centre. */
export interface RootPoint {
  azimuth: number;
  out: number;
}

/** A side arm of a root. */
export interface Fork {
  /** mm along the root from the trunk */
  at: number;
  /** degrees from the way the root runs there; clockwise is positive */
  turn: number;
  length: number;
  diameter: number;
}

export interface Root {
  id: string;
  /** where it leaves the trunk, degrees clockwise from the compass mark */
  azimuth: number;
  /** mm at the trunk */
  diameter: number;
  /** mm above (+) or below (−) the level the record was taken at */
  height: number;
  /** degrees below the horizontal as it leaves the trunk; negative: upward */
  angle: number;
  /** fine root it carries against the others, any unit; null: as its thickness lets expect */
  fibre: number | null;
  /** beyond the trunk, outward */
  path: RootPoint[];
  forks: Fork[];
  faults: Fault[];
  note: string;
}

export const UNDERS = ['tile', 'board', 'rock'] as const;

/** The roots of one plant as they were seen on a day. */
export interface RootRecord {
  /** trunk at the root plane, mm */
  trunk: number;
  /** direction the front looks to, degrees */
  front: number;
  /** what the base stands on: its width and how deep it lies below the roots, mm */
  under: { kind: (typeof UNDERS)[number]; size: number; depth: number } | null;
  /** how full of root the ball was at top, middle and bottom, 0..1; null: not looked at */
  profile: { top: number; middle: number; bottom: number } | null;
  /** roots had grown through the holes */
  escaped: boolean;
  pests: string;
  roots: Root[];
}

/** A place on the plan, mm east and mm north of the trunk's centre. */
export interface Spot {
  x: number;
  y: number;
}

const RAD = Math.PI / 180;

export const spotAt = ({ azimuth, out }: RootPoint): Spot => ({
  x: out * Math.sin(azimuth * RAD),
  y: out * Math.cos(azimuth * RAD),
});

/** The line of a root seen from above, from the trunk's edge outward; `turn` swings it around the trunk. */
export const lineOf = (root: Root, trunk: number, turn = 0): Spot[] =>
  [{ azimuth: root.azimuth, out: trunk / 2 }, ...root.path].map((p) =>
    spotAt({ azimuth: p.azimuth + turn, out: p.out }),
  );

/** Length of a line, mm. */
export const lengthOf = (line: readonly Spot[]): number =>
  line.slice(1).reduce((sum, p, i) => sum + Math.hypot(p.x - line[i].x, p.y - line[i].y), 0);

/** Place on a line so many mm along it, and the direction it runs there, degrees. */
export function along(line: readonly Spot[], mm: number): { spot: Spot; azimuth: number } {
  let left = mm;
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1], line[i]];
    const step = Math.hypot(b.x - a.x, b.y - a.y);
    const azimuth = Math.atan2(b.x - a.x, b.y - a.y) / RAD;
    if (left <= step || i === line.length - 1) {
      const part = step === 0 ? 0 : Math.min(1, left / step);
      return { spot: { x: a.x + part * (b.x - a.x), y: a.y + part * (b.y - a.y) }, azimuth };
    }
    left -= step;
  }
  return { spot: line[0], azimuth: 0 };
}

/** The part of a line up to so many mm. */
export function upTo(line: readonly Spot[], mm: number): Spot[] {
  const kept: Spot[] = [line[0]];
  let left = mm;
  for (let i = 1; i < line.length && left > 0; i++) {
    const [a, b] = [line[i - 1], line[i]];
    const step = Math.hypot(b.x - a.x, b.y - a.y);
    const part = step === 0 ? 1 : Math.min(1, left / step);
    kept.push({ x: a.x + part * (b.x - a.x), y: a.y + part * (b.y - a.y) });
    left -= step;
  }
  return kept;
}

/** Where two stretches meet, as parts 0..1 of each; null where they do not. */
function meeting(a: Spot, b: Spot, c: Spot, d: Spot): [number, number] | null {
  const det = (b.x - a.x) * (d.y - c.y) - (b.y - a.y) * (d.x - c.x);
  if (Math.abs(det) < 1e-9) return null;
  const t = ((c.x - a.x) * (d.y - c.y) - (c.y - a.y) * (d.x - c.x)) / det;
  const u = ((c.x - a.x) * (b.y - a.y) - (c.y - a.y) * (b.x - a.x)) / det;
  return t >= 0 && t <= 1 && u >= 0 && u <= 1 ? [t, u] : null;
}

/** How far along each of two lines they first meet, mm; null where they do not. */
export function crossingOf(one: readonly Spot[], other: readonly Spot[]): [number, number] | null {
  let before = 0;
  for (let i = 1; i < one.length; i++) {
    const step = Math.hypot(one[i].x - one[i - 1].x, one[i].y - one[i - 1].y);
    let beyond = 0;
    for (let k = 1; k < other.length; k++) {
      const length = Math.hypot(other[k].x - other[k - 1].x, other[k].y - other[k - 1].y);
      const met = meeting(one[i - 1], one[i], other[k - 1], other[k]);
      if (met) return [before + met[0] * step, beyond + met[1] * length];
      beyond += length;
    }
    before += step;
  }
  return null;
}

/** Whether a root's own line meets itself. */
export function crossesItself(line: readonly Spot[]): boolean {
  for (let i = 1; i < line.length; i++)
    for (let k = i + 2; k < line.length; k++)
      if (meeting(line[i - 1], line[i], line[k - 1], line[k])) return true;
  return false;
}

/** Share of the plant's fine root that each root carries, 0..1, summing to 1; dead and rotten ones carry none. */
export function fibreShares(record: RootRecord): number[] {
  const weights = record.roots.map((r) =>
    r.faults.includes('dead') || r.faults.includes('rotten') ? 0 : (r.fibre ?? r.diameter ** 1.5),
  );
  const all = weights.reduce((a, b) => a + b, 0);
  return weights.map((w) => (all > 0 ? w / all : 0));
}

/** From this on a root goes under the base and fills no side, degrees below the horizontal. Common practice, no source. */
export const DOWNWARD = 70;
export const isDownward = (root: Root): boolean => root.angle >= DOWNWARD;

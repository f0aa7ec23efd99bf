import { gapsOf, raoPoint, raoSpacing, rayleigh, resultant, turned } from '../stats/index.ts';
import { isDownward, type Root, type RootRecord } from './record.ts';
import { ANGLE_BANDS, offBand, type RootAngle } from './schools.ts';

const SECTORS = 12;

export interface Measures {
  roots: number;
  /** sectors of 30° in which a root leaves the trunk, of 12 */
  sectors: number;
  /** the widest bare side: how wide, and the direction of its middle; null without a root */
  widest: { gap: number; middle: number } | null;
  /** mean resultant length 0..1, plain and weighted by cross-section: 0 is balanced, 1 all to one side */
  balance: { plain: number; weighted: number; heavySide: number } | null;
  evenness: Evenness;
  /** cross-section of the thickest of all, 0..1 */
  dominance: number | null;
  /** root-mean-square distance from the mean level, mm */
  scatter: number | null;
  /** side arms within two trunks of the stem, a root */
  forking: number;
  /** width over the roots where they have lost the trunk's swelling, in trunks */
  flare: number | null;
  /** share of roots whose angle is within the school's */
  angleFit: number | null;
}

/** Whether the directions can be told from chance, by the two tests together. */
export type Evenness =
  | { told: 'too few' }
  | { told: 'from one side' | 'in bunches' | 'not from chance'; p: number; rao: number };

/** What both tests say of directions; with few roots both are weak, and "even" is never claimed. */
export function evennessOf(directions: readonly number[]): Evenness {
  const point = raoPoint(directions.length);
  const p = rayleigh(directions);
  const rao = raoSpacing(directions);
  if (point === null || p === null || rao === null) return { told: 'too few' };
  if (p < 0.05) return { told: 'from one side', p, rao };
  return { told: rao > point ? 'in bunches' : 'not from chance', p, rao };
}

const area = (r: Root) => r.diameter ** 2;

/** Thickness a root keeps a trunk's width out, against that at the trunk. Common practice, no source. */
const TAPER = 0.6;

/** Width of the flare: how far apart opposite roots still stand out half a trunk from the stem, in trunks. */
function flareOf(roots: readonly Root[], trunk: number): number | null {
  if (roots.length === 0) return null;
  const stout = roots.reduce((sum, r) => sum + r.diameter, 0) / roots.length;
  return (trunk + 2 * TAPER * stout) / trunk;
}

/** What is seen of roots from above and from the side; those that go down under the base fill no side. */
export function measure(record: RootRecord, school: RootAngle): Measures {
  const roots = record.roots.filter((r) => !isDownward(r) && !r.faults.includes('dead'));
  const directions = roots.map((r) => turned(r.azimuth));
  const sorted = directions.toSorted((a, b) => a - b);
  const gaps = gapsOf(directions);
  const at = gaps.indexOf(Math.max(...gaps));
  const areas = roots.map(area);
  const whole = areas.reduce((a, b) => a + b, 0);
  const plain = resultant(directions);
  const weighted = resultant(directions, areas);
  const level = roots.reduce((sum, r) => sum + r.height, 0) / Math.max(1, roots.length);
  const near = 2 * record.trunk;
  return {
    roots: roots.length,
    sectors: new Set(directions.map((d) => Math.floor(d / (360 / SECTORS)))).size,
    widest: at < 0 ? null : { gap: gaps[at], middle: turned(sorted[at] + gaps[at] / 2) },
    balance: plain &&
      weighted && { plain: plain.length, weighted: weighted.length, heavySide: weighted.mean },
    evenness: evennessOf(directions),
    dominance: whole > 0 ? Math.max(...areas) / whole : null,
    scatter:
      roots.length === 0
        ? null
        : Math.sqrt(roots.reduce((sum, r) => sum + (r.height - level) ** 2, 0) / roots.length),
    forking:
      roots.reduce((n, r) => n + r.forks.filter((f) => f.at <= near).length, 0) / Math.max(1, roots.length),
    flare: flareOf(roots, record.trunk),
    angleFit:
      roots.length === 0
        ? null
        : roots.filter((r) => offBand(r.angle, ANGLE_BANDS[school]) === 0).length / roots.length,
  };
}

import { isDownward, lengthOf, lineOf, type Root, type RootRecord } from './record.ts';

/** Of the depth of the roots so much is uncovered in the end: the last of it stays in the mix. Common practice, no source. */
const SHOWN = 2 / 3;
/** A root thinner than this where it would lie bare stays covered, mm. Common practice, no source. */
const STANDS = 3;
/** At its end a root is so thick, of its foot. Common practice, no source. */
const END = 0.35;

/** One time that roots are uncovered by a further length. */
export interface ExposureStage {
  /** mm below the level the roots were drawn at */
  to: number;
  /** roots that lie bare from then on, by name */
  bare: string[];
  /** too thin there yet: wrapped, or left covered until they have thickened */
  thin: string[];
  /** end above it: led down anew, or cut off */
  short: string[];
}

/** How deep the end of a root lies below the level, mm. */
function depthOf(root: Root, trunk: number): number {
  const long = lengthOf(lineOf(root, trunk));
  return long * Math.sin((Math.max(0, root.angle) * Math.PI) / 180) - root.height;
}

/** Thickness of a root at a depth, mm: less by the way down it. */
const thickAt = (root: Root, depth: number, end: number): number =>
  root.diameter * (1 - (1 - END) * Math.min(1, Math.max(0, depth / end)));

const MIDDLE = 0.5;

/**
 * Roots uncovered by stages, over a rock or as legs of their own: each time by an even part of what is to be seen. The
 * whole is two thirds of the depth of those that run down, the middle one of them. Empty where none runs down. Common
 * practice, no source.
 */
export function exposure(record: RootRecord, stages: number): ExposureStage[] {
  const down = record.roots
    .filter((r) => !r.faults.includes('dead') && (r.angle >= 30 || isDownward(r)))
    .map((root) => ({ root, end: depthOf(root, record.trunk) }))
    .filter((d) => d.end > 0);
  if (down.length === 0 || stages < 1) return [];
  const deep = down.map((d) => d.end).toSorted((a, b) => a - b)[Math.floor(MIDDLE * (down.length - 1))];
  return Array.from({ length: stages }, (_, i) => {
    const to = Math.round((SHOWN * deep * (i + 1)) / stages);
    const names = (pick: (d: (typeof down)[number]) => boolean) => down.filter(pick).map((d) => d.root.id);
    const isShort = (d: (typeof down)[number]) => d.end <= to;
    const isThin = (d: (typeof down)[number]) => !isShort(d) && thickAt(d.root, to, d.end) < STANDS;
    return {
      to,
      bare: names((d) => !isShort(d) && !isThin(d)),
      thin: names(isThin),
      short: names(isShort),
    };
  });
}

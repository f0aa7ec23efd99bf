import type { Beginning } from '../starts/survival.ts';
import { cp, type Param } from '../params/index.ts';

/** How a kind of cutting is made. Lengths and signs are common practice, no source. */
export interface CuttingKind {
  id: string;
  name: string;
  beginning: Beginning;
  programmeId: string;
  /** length cut, mm */
  length: Param;
  /** how the wood looks when it is right */
  wood: string;
  how: string;
}

const kind = (
  id: string,
  name: string,
  beginning: Beginning,
  programmeId: string,
  length: number,
  wood: string,
  how: string,
): CuttingKind => ({ id, name, beginning, programmeId, length: cp(length, 'mm'), wood, how });

export const CUTTING_KINDS: readonly CuttingKind[] = [
  kind(
    'softwood',
    'Softwood',
    'softwood',
    'cutting-softwood',
    70,
    'snaps when bent, tip soft',
    'Lower leaves off, half the length in; never dry for an hour.',
  ),
  kind(
    'semi-ripe',
    'Semi-ripe',
    'semi-ripe',
    'cutting-broadleaf',
    90,
    'firm below, tip still soft',
    'Lower leaves off, half the length in; one to a place, or they mat together.',
  ),
  kind(
    'conifer',
    'Semi-ripe conifer, with a heel',
    'semi-ripe',
    'cutting-conifer',
    90,
    'this year’s shoot with a heel of old wood',
    'Heel trimmed, foliage off the lower half.',
  ),
  kind(
    'hardwood',
    'Hardwood',
    'hardwood',
    'cutting-hardwood',
    200,
    'leafless, pencil-thick',
    'Cut below a bud, two thirds in; top cut sloped.',
  ),
  kind(
    'thick-hardwood',
    'Thick hardwood',
    'hardwood',
    'cutting-hardwood',
    250,
    'leafless, thumb-thick and more',
    'A trunk from the first day: choose the line before it is stuck; top sealed.',
  ),
  kind(
    'root',
    'Root cutting',
    'root',
    'cutting-root',
    80,
    'pencil-thick root',
    'Upper end marked and upward, or laid flat.',
  ),
  kind(
    'offshoot',
    'Offshoot',
    'offshoot',
    'offshoots',
    150,
    'a sucker with roots of its own',
    'Parted with its roots, top reduced to match.',
  ),
  kind(
    'water',
    'In water',
    'water',
    'cutting-water',
    120,
    'soft to firm',
    'Water changed weekly; into mix before roots are a finger long.',
  ),
  kind(
    'seedling',
    'Seedling cutting',
    'seed',
    'seedling-cutting-pine',
    30,
    'seed leaves spread, no true needles',
    'Stem cut below the seed leaves with a razor, re-rooted: low buds, even roots.',
  ),
];

/** Share of the first waiting that callus asks for before it is looked at again. Common practice, no source. */
export const AGAIN_SHARE = cp(0.5, 'of the warmth of the first look');

/** What one tray or bundle showed at a check. */
export interface CheckedBatch {
  name: string;
  rooted: number;
  callus: number;
  dead: number;
}

export interface CheckTotals {
  rooted: number;
  callus: number;
  dead: number;
  looked: number;
}
export const totalsOf = (batches: readonly CheckedBatch[]): CheckTotals => {
  const sum = (pick: (b: CheckedBatch) => number) => batches.reduce((n, b) => n + pick(b), 0);
  const rooted = sum((b) => b.rooted);
  const callus = sum((b) => b.callus);
  const dead = sum((b) => b.dead);
  return { rooted, callus, dead, looked: rooted + callus + dead };
};

export type CheckFollows =
  /** all that live are rooted: the check is over */
  | { kind: 'over' }
  /** none rooted yet: all go back, and are looked at again */
  | { kind: 'back' }
  /** the rooted go on; callus goes back, as a cohort of its own when they are parted */
  | { kind: 'both' }
  | { kind: 'none-left' };

/** What follows from a check. Opening buds do not count: only roots do. */
export function checkFollows(t: CheckTotals): CheckFollows {
  if (t.rooted + t.callus === 0) return { kind: 'none-left' };
  if (t.callus === 0) return { kind: 'over' };
  return { kind: t.rooted === 0 ? 'back' : 'both' };
}

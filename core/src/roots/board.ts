import { CLEARANCE, TURNS } from '../../data/root-values.ts';
import { turnTo } from '../stats/index.ts';
import { isDownward, type RootRecord } from './record.ts';
import { roomTowards, type Room } from './room.ts';

/** One root on a board: from its direction to an even one. */
export interface Laid {
  id: string;
  from: number;
  to: number;
  turn: number;
  /** pins along it, mm from the trunk's edge */
  pins: number[];
  /** drawn by a guy where it is too stiff to be pinned */
  guy: boolean;
}

export interface BoardPlan {
  laid: Laid[];
  /** sum of all turns, degrees */
  turning: number;
  /** side of a square board, mm; and whether it goes into the container as the front stands */
  size: number;
  fits: boolean | null;
  drains: number;
  /** directions of tie-down holes, degrees */
  ties: number[];
  /** length of the screw that holds the trunk, mm */
  screw: number;
  materials: { name: string; years: number; fits: boolean }[];
}

/** Seasons a material lies in wet mix before it rots. Common practice, no source. */
const MATERIALS = [
  { name: 'untreated plywood', years: 2 },
  { name: 'softwood board', years: 3 },
  { name: 'larch or oak board', years: 6 },
  { name: 'plastic board', years: 20 },
  { name: 'tile or slate', years: 50 },
] as const;
/** A board is wider than the trunk by this on each side, in trunks. */
const MARGIN = 1.5;
const PER_PIN = 15;
const BOARD = 12;

/**
 * Even directions for the roots that stay, in their order around the trunk so that no paths cross, with the least
 * turning in all: the best start is one that leaves some root where it is, so each of those is tried.
 */
export function evenDirections(azimuths: readonly number[]): {
  order: number[];
  to: number[];
  turning: number;
} {
  const n = azimuths.length;
  const order = azimuths.map((_, i) => i).sort((a, b) => azimuths[a] - azimuths[b]);
  const step = 360 / n;
  let best: { to: number[]; turning: number } = { to: [], turning: Infinity };
  order.forEach((_, fixed) => {
    const start = azimuths[order[fixed]] - fixed * step;
    const to = order.map((_o, i) => (((start + i * step) % 360) + 360) % 360);
    const turning = order.reduce((sum, root, i) => sum + Math.abs(turnTo(azimuths[root], to[i])), 0);
    if (turning < best.turning - 1e-9) best = { to, turning };
  });
  return { order, ...best };
}

/** How roots are laid out on a board or tile for so many years, and whether it fits where it goes. */
export function boardPlan(record: RootRecord, room: Room | null, years: number): BoardPlan {
  const roots = record.roots.filter((r) => !isDownward(r) && !r.faults.includes('dead'));
  const { order, to, turning } = evenDirections(roots.map((r) => r.azimuth));
  const laid = order.map((index, i): Laid => {
    const root = roots[index];
    const turn = turnTo(root.azimuth, to[i]);
    const reach = TURNS.find((t) => root.diameter <= t.upTo)?.degrees ?? 0;
    const pins = Math.max(1, Math.ceil(Math.abs(turn) / PER_PIN));
    const long = Math.max(0, (root.path.at(-1)?.out ?? record.trunk) - record.trunk / 2);
    return {
      id: root.id,
      from: root.azimuth,
      to: to[i],
      turn,
      pins: Array.from({ length: pins }, (_, k) => Math.round((long * (k + 1)) / (pins + 1))),
      guy: Math.abs(turn) > reach,
    };
  });
  const size = Math.round(record.trunk * (1 + 2 * MARGIN));
  const front = record.front;
  return {
    laid,
    turning,
    size,
    fits: room && [0, 90, 180, 270].every((a) => roomTowards(room, front + a) >= size / 2 + CLEARANCE.value),
    drains: Math.max(4, Math.round((size / 50) ** 2)),
    ties: [45, 135, 225, 315].map((a) => Math.round(front + a) % 360),
    screw: BOARD + Math.round(Math.min(30, record.trunk * 0.6)),
    materials: MATERIALS.map((m) => ({ ...m, fits: m.years >= years })),
  };
}

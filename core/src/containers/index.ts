import { CONTAINER_ROWS, SIZES } from '../../data/containers.ts';
import { cp } from '../params/index.ts';

export type Wall = 'smooth' | 'air-pruning' | 'grooved' | 'porous' | 'ground';

export interface ContainerKind {
  id: string;
  name: string;
  wall: Wall;
  shape: 'round' | 'box';
  /** inside, mm; for a round pot width equals length */
  rim: [number, number];
  base: [number, number];
  depth: number;
  /** volume filled to a finger below the rim, litres */
  litres: number;
  /** a flat or tray in which many plants stand together */
  shared: boolean;
}

/** Mix stands this far below the rim, mm. Common practice, no source. */
export const HEADROOM = 12;

/**
 * Volume in litres of a box whose rim and base are rectangles of any two shapes (prismatoid rule:
 * depth/6 · (top + 4·middle + bottom), exact because sides are straight). Lengths in mm.
 */
export function boxLitres(rim: [number, number], base: [number, number], depth: number): number {
  const middle = ((rim[0] + base[0]) / 2) * ((rim[1] + base[1]) / 2);
  return ((depth / 6) * (rim[0] * rim[1] + 4 * middle + base[0] * base[1])) / 1e6;
}

/** Volume in litres of a round pot (conical frustum); diameters and depth in mm. */
export function roundLitres(rim: number, base: number, depth: number): number {
  return ((Math.PI * depth) / 12) * (rim * rim + rim * base + base * base) * 1e-6;
}

/** Size at the mix line, a finger below the rim. */
const atLine = (rim: number, base: number, depth: number) =>
  rim - ((rim - base) * Math.min(HEADROOM, depth / 4)) / depth;

export const CONTAINERS: readonly ContainerKind[] = CONTAINER_ROWS.map(
  ([id, name, wall, rim, base, depth, shared]) => {
    const round = typeof rim === 'number';
    const top = round ? ([rim, rim] as [number, number]) : rim;
    const low = typeof base === 'number' ? ([base, base] as [number, number]) : base;
    const filled = depth - Math.min(HEADROOM, depth / 4);
    const line: [number, number] = [atLine(top[0], low[0], depth), atLine(top[1], low[1], depth)];
    return {
      id,
      name,
      wall,
      shape: round ? 'round' : 'box',
      rim: top,
      base: low,
      depth,
      shared: shared === 'shared',
      litres: round ? roundLitres(line[0], low[0], filled) : boxLitres(line, low, filled),
    };
  },
);

const byId = new Map(CONTAINERS.map((c) => [c.id, c]));
export const hasContainer = (id: string): boolean => byId.has(id);

/** Throws RangeError for a kind the library does not hold. */
export function container(id: string): ContainerKind {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no such container: ${id}`);
  return found;
}

/** Sizes below that of a programme which a school of pot size takes: none, one, or two. Common practice, no source. */
const STEPS_DOWN: Record<string, number> = { room: 0, snug: 1, small: 2 };

/** The container of the same make that a school of pot size takes; the same where there is none so small. */
export function resized(id: string, school: string): string {
  const make = SIZES.find((s) => s.includes(id));
  if (!make) return id;
  return make[Math.max(0, make.indexOf(id) - (STEPS_DOWN[school] ?? 0))];
}

/** Plants that stand in one shared tray. Common practice, no source. */
export const IN_A_TRAY = cp(60, 'plants');

/** Containers of a kind that so many plants want: one each, or trays. */
export const piecesFor = (kind: Pick<ContainerKind, 'shared'>, plants: number): number =>
  kind.shared ? Math.ceil(plants / IN_A_TRAY.value) : plants;

/** Shared flats hold many plants: the room each has, litres. */
export const roomPerPlant = (kind: ContainerKind, plants: number): number =>
  kind.shared ? kind.litres / Math.max(1, plants) : kind.litres;
export { allocate, type Shelf, type Short, type Want } from './stock.ts';

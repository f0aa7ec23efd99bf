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
  /** of cloth: no wire holds in its wall */
  flexible?: boolean;
  /** of a pot to be looked at with its tree */
  look?: PotLook | null;
}

/** How the outside of a pot is finished. */
export const FINISHES = ['glazed', 'matt', 'unglazed'] as const;
export interface PotLook {
  /** in words: "iron brown" */
  colour: string;
  finish: (typeof FINISHES)[number];
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

/** Inside measures of a container, mm, as they are taken with a rule. */
export type ContainerEdit = Omit<ContainerKind, 'id' | 'litres'>;

/** A container by its measures, with the litres it holds to the line of the mix. */
export function kindOf(id: string, c: ContainerEdit): ContainerKind {
  const { rim, base, depth } = c;
  const filled = depth - Math.min(HEADROOM, depth / 4);
  const line: [number, number] = [atLine(rim[0], base[0], depth), atLine(rim[1], base[1], depth)];
  const litres = c.shape === 'round' ? roundLitres(line[0], base[0], filled) : boxLitres(line, base, filled);
  return { ...c, id, litres };
}

const pair = (size: [number, number] | number): [number, number] =>
  typeof size === 'number' ? [size, size] : size;

/** Containers of the library. */
export const CONTAINERS: readonly ContainerKind[] = CONTAINER_ROWS.map(
  ([id, name, wall, rim, base, depth, more]) =>
    kindOf(id, {
      name,
      wall,
      shape: typeof rim === 'number' ? 'round' : 'box',
      rim: pair(rim),
      base: pair(base),
      depth,
      shared: more === 'shared',
      flexible: more === 'flexible',
    }),
);

export type DepthClass = 'shallow' | 'medium' | 'deep';
/** A pot up to so deep for its width is shallow, and from so deep on deep. Common practice, no source. */
const SHALLOW = 0.45;
const DEEP = 0.9;

/** How deep a container is for its width: shallow ones send roots sideways, deep ones down. */
export function depthClass({ rim, depth }: Pick<ContainerKind, 'rim' | 'depth'>): DepthClass {
  const part = depth / Math.min(...rim);
  return part <= SHALLOW ? 'shallow' : part >= DEEP ? 'deep' : 'medium';
}

/** How water leaves each wall, as it is minded when the pot is prepared. Common practice, no source. */
const DRAINS: Readonly<Record<Wall, string>> = {
  smooth: 'mesh over the holes',
  grooved: 'mesh over the holes',
  porous: 'mesh over the holes',
  'air-pruning': 'mesh where its gaps are wide',
  ground: '',
};
export const drainWords = ({ wall }: Pick<ContainerKind, 'wall'>): string => DRAINS[wall];

/** A base is no wider than so many times the rim: else what was typed for one belongs to the other. */
const WIDEST_BASE = 3;

/** What cannot be of a container, by field; none where it can. Ranges of single figures are checked before. */
export function containerFaults(c: ContainerEdit): { field: string; text: string }[] {
  const faults: { field: string; text: string }[] = [];
  for (const side of [0, 1] as const)
    if (c.base[side] > WIDEST_BASE * c.rim[side])
      faults.push({ field: `base[${side}]`, text: `is more than three times the rim, ${c.rim[side]} mm` });
  if (c.shape === 'round' && (c.rim[0] !== c.rim[1] || c.base[0] !== c.base[1]))
    faults.push({ field: 'rim[1]', text: 'of a round pot is its length' });
  if (c.wall === 'ground') faults.push({ field: 'wall', text: 'of a container is not the ground' });
  return faults;
}

const library = new Map(CONTAINERS.map((c) => [c.id, c]));
let byId = library;

/** Holds the nursery's own containers beside the library's, in place of what was held before. */
export function holdContainers(own: readonly ContainerKind[]): void {
  byId = new Map([...library, ...own.map((c) => [c.id, c] as const)]);
}

/** Every container that can be used: the library's and the nursery's own. */
export const containers = (): ContainerKind[] => [...byId.values()];

export const hasContainer = (id: string): boolean => byId.has(id);

/** Throws RangeError for a kind that is neither the library's nor the nursery's own. */
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

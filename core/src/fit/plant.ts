import { ABOVE, BALL_DEEP, CROWN, FRESH, LEAF_PER_WOOD } from '../../data/fit.ts';
import { lineOf, type RootRecord } from '../roots/index.ts';
import { massOf } from '../trunk/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';

/** Directions a ball is measured in, evenly round. */
export const WAYS = 24;

/** A plant as it is held over a pot. */
export interface Potted {
  group: GrowthGroup;
  /** mm at the base */
  caliper: number;
  /** mm, to the tip, and share of the crown that is left after the top was reduced, 0..1 */
  height: number;
  crown: number;
  /** reach of its roots from the trunk, mm, in each of `WAYS` directions from the compass mark on, clockwise */
  reach: readonly number[];
  /** of its ball, mm */
  depth: number;
}

/** A round ball, mm across. */
export const roundReach = (across: number): number[] => Array.from({ length: WAYS }, () => across / 2);

/** Reach of drawn roots: what no root fills is as far as the trunk. */
export function reachOfRoots(record: RootRecord): number[] {
  const reach = Array.from({ length: WAYS }, () => record.trunk / 2);
  for (const root of record.roots)
    for (const { x, y } of lineOf(root, record.trunk)) {
      const way = Math.round((Math.atan2(x, y) / (2 * Math.PI)) * WAYS);
      const at = (way + WAYS) % WAYS;
      reach[at] = Math.max(reach[at], Math.hypot(x, y));
    }
  return reach;
}

/** Depth of a ball whose record tells none, mm. */
export const ballDepth = (reach: readonly number[]): number =>
  BALL_DEEP.value * 2 * (reach.reduce((a, b) => a + b, 0) / reach.length);

/** Litres of a ball: sectors of its reach, rounded off underneath as half of an egg. */
export const ballLitres = ({ reach, depth }: Pick<Potted, 'reach' | 'depth'>): number => {
  const area = reach.reduce((sum, r) => sum + (Math.PI * r * r) / reach.length, 0);
  return (area * depth * (2 / 3)) / 1e6;
};

/** Leaf of the whole plant, m². */
export const leafOf = ({ group, caliper, crown }: Pick<Potted, 'group' | 'caliper' | 'crown'>): number =>
  LEAF_PER_WOOD[group] * ((Math.PI / 4) * (caliper / 10) ** 2) * crown;

/** What stands above the soil, fresh, kg. */
export const freshWeight = ({ caliper, crown }: Potted): number =>
  (massOf(caliper) * ABOVE.value * FRESH.value * (0.5 + 0.5 * crown)) / 1000;

/** The crown as the wind meets it: m² seen from the side, and how high its middle stands, m. */
export function sailOf({ height, crown }: Potted): { area: number; middle: number } {
  const tall = height / 1000;
  // a shortened top is lower and narrower alike
  const side = Math.sqrt(crown);
  return {
    area: tall * side * tall * CROWN.wide.value * side * 0.6,
    middle: tall * CROWN.middle.value * side,
  };
}

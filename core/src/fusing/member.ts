import { AROUND, MEMBERS_MOST } from './limits.ts';

/** A root or a branch of a member: where it goes, degrees clockwise from its mark, and how far, mm. */
export interface Limb {
  azimuth: number;
  reach: number;
  /** mm where it leaves */
  diameter: number;
  /** of a branch: mm above the soil; of a root: 0 */
  height: number;
}

/** A stem that is set with others to become one base. */
export interface Member {
  id: string;
  /** mm at the base */
  base: number;
  /** mm */
  height: number;
  /** direction its line curves to first, degrees from its mark; null: straight */
  curve: number | null;
  roots: readonly Limb[];
  branches: readonly Limb[];
}

/** A place of the group: mm to the right and to the back of its middle, seen from the front. */
export interface Spot {
  x: number;
  y: number;
}

/** How far bases stand apart against touching. Bound they touch; common practice, no source. */
const TOUCH = 1;
const RAD = Math.PI / 180;

/**
 * Places for a group, the first for its thickest: the others around it in depth and off the middle, touching it. Bases
 * in mm, thickest first. Throws RangeError for fewer than two or more than nine.
 *
 * @example spotsFor([20, 10])[1] // 15 mm off, to the right and back
 */
export function spotsFor(bases: readonly number[]): Spot[] {
  if (bases.length < 2 || bases.length > MEMBERS_MOST)
    throw new RangeError(`not a group: ${bases.length} stems`);
  const [main, ...rest] = bases;
  return [
    { x: 0, y: 0 },
    ...rest.map((base, i) => {
      const off = (TOUCH * (main + base)) / 2;
      return { x: off * Math.sin(AROUND[i] * RAD), y: off * Math.cos(AROUND[i] * RAD) };
    }),
  ];
}

/** Heights in order of thickness: the thickest the tallest, mm. */
export const heightsFor = (
  members: readonly Pick<Member, 'id' | 'base'>[],
  tallest: number,
): Map<string, number> => {
  const thickest = Math.max(...members.map((m) => m.base));
  return new Map(members.map((m) => [m.id, Math.round((tallest * m.base) / thickest)]));
};

import type { Choice } from './choices.ts';
import { lengthOf, lineOf, spotAt, type Root, type RootRecord, type Spot } from './record.ts';
import { roomTowards, type Room } from './room.ts';

const RAD = Math.PI / 180;

/** How far a picture of the roots reaches from the trunk, mm. */
export function reachOf(record: RootRecord): number {
  const out = Math.max(0, ...record.roots.flatMap((r) => r.path.map((p) => p.out)));
  return Math.max(record.trunk * 2.6, out) * 1.12 + 8;
}

/** The inside of the pot around the trunk, seen from above. */
export const potLine = (room: Room): Spot[] =>
  Array.from({ length: 73 }, (_, i) => spotAt({ azimuth: i * 5, out: roomTowards(room, i * 5) }));

/** A root seen from the front, y down from the level the record was taken at. */
export interface SideRoot {
  root: Root;
  d: string;
  goes: boolean;
}

/** The roots seen from the front, what is behind first; `low` is how far the deepest goes down, mm. */
export function sideOf(
  record: RootRecord,
  choices: readonly Choice[] | null,
): { roots: SideRoot[]; low: number } {
  const half = record.trunk / 2;
  const seen = record.roots
    .map((root, i) => {
      const way = (root.azimuth - record.front - 180) * RAD;
      const aside = Math.sin(way);
      const long = lengthOf(lineOf(root, record.trunk));
      const steep = root.angle >= 70;
      const run = steep ? long * 0.15 : long * Math.cos(root.angle * RAD);
      const fall = steep ? long * 0.9 : run * Math.tan(Math.min(85, root.angle) * RAD);
      const x = half * aside;
      const y = -root.height;
      return {
        root,
        d: `M${x} ${y}Q${x + run * 0.5 * aside} ${y + fall * 0.3} ${x + run * aside} ${y + fall}`,
        goes: (choices?.find((c) => c.root === i)?.length ?? 1) <= 0,
        deep: fall - root.height,
        // what comes towards the viewer lies in front
        near: -Math.cos(way),
      };
    })
    .sort((a, b) => a.near - b.near);
  const low = Math.max(half, ...seen.map((s) => s.deep)) + half * 0.4;
  return { roots: seen.map(({ root, d, goes }) => ({ root, d, goes })), low };
}

/** The foot of the trunk seen from the front. */
export const footOf = (trunk: number): string => {
  const half = trunk / 2;
  return `M${-half * 0.62} ${-half * 2.4}L${-half} ${half * 0.3}Q0 ${half * 0.6} ${half} ${half * 0.3}L${half * 0.62} ${-half * 2.4}Z`;
};

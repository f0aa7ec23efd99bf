import { HEADROOM, type ContainerKind } from '../containers/index.ts';

/** The inside of a container at half its depth, as the trunk stands in it; mm. */
export interface Room {
  shape: 'round' | 'box';
  /** inside, along and across */
  size: readonly [number, number];
  /** of mix */
  depth: number;
  /** direction the long side lies across from: the front, degrees */
  front: number;
  /** trunk from the middle, mm: to the right seen from the front, and away from the viewer */
  aside: number;
  behind: number;
}

/** True inside dimensions of a container at half its depth, with the trunk in its middle. */
export const roomIn = (c: ContainerKind, front = 0, aside = 0, behind = 0): Room => ({
  shape: c.shape,
  size: [(c.rim[0] + c.base[0]) / 2, (c.rim[1] + c.base[1]) / 2],
  depth: c.depth - Math.min(HEADROOM, c.depth / 4),
  front,
  aside,
  behind,
});

/** How far it is from the trunk to the wall in a direction, mm; 0 where the trunk stands outside. */
export function roomTowards(room: Room, azimuth: number): number {
  // seen from above with the front below: right is x, away from the viewer is y
  const angle = ((azimuth - room.front - 180) * Math.PI) / 180;
  const [dx, dy] = [Math.sin(angle), Math.cos(angle)];
  const [w, h] = [room.size[0] / 2, room.size[1] / 2];
  if (room.shape === 'box') {
    const across = dx === 0 ? Infinity : ((dx > 0 ? w : -w) - room.aside) / dx;
    const away = dy === 0 ? Infinity : ((dy > 0 ? h : -h) - room.behind) / dy;
    return Math.max(0, Math.min(across, away));
  }
  const b = room.aside * dx + room.behind * dy;
  const c = room.aside ** 2 + room.behind ** 2 - w ** 2;
  return c > 0 ? 0 : -b + Math.sqrt(b * b - c);
}

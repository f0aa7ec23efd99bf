import type { RootAngle } from '../programmes/index.ts';

export type { RootAngle };

/** Angles below the horizontal that a school of root angle leaves alone, degrees. Common practice, no source. */
export const ANGLE_BANDS: Record<RootAngle, readonly [from: number, to: number]> = {
  flat: [-5, 15],
  sloped: [25, 50],
  descending: [35, 69],
};

/** How far outside of a band an angle is, degrees. */
export const offBand = (angle: number, [from, to]: readonly [number, number]): number =>
  Math.max(0, from - angle, angle - to);

import { cp } from '../params/index.ts';
import type { GroupTolerance } from '../taxa/index.ts';

/** Reserve a plant can hold by vigour 1..5, and how much heavier a loss weighs on a weak one. */
export const RESERVE_CAP = [0, 0.4, 0.55, 0.8, 0.95, 1];
export const WEAKNESS = [0, 1.7, 1.3, 1, 0.9, 0.8];
/** Reserve regained in a growing season at vigour 3. */
export const RESERVE_GAIN = cp(0.35, 'per season');

/** Drop of the reserve for taking shares of root and top; the smaller of two at once weighs three tenths. */
export function reserveDrop(
  t: Pick<GroupTolerance, 'rootTolerance' | 'topTolerance'>,
  vigour: number,
  root: number,
  top: number,
): number {
  const r = (0.5 * root) / t.rootTolerance.value;
  const c = (0.45 * top) / t.topTolerance.value;
  return WEAKNESS[vigour] * (Math.max(r, c) + 0.3 * Math.min(r, c));
}

import { cp } from '../params/index.ts';
import type { Plant } from '../plant/index.ts';
import type { Context } from './types.ts';

/** Odds of living at the floor of the reserve, nine to one; they rise above it, and fall faster below: half at 0.2 under. */
export const AT_FLOOR = cp(2.2, 'log odds');
export const SLOPE = cp(7, 'log odds per unit of reserve above the floor');
export const SLOPE_BELOW = cp(11, 'log odds per unit of reserve below it');

/** Chance, 0..1, that a plant lives through work that has left it with this reserve. */
export function survivalOdds(ctx: Pick<Context, 'tolerance'>, after: Pick<Plant, 'reserve'>): number {
  const above = after.reserve - ctx.tolerance.floor.value;
  const x = AT_FLOOR.value + (above < 0 ? SLOPE_BELOW : SLOPE).value * above;
  return Math.round((1 / (1 + Math.exp(-x))) * 100) / 100;
}

import { cp } from '../params/index.ts';
import type { Tree } from './tree.ts';
import type { Context } from './types.ts';

/** Odds of living at the floor of the reserve are exp(AT_FLOOR); each tenth above it adds a tenth of SLOPE. */
export const AT_FLOOR = cp(2.2, 'log odds');
export const SLOPE = cp(7, 'log odds per unit of reserve');

/** Chance, 0..1, that a plant lives through work that has left it with this reserve. */
export function survivalOdds(ctx: Pick<Context, 'tolerance'>, after: Pick<Tree, 'reserve'>): number {
  const x = AT_FLOOR.value + SLOPE.value * (after.reserve - ctx.tolerance.floor.value);
  return Math.round((1 / (1 + Math.exp(-x))) * 100) / 100;
}

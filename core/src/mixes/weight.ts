import type { ContainerKind } from '../containers/index.ts';
import { cp } from '../params/index.ts';
import type { Blend } from './blend.ts';
import { columnOf, shapeOf, type Zone } from './column.ts';

/** One person lifts so much without help, kg. Common practice, no source: local rules come first. */
export const LIFTED_BY_ONE = cp(20, 'kg');
/** A container weighs so much for each cm² of its wall and base, g. Common practice, no source. */
const WARE: Readonly<Record<ContainerKind['wall'], number>> = {
  smooth: 0.25,
  'air-pruning': 0.15,
  grooved: 0.25,
  porous: 1.6,
  ground: 0,
};

/** The empty container, kg: wall and base by their area. */
export function emptyWeight(c: ContainerKind): number {
  const girth = (side: readonly [number, number]) =>
    c.shape === 'round' ? Math.PI * side[0] : 2 * (side[0] + side[1]);
  const base = c.shape === 'round' ? (Math.PI / 4) * c.base[0] ** 2 : c.base[0] * c.base[1];
  const wall = ((girth(c.rim) + girth(c.base)) / 2) * c.depth;
  return ((wall + base) / 100) * WARE[c.wall] * 1e-3;
}

/** A container filled with a mix, without its plant, kg: bone dry, and drained after watering. */
export function filledWeight(
  c: ContainerKind,
  blend: Blend,
  zone: Zone | null = null,
): { dry: number; wet: number } {
  const low = zone?.share ?? 0;
  const mix = (1 - low) * blend.dry + low * (zone?.blend.dry ?? 0);
  const dry = emptyWeight(c) + c.litres * mix;
  return { dry, wet: dry + c.litres * columnOf(blend, shapeOf(c), zone).water };
}

import type { ContainerKind } from '../containers/index.ts';
import { HEADROOM } from '../containers/index.ts';
import type { Blend } from './blend.ts';

/** Pores drain the sooner the wider they are: α of van Genuchten 1980, 1/cm, for each mm of grain. Estimate. */
const SUCTION = 0.15;
/** Slices a pot is thought in. */
const SLICES = 60;

/** Part of the room between grains that holds water at a height above the bottom, cm; 0..1 (van Genuchten 1980). */
export function wetAt(blend: Blend, height: number): number {
  const m = 1 - 1 / blend.alike;
  return (1 + (SUCTION * blend.grain * height) ** blend.alike) ** -m;
}

/** Air and water of a mix in a pot that was watered through and has drained; of its volume, 0..1. */
export interface Column {
  air: number;
  /** air around the roots: above the coarse zone, where there is one */
  around: number;
  water: number;
  /** grains, and pores in them that water never enters and air hardly leaves */
  solid: number;
  /** from the bottom up, slice by slice: mm above the bottom, and the air there */
  slices: { at: number; air: number }[];
}

/** A pot as far as water minds it: mm deep to the line of the mix, and cross-section at a height above the bottom. */
export interface Shape {
  depth: number;
  area: (height: number) => number;
}

/** The inside of a container filled to its line. */
export function shapeOf(c: ContainerKind): Shape {
  const depth = c.depth - Math.min(HEADROOM, c.depth / 4);
  const at = (side: 0 | 1, height: number) =>
    c.base[side] + ((c.rim[side] - c.base[side]) * height) / c.depth;
  const round = c.shape === 'round' ? Math.PI / 4 : 1;
  return { depth, area: (height) => round * at(0, height) * at(1, height) };
}

/** A coarser mix below the roots: so much of the depth, 0..1. */
export interface Zone {
  blend: Blend;
  share: number;
}

/**
 * Over grains so many times its own size a mix holds its water as over a floor: the film of water breaks there. The
 * capillary barrier of soil physics; the factor is from memory.
 */
const BREAKS = 3;

/**
 * Air and water in a pot, after the method of Bilderback & Fonteno 1987, Journal of Environmental Horticulture 5:180
 * (from memory): the bottom stays wet, and with each height above it wider pores drain, so that the same mix has less
 * air in a shallow pot. Water inside the grains stays; pores in them that take none up are not counted as air.
 * Over a much coarser zone a mix drains as over the bottom of the pot: the zone takes depth from it.
 */
export function columnOf(blend: Blend, shape: Shape, zone: Zone | null = null): Column {
  const top = zone ? zone.share * shape.depth : 0;
  const floor = zone && zone.blend.grain >= BREAKS * blend.grain ? top : 0;
  const all = { area: 0, air: 0, open: 0 };
  const around = { area: 0, air: 0 };
  const slices: Column['slices'] = [];
  for (let i = 0; i < SLICES; i++) {
    const at = ((i + 0.5) / SLICES) * shape.depth;
    const area = shape.area(at);
    const low = zone !== null && at < top;
    const here = low ? zone.blend : blend;
    const air = here.between * (1 - wetAt(here, (low ? at : at - floor) / 10));
    all.area += area;
    all.air += area * air;
    all.open += area * (here.between + here.holds);
    if (!low) {
      around.area += area;
      around.air += area * air;
    }
    slices.push({ at, air });
  }
  const air = all.air / all.area;
  const open = all.open / all.area;
  return { air, around: around.air / around.area, water: open - air, solid: 1 - open, slices };
}

/** A drain test of the grower's own: watered through, left to drain, the air measured in a pot. */
export interface DrainTest {
  /** of the mix in the pot, mm */
  depth: number;
  /** of the volume, 0..1 */
  air: number;
}

const upright = (depth: number): Shape => ({ depth, area: () => 1 });

/**
 * How much coarser (above 1) or finer a mix drains than its grains say, so that it has the air that was measured; null
 * where no such grain has it: more air than pores, or hardly any.
 */
export function drainsLike(blend: Blend, test: DrainTest): number | null {
  const airWith = (by: number) => columnOf({ ...blend, grain: blend.grain * by }, upright(test.depth)).air;
  let [low, high] = [0.01, 100];
  if (!(airWith(low) < test.air && test.air < airWith(high))) return null;
  // in halves of the ratio: air grows with the grain
  for (let i = 0; i < 40; i++) {
    const middle = Math.sqrt(low * high);
    if (airWith(middle) < test.air) low = middle;
    else high = middle;
  }
  return Math.sqrt(low * high);
}

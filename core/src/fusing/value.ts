import { STEP } from './limits.ts';
import type { Limb, Member, Spot } from './member.ts';

export const TURNS = 360 / STEP;
/** The joint base is looked at in so many directions. */
export const SECTORS = 12;
const RAD = Math.PI / 180;

/** What each thing is worth. Common practice, no source. */
const WORTH = {
  /** a gap all round the joint base */
  gap: 10,
  /** a root that runs under a neighbour, against one as thick as its trunk */
  under: 6,
  /** a branch into a neighbour, against one as thick as its trunk */
  into: 5,
  /** curves that go the same way */
  agree: 1.5,
  /** curves so alike that the trunks are parallel */
  parallel: 1,
  /** an outer stem that curves away from the middle */
  outward: 1,
  /** a thicker stem on a lesser place */
  order: 2,
} as const;
/** A limb goes into whom it points at within so many degrees. Common practice, no source. */
const INTO = 25;
/** Trunks whose curves are nearer than this are parallel, degrees. Common practice, no source. */
const PARALLEL = 15;

/** Degrees between two directions, 0..180. */
export const between = (a: number, b: number): number => Math.abs(((((a - b) % 360) + 540) % 360) - 180);

/** Direction from one place to another, degrees clockwise from the back; and how far, mm. */
export function wayTo(from: Spot, to: Spot): { azimuth: number; far: number } {
  const [x, y] = [to.x - from.x, to.y - from.y];
  return { azimuth: (((Math.atan2(x, y) / RAD) % 360) + 360) % 360, far: Math.hypot(x, y) };
}

/** Sectors that roots of a member occupy at a turn, as bits. */
export function sectorsOf(m: Member, turn: number): number {
  let bits = 0;
  for (const r of m.roots) {
    const azimuth = (((r.azimuth + turn * STEP) % 360) + 360) % 360;
    bits |= 1 << Math.floor((azimuth / 360) * SECTORS);
  }
  return bits;
}

/** What gaps between occupied sectors cost: −10 · Σ (gap ÷ 12)², 0 where every sector is occupied. */
function gapsOf(bits: number): number {
  const taken = Array.from({ length: SECTORS }, (_, i) => i).filter((i) => bits & (1 << i));
  if (taken.length === 0) return -WORTH.gap;
  let sum = 0;
  taken.forEach((at, i) => {
    const next = i + 1 < taken.length ? taken[i + 1] : taken[0] + SECTORS;
    const gap = next - at - 1;
    sum += (gap / SECTORS) ** 2;
  });
  return -WORTH.gap * sum;
}
export const GAPS: readonly number[] = Array.from({ length: 1 << SECTORS }, (_, bits) => gapsOf(bits));

/** How much a limb goes into whom it points at: 1 straight into it, 0 past it or short of it. */
function goesInto(limb: Limb, turn: number, way: { azimuth: number; far: number }, width: number): number {
  const off = between(limb.azimuth + turn * STEP, way.azimuth);
  if (off >= INTO || limb.reach < way.far - width / 2) return 0;
  return 1 - off / INTO;
}

/** What a member at a place and turn costs for itself: its order, and whether it curves away from the middle. */
export function aloneWorth(
  m: Member,
  turn: number,
  place: { spot: Spot; rank: number; thickness: number },
): number {
  const order = -WORTH.order * Math.abs(place.rank - place.thickness);
  if (m.curve === null || Math.hypot(place.spot.x, place.spot.y) < 1) return order;
  const out = wayTo({ x: 0, y: 0 }, place.spot).azimuth;
  return order + WORTH.outward * Math.cos(between(m.curve + turn * STEP, out) * RAD);
}

/** What a member’s roots and branches cost that go under or into a neighbour. */
export function intoWorth(
  m: Member,
  turn: number,
  other: Member,
  way: { azimuth: number; far: number },
): number {
  let worth = 0;
  for (const r of m.roots) worth -= WORTH.under * (r.diameter / m.base) * goesInto(r, turn, way, other.base);
  for (const b of m.branches)
    if (b.height < other.height)
      worth -= WORTH.into * (b.diameter / m.base) * goesInto(b, turn, way, other.base);
  return worth;
}

/** How curves of two agree: the same way is best, but not so much the same that the trunks are parallel. */
export function agreeWorth(a: Member, turnA: number, b: Member, turnB: number): number {
  if (a.curve === null || b.curve === null) return 0;
  const apart = between(a.curve + turnA * STEP, b.curve + turnB * STEP);
  return WORTH.agree * Math.cos(apart * RAD) - (apart < PARALLEL ? WORTH.parallel : 0);
}

/** Limbs of one that go into another, by index. */
export function limbsInto(
  limbs: readonly Limb[],
  turn: number,
  way: { azimuth: number; far: number },
  width: number,
): number[] {
  return limbs.flatMap((l, i) => (goesInto(l, turn, way, width) > 0 ? [i] : []));
}

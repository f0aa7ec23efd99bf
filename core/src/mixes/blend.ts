import { sharesOf, type Component, type Part } from './recipe.ts';

/** What a mix is once it is mixed: shares of its own volume, 0..1. */
export interface Blend {
  /** litres of it from a litre of loose components: fine grains go into the gaps of coarse ones */
  shrinks: number;
  /** room between the grains, and inside them */
  between: number;
  inside: number;
  /** of the room inside, what water stays in when it has drained */
  holds: number;
  /** grain size that rules how it drains, mm */
  grain: number;
  /** how alike its pores are: the n of van Genuchten 1980 */
  alike: number;
  /** dry, kg/L */
  dry: number;
}

/** All pores of a mix, 0..1 of its volume: 1 − ρ_b ÷ ρ_s. */
export const porosity = (b: Blend): number => b.between + b.inside;

/** Grains under this part of the coarse ones go wholly into their gaps. */
const FITS = 0.15;

/**
 * One size that stands for a range of grains, mm: the mean by surface, since water is held by surface. Of a range in
 * which each size has the same share that is (to − from) ÷ ln(to ÷ from).
 */
export const grainOf = ([from, to]: readonly [number, number]): number =>
  from === to ? from : (to - from) / Math.log(to / from);

interface Heap {
  volume: number;
  between: number;
  grain: number;
}

/**
 * Two heaps put together: between grains of like size nothing is lost; far finer ones fill the gaps of the coarse, at
 * most until the gaps are full. Between these limits by the ratio of the sizes.
 *
 * @example mixed({volume: 1, between: 0.4, grain: 4}, {volume: 0.4, between: 0.4, grain: 0.1}).volume // 1
 */
export function mixed(a: Heap, b: Heap): Heap {
  const [coarse, fine] = a.grain >= b.grain ? [a, b] : [b, a];
  const plain = coarse.volume + fine.volume;
  const least = Math.max(coarse.volume, fine.volume + coarse.volume * (1 - coarse.between));
  const ratio = fine.grain / coarse.grain;
  // grains a little finer hardly go into gaps at all
  const apart = Math.min(1, Math.max(0, (1 - ratio) / (1 - FITS))) ** 2;
  const volume = plain + (least - plain) * apart;
  const solid = coarse.volume * (1 - coarse.between) + fine.volume * (1 - fine.between);
  const surface = coarse.volume / coarse.grain + fine.volume / fine.grain;
  return { volume, between: 1 - solid / volume, grain: plain / surface };
}

const bulk = (c: Component): number => (1 - c.between) * (1 - c.inside) * c.solid;

/** What comes of parts by volume. `drains`: how much coarser it was found to drain than its grains say. */
export function blendOf(parts: readonly Part[], drains = 1): Blend {
  const shares = sharesOf(parts)
    .map(({ component, share }) => ({ c: component, share, grain: grainOf(component.grain) }))
    .toSorted((a, b) => b.grain - a.grain);
  const heap = shares
    .map(({ c, share, grain }): Heap => ({ volume: share, between: c.between, grain }))
    .reduce(mixed);
  const grains = shares.reduce((n, { c, share }) => n + share * (1 - c.between), 0);
  const surface = shares.reduce((n, { share, grain }) => n + share / grain, 0);
  const inGrains = (of: (c: Component) => number) =>
    shares.reduce((n, { c, share }) => n + share * (1 - c.between) * of(c), 0) / grains;
  const filled = 1 - heap.between;
  return {
    shrinks: heap.volume,
    between: heap.between,
    inside: filled * inGrains((c) => c.inside),
    holds: filled * inGrains((c) => c.holds),
    grain: heap.grain * drains,
    alike: shares.reduce((n, { c, share, grain }) => n + (c.alike * share) / grain, 0) / surface,
    dry: shares.reduce((n, { c, share }) => n + share * bulk(c), 0) / heap.volume,
  };
}

import { blendOf } from './blend.ts';
import { sharesOf, type Component, type Part, type Under } from './recipe.ts';

/** What goes into a batch of a mix, litres loose from the bag. */
export interface BatchPart {
  component: Component;
  /** after sieving, as it goes in */
  litres: number;
  /** before sieving, as it comes from the bag */
  bought: number;
}

function layerOf(parts: readonly Part[], litres: number): BatchPart[] {
  const loose = litres / blendOf(parts).shrinks;
  return sharesOf(parts).map(({ component, share }) => ({
    component,
    litres: loose * share,
    bought: (loose * share) / (1 - component.sieved),
  }));
}

/**
 * Components of so many litres of a ready mix: more than that, since it shrinks on mixing and loses fines in the sieve.
 * Of a coarse zone below, its share of the depth is taken for its share of the litres.
 */
export function batchOf(
  { parts, under }: { parts: readonly Part[]; under?: Under | null },
  litres: number,
): BatchPart[] {
  if (!under) return layerOf(parts, litres);
  const all = new Map<string, BatchPart>();
  const layers = [
    ...layerOf(parts, litres * (1 - under.share)),
    ...layerOf(under.parts, litres * under.share),
  ];
  for (const p of layers) {
    const had = all.get(p.component.id);
    all.set(p.component.id, {
      component: p.component,
      litres: p.litres + (had?.litres ?? 0),
      bought: p.bought + (had?.bought ?? 0),
    });
  }
  return [...all.values()];
}

/** What a batch costs by the price of each component from the bag, cents a litre; null where one is not known. */
export function costOf(
  batch: readonly BatchPart[],
  cents: (component: string) => number | null,
): number | null {
  let all = 0;
  for (const p of batch) {
    const each = cents(p.component.id);
    if (each === null) return null;
    all += each * p.bought;
  }
  return Math.round(all);
}

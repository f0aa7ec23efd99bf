import { blendOf } from './blend.ts';
import { sharesOf, type Component, type Part } from './recipe.ts';

/** What goes into a batch of a mix, litres loose from the bag. */
export interface BatchPart {
  component: Component;
  /** after sieving, as it goes in */
  litres: number;
  /** before sieving, as it comes from the bag */
  bought: number;
}

/** Components of so many litres of a ready mix: more than that, since it shrinks on mixing and loses fines in the sieve. */
export function batchOf(parts: readonly Part[], litres: number): BatchPart[] {
  const loose = litres / blendOf(parts).shrinks;
  return sharesOf(parts).map(({ component, share }) => ({
    component,
    litres: loose * share,
    bought: (loose * share) / (1 - component.sieved),
  }));
}

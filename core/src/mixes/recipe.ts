import {
  COMPONENTS,
  LIBRARY_RECIPES,
  OLD_MIX,
  RECIPE_OF_GROUP,
  type Component,
  type Part,
  type Recipe,
  type Under,
} from '../../data/mixes.ts';
import type { GrowthGroup } from '../taxa/index.ts';

export { COMPONENTS, LIBRARY_RECIPES, OLD_MIX, type Component, type Part, type Recipe, type Under };

const components = new Map(COMPONENTS.map((c) => [c.id, c]));
const recipes = new Map(LIBRARY_RECIPES.map((r) => [r.id, r]));

export const hasComponent = (id: string): boolean => components.has(id);

/** Throws RangeError for a component the library does not hold. */
export function component(id: string): Component {
  const found = components.get(id);
  if (!found) throw new RangeError(`no such component: ${id}`);
  return found;
}

/** Throws RangeError for a mix the library does not hold. */
export function libraryRecipe(id: string): Recipe {
  const found = recipes.get(id);
  if (!found) throw new RangeError(`no such mix: ${id}`);
  return found;
}

/** The library's mix for a kind under a school of media: by kind, one for all, or ordinary potting mix. */
export function recipeFor(group: GrowthGroup, medium: string): Recipe {
  if (medium === 'mineral') return libraryRecipe('mineral');
  if (medium === 'potting') return libraryRecipe('potting');
  return libraryRecipe(RECIPE_OF_GROUP[group]);
}

/** Most components a mix is made of. */
export const PARTS_MOST = 8;

/** A coarse zone takes at least and at most so much of the depth: thinner it does nothing, thicker it is the mix. */
export const UNDER_SHARE = { least: 0.05, most: 0.5 } as const;

type Fault = { field: string; text: string };

function partFaults(parts: readonly Part[], within: string): Fault[] {
  const faults: Fault[] = [];
  parts.forEach((p, i) => {
    const field = `${within}[${i}]`;
    if (!hasComponent(p.component))
      faults.push({ field: `${field}.component`, text: 'is no component of the library' });
    if (!(p.parts > 0 && p.parts <= 100))
      faults.push({ field: `${field}.parts`, text: 'is not above 0 and at most 100' });
    if (parts.findIndex((x) => x.component === p.component) < i)
      faults.push({ field: `${field}.component`, text: 'is named twice' });
  });
  if (parts.length === 0) faults.push({ field: within, text: 'sum to 0: name at least one component' });
  if (parts.length > PARTS_MOST) faults.push({ field: within, text: `are more than ${PARTS_MOST}` });
  return faults;
}

/** What cannot be of a mix and of the coarse one below it, by field; none where it can. */
export function recipeFaults(parts: readonly Part[], under: Under | null = null): Fault[] {
  const faults = partFaults(parts, 'parts');
  if (!under) return faults;
  faults.push(...partFaults(under.parts, 'under.parts'));
  if (!(under.share >= UNDER_SHARE.least && under.share <= UNDER_SHARE.most))
    faults.push({ field: 'under.share', text: 'is not from a twentieth to half of the depth' });
  return faults;
}

/** Share of each component by volume before mixing, 0..1. */
export function sharesOf(parts: readonly Part[]): { component: Component; share: number }[] {
  const all = parts.reduce((n, p) => n + p.parts, 0);
  return parts.map((p) => ({ component: component(p.component), share: p.parts / all }));
}

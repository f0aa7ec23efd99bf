import { GROWTH_GROUPS, type GroupTolerance, type GrowthGroup } from '../../data/growth-groups.ts';
import {
  CHILL_NEED,
  EASE,
  FREE_RING,
  TAXA,
  type CuttingWood,
  type Ease,
  type Pace,
  type SowTime,
  type Taxon,
} from '../../data/taxa/index.ts';

export { CHILL_NEED, EASE, FREE_RING, GROWTH_GROUPS, TAXA };
export type { CuttingWood, Ease, GroupTolerance, GrowthGroup, Pace, SowTime, Taxon };

/** Those in force by id: the library's, and over them those of the nursery's own. */
let held = new Map<string, Taxon>(TAXA.map((t) => [t.id, t]));

/** Puts a nursery's own taxa over the library's; those put before are forgotten. */
export function holdTaxa(own: readonly Taxon[]): void {
  held = new Map([...TAXA, ...own].map((t) => [t.id, t]));
}

/** Every taxon in force, the library's first. */
export const taxa = (): Taxon[] => [...held.values()];
/** Every taxon in force, by name. */
export const taxaByName = (): Taxon[] => taxa().toSorted((a, b) => a.name.localeCompare(b.name));

export const hasTaxon = (id: string): boolean => held.has(id);

/** Throws RangeError for a taxon neither the library nor the nursery holds. */
export function taxon(id: string): Taxon {
  const found = held.get(id);
  if (!found) throw new RangeError(`no such taxon: ${id}`);
  return found;
}

export const toleranceOf = (t: Taxon): GroupTolerance => GROWTH_GROUPS[t.group];

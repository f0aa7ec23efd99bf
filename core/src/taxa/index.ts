import { GROWTH_GROUPS, type GroupTolerance, type GrowthGroup } from '../../data/growth-groups.ts';
import { CHILL_NEED, FREE_RING, TAXA, type Pace, type Taxon } from '../../data/taxa.ts';

export { CHILL_NEED, FREE_RING, GROWTH_GROUPS, TAXA };
export type { GroupTolerance, GrowthGroup, Pace, Taxon };

const byId = new Map(TAXA.map((t) => [t.id, t]));

export const hasTaxon = (id: string): boolean => byId.has(id);

/** Throws RangeError for a taxon the library does not hold. */
export function taxon(id: string): Taxon {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no such taxon: ${id}`);
  return found;
}

export const toleranceOf = (t: Taxon): GroupTolerance => GROWTH_GROUPS[t.group];

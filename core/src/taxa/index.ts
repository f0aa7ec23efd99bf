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

const byId = new Map(TAXA.map((t) => [t.id, t]));

export const hasTaxon = (id: string): boolean => byId.has(id);

/** Throws RangeError for a taxon the library does not hold. */
export function taxon(id: string): Taxon {
  const found = byId.get(id);
  if (!found) throw new RangeError(`no such taxon: ${id}`);
  return found;
}

export const toleranceOf = (t: Taxon): GroupTolerance => GROWTH_GROUPS[t.group];

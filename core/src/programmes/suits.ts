import type { GrowthGroup } from '../taxa/index.ts';

/** Programmes written for some growth groups only. Common practice, no source. */
const WRITTEN_FOR: Record<string, readonly GrowthGroup[]> = {
  'seed-pine': ['pine'],
  'seedling-cutting-pine': ['pine'],
  'cutting-conifer': ['juniper-cypress', 'evergreen-broadleaf'],
  'juniper-whips': ['juniper-cypress'],
  'tropical-house': ['tropical-broadleaf'],
  'swollen-base': ['swollen-base'],
  'shrub-staged': ['sensitive-shrub'],
};
/** Forms and beginnings that any kind may have. */
const FOR_ANY = new Set([
  'exposed-root',
  'root-over-rock',
  'air-layer',
  'stock-plant',
  'offshoots',
  'raft',
  'bought-liner',
  'lifted-plant',
  'bare-root-sale',
]);
/** Groups that general broadleaf programmes are not for. */
const OWN_WAYS: readonly GrowthGroup[] = ['pine', 'juniper-cypress', 'swollen-base', 'sensitive-shrub'];

/** Whether a programme is written for a growth group; one's own programmes suit any. */
export function suits(programmeId: string, group: GrowthGroup, own = false): boolean {
  if (own || FOR_ANY.has(programmeId)) return true;
  const only = WRITTEN_FOR[programmeId];
  return only ? only.includes(group) : !OWN_WAYS.includes(group);
}

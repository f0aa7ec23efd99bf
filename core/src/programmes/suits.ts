import { taxon, type GrowthGroup, type Taxon } from '../taxa/index.ts';
import type { Programme } from './index.ts';

/** Programmes written for some growth groups only. Common practice, no source. */
const WRITTEN_FOR: Record<string, readonly GrowthGroup[]> = {
  'seed-pine': ['pine'],
  'seedling-cutting-pine': ['pine'],
  'bare-root-pine': ['pine'],
  'cutting-conifer': ['juniper-cypress', 'evergreen-broadleaf'],
  'juniper-whips': ['juniper-cypress'],
  'tropical-house': ['tropical-broadleaf', 'swollen-base'],
  'shrub-staged': ['sensitive-shrub'],
};
/** Programmes for single kinds: drying hard before planting kills all others. One grower. */
const FOR_KINDS: Record<string, readonly string[]> = { 'swollen-base': ['adenium-obesum'] };
/** Forms and beginnings that any kind may have. */
const FOR_ANY = new Set([
  'exposed-root',
  'root-over-rock',
  'air-layer',
  'stock-plant',
  'offshoots',
  'raft',
  'twin-overlap',
  'bought-liner',
  'lifted-plant',
  'lifted-prepared',
  'bare-root-sale',
]);
/** Groups that general broadleaf programmes are not for. */
const OWN_WAYS: readonly GrowthGroup[] = ['pine', 'juniper-cypress', 'swollen-base', 'sensitive-shrub'];
/** Forms that want bare roots and wood to bind or lay: shrubs whose ball is kept and swollen bases are none. */
const WANTS_BARE_ROOTS = new Set([
  'raft',
  'twin-overlap',
  'exposed-root',
  'root-over-rock',
  'offshoots',
  'bare-root-sale',
]);
/** Programmes that want winters: work in leafless wood, sale in deep dormancy. */
const WANTS_WINTER = new Set([
  'bare-root-sale',
  'cutting-pencil',
  'cutting-hardwood',
  'cutting-water-winter',
]);

type KindOf = Pick<Taxon, 'id' | 'like' | 'group' | 'phenology'>;

/** Whether a programme is written for a kind; one's own programmes suit any. */
export function suits(programmeId: string, t: KindOf, own = false): boolean {
  if (own) return true;
  const kinds = FOR_KINDS[programmeId];
  if (kinds) return kinds.includes(t.like ?? t.id);
  if ((t.group === 'sensitive-shrub' || t.group === 'swollen-base') && WANTS_BARE_ROOTS.has(programmeId))
    return false;
  if (t.phenology === 'warm-season' && WANTS_WINTER.has(programmeId)) return false;
  if (FOR_ANY.has(programmeId)) return true;
  const only = WRITTEN_FOR[programmeId];
  return only ? only.includes(t.group) : !OWN_WAYS.includes(t.group);
}

/** The programme a kind is usually begun with; null: any that suits it will do. */
export function usualProgramme(taxonId: string, all: readonly Programme[]): Programme | null {
  const t = taxon(taxonId);
  const own = all.find((p) => FOR_KINDS[p.id]?.includes(t.like ?? t.id));
  return own ?? all.find((p) => WRITTEN_FOR[p.id]?.includes(t.group)) ?? null;
}

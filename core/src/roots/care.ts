import { mistAfter, type Air } from '../pace/index.ts';
import { EASE, type GrowthGroup, type Taxon } from '../taxa/index.ts';

/** Groups that keep their leaves. */
const EVERGREEN: readonly GrowthGroup[] = [
  'pine',
  'juniper-cypress',
  'evergreen-broadleaf',
  'sensitive-shrub',
];
/** Top taken for each share of root, by leaf and air. Common practice, no source. */
const TOP_TO_ROOT = { leafless: 0.4, humid: 0.5, dry: 0.8 } as const;
const MOST_TOP = 0.6;
/** From this humidity on leaves stay fresh on few roots, %. Common practice, no source. */
const HUMID = 70;

/**
 * Share of the top that goes to match a share of the root, 0..1, by whether leaves are on and how humid the air is.
 *
 * @example topToMatch(0.5, { group: 'deciduous-broadleaf', inLeaf: true, humidity: 40 }) // 0.4
 */
export function topToMatch(
  root: number,
  of: { group: GrowthGroup; inLeaf: boolean; humidity: number },
): number {
  if (of.group === 'swollen-base') return 0;
  const leaves = of.inLeaf || EVERGREEN.includes(of.group);
  const share = !leaves ? TOP_TO_ROOT.leafless : of.humidity >= HUMID ? TOP_TO_ROOT.humid : TOP_TO_ROOT.dry;
  return Math.min(MOST_TOP, root * share);
}

/** Mistings after which even misted roots have had enough. Common practice, no source. */
const MISTINGS = 8;

/** Minutes bare roots may be out, and minutes between mistings; null for kinds that are left dry. */
export function outFor(kind: Pick<Taxon, 'group'>, air: Air): { minutes: number; mist: number } | null {
  const mist = mistAfter(kind, air);
  return mist === null ? null : { minutes: mist * MISTINGS, mist };
}

/** Length of a root cutting, mm, and the thickness from which one is worth laying, mm. Common practice, no source. */
const CUTTING_LONG = 60;
const CUTTING_THICK = 4;
/** Kinds of which fewer root are not worth laying, share. */
const WORTH_LAYING = 0.4;

/** Root cuttings that what is cut off would give: of kinds that come from root, pieces thick enough. */
export const rootCuttings = (
  kind: Pick<Taxon, 'roots'>,
  off: readonly { diameter: number; length: number }[],
): number =>
  EASE[kind.roots.root].cuttings.value < WORTH_LAYING
    ? 0
    : off
        .filter((o) => o.diameter >= CUTTING_THICK)
        .reduce((n, o) => n + Math.floor(o.length / CUTTING_LONG), 0);

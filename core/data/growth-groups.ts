import { cp, type Param } from '../src/params/index.ts';

export type GrowthGroup =
  | 'deciduous-broadleaf'
  | 'oak-like'
  | 'pine'
  | 'juniper-cypress'
  | 'deciduous-conifer'
  | 'evergreen-broadleaf'
  | 'sensitive-shrub'
  | 'swollen-base'
  | 'tropical-broadleaf';

/** How well plants of a group bear root and top loss. Common practice, no source. */
export interface GroupTolerance {
  name: string;
  /** root and top tolerance: 1 bears most */
  rootTolerance: Param;
  topTolerance: Param;
  /** reserve below which no severe work is done, 0..1 */
  floor: Param;
  /** largest share of the root to take at once */
  largestRootCut: Param;
  /** crown regained in a season after a cut-back */
  crownRecovery: Param;
}

const row = (
  name: string,
  root: number,
  top: number,
  floor: number,
  cut: number,
  crown: number,
): GroupTolerance => ({
  name,
  rootTolerance: cp(root, ''),
  topTolerance: cp(top, ''),
  floor: cp(floor, ''),
  largestRootCut: cp(cut, 'share of root'),
  crownRecovery: cp(crown, 'per season'),
});

export const GROWTH_GROUPS: Record<GrowthGroup, GroupTolerance> = {
  'deciduous-broadleaf': row('deciduous broadleaf', 1, 1, 0.4, 0.8, 0.6),
  'oak-like': row('oak-like', 0.6, 0.9, 0.4, 0.5, 0.6),
  pine: row('pine', 0.6, 0.7, 0.5, 0.6, 0.45),
  'juniper-cypress': row('juniper and cypress', 0.6, 0.6, 0.5, 0.5, 0.3),
  'deciduous-conifer': row('deciduous conifer', 0.8, 0.9, 0.4, 0.8, 0.6),
  'evergreen-broadleaf': row('evergreen broadleaf', 0.7, 0.9, 0.4, 0.5, 0.5),
  'sensitive-shrub': row('sensitive shrub', 0.3, 0.8, 0.6, 0.2, 0.45),
  'swollen-base': row('swollen-base succulent', 0.9, 0.9, 0.4, 0.7, 0.45),
  'tropical-broadleaf': row('tropical broadleaf', 1, 1, 0.4, 0.8, 0.6),
};

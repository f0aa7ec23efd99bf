import type { BudClass, Phenology } from '../../src/season/observe.ts';
import type { CuttingWood } from '../survival.ts';
import type { GrowthGroup } from '../growth-groups.ts';

/** Free growth of the trunk: which published or trade range a taxon's ring width falls in. */
export type Pace = 'very-vigorous' | 'vigorous' | 'medium' | 'pine' | 'juniper' | 'slow';
/** Seed that does not keep is sown as it ripens. */
export type SowTime = 'early summer' | 'autumn';

/** How readily something roots; the shares stand beside the taxa. */
export type Ease = 'sure' | 'easy' | 'fair' | 'hard' | 'hardly';
export type RootsFrom = Record<CuttingWood, Ease>;

/** What seed of a kind wants; days, degree days above 5 °C, years. */
export interface Seed {
  warmth: number;
  cold?: number;
  warm?: number;
  sown?: SowTime;
  scarify?: true;
  keeps?: number;
}

/** A kind as it is written down. Every value is common practice, no source. */
export interface Kind {
  botanical: string;
  name: string;
  code: string;
  group: GrowthGroup;
  pace: Pace;
  bark: 'smooth' | 'coarse';
  sproutsOld: boolean;
  hardyTo: number;
  phenology?: Phenology;
  buds?: BudClass;
  seed: Seed;
  roots: RootsFrom;
  layering: Ease;
  caution?: string;
}

const ease = (softwood: Ease, semiRipe: Ease, hardwood: Ease, root: Ease, water: Ease): RootsFrom => ({
  softwood,
  'semi-ripe': semiRipe,
  hardwood,
  root,
  water,
});

/** Ways of rooting that several kinds share. */
export const WAYS = {
  willow: ease('sure', 'sure', 'sure', 'easy', 'sure'),
  easy: ease('easy', 'easy', 'easy', 'fair', 'fair'),
  elm: ease('easy', 'easy', 'fair', 'easy', 'hard'),
  maple: ease('fair', 'hard', 'hardly', 'hardly', 'hardly'),
  seedOnly: ease('hardly', 'hardly', 'hardly', 'hardly', 'hardly'),
  seldom: ease('hard', 'hard', 'hardly', 'hardly', 'hardly'),
  fromRoots: ease('hard', 'hard', 'hardly', 'easy', 'hardly'),
  shrub: ease('easy', 'easy', 'fair', 'hard', 'hard'),
  evergreen: ease('fair', 'easy', 'hard', 'hardly', 'hardly'),
  rowan: ease('fair', 'hard', 'hardly', 'hard', 'hardly'),
  yew: ease('hard', 'fair', 'fair', 'hardly', 'hardly'),
  juniper: ease('hard', 'easy', 'fair', 'hardly', 'hardly'),
  fig: ease('easy', 'easy', 'easy', 'hard', 'easy'),
  tropical: ease('easy', 'fair', 'hard', 'hardly', 'hard'),
} as const;

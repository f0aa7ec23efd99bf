import type { BudClass, Phenology } from '../../src/season/observe.ts';
import { cp, memory, type Param } from '../../src/params/index.ts';
import type { GrowthGroup } from '../growth-groups.ts';
import { BROADLEAF } from './broadleaf.ts';
import { CONIFERS } from './conifers.ts';
import { EVERGREEN } from './evergreen.ts';
import type { CuttingWood } from '../survival.ts';
import type { Ease, Pace, RootsFrom, SowTime } from './row.ts';

export type { CuttingWood, Ease, Pace, RootsFrom, SowTime };

export type TaxonId = string;

export interface Taxon {
  id: TaxonId;
  /** on one of a nursery's own: the library's taxon it was made from */
  like?: TaxonId;
  botanical: string;
  name: string;
  /** two letters used in cohort codes */
  code: string;
  group: GrowthGroup;
  phenology: Phenology;
  /** how early its buds are among those of its phenology */
  buds: BudClass;
  pace: Pace;
  bark: 'smooth' | 'coarse';
  /** sprouts from old bare wood */
  sproutsOld: boolean;
  /** minimum it bears in a pot, °C */
  hardyTo: Param;
  /** degree days base 5 °C from sowing to emergence, seed ready to grow */
  emergence: Param;
  /** cold days seed wants before it grows; 0: none */
  stratification: Param;
  /** warm moist days it wants before the cold */
  warmStratification?: Param;
  /** hard seed: nicked, filed or steeped in hot water first */
  scarify?: true;
  /** sown as it ripens: it does not keep */
  sown?: SowTime;
  /** years dry seed keeps in the cool, at most */
  keeps: Param;
  /** how readily each kind of cutting roots, and a layer */
  roots: RootsFrom;
  layering: Ease;
  caution?: string;
}

/** Trunk ring in free growth, mm a season. Common practice, no source. */
export const FREE_RING: Record<Pace, Param> = {
  'very-vigorous': cp(10, 'mm/season'),
  vigorous: cp(7.7, 'mm/season'),
  medium: cp(5.5, 'mm/season'),
  pine: cp(4.5, 'mm/season'),
  juniper: cp(3.5, 'mm/season'),
  slow: cp(2.5, 'mm/season'),
};

const MURRAY = 'Murray, Cannell & Smith 1989, J. Appl. Ecology 26:693–700 (chilling class of beech)';

/** Days below 5 °C that each phenology wants before warmth alone decides. */
export const CHILL_NEED: Record<Phenology, Param> = {
  standard: cp(8, 'days below 5 °C'),
  'high-chill': memory(100, 'days below 5 °C', MURRAY),
  'warm-season': cp(0, 'days below 5 °C'),
};

/** Share of cuttings that root, and of layers that fill, by ease. Common practice, no source. */
export const EASE: Record<Ease, { words: string; cuttings: Param; layers: Param; fills: Param }> = {
  sure: {
    words: 'roots almost always',
    cuttings: cp(0.92, 'share'),
    layers: cp(0.95, 'share'),
    fills: cp(0.9, 'of the warmth of an easy kind'),
  },
  easy: {
    words: 'roots readily',
    cuttings: cp(0.75, 'share'),
    layers: cp(0.88, 'share'),
    fills: cp(1, 'of the warmth of an easy kind'),
  },
  fair: {
    words: 'roots about as often as not',
    cuttings: cp(0.5, 'share'),
    layers: cp(0.78, 'share'),
    fills: cp(1.3, 'of the warmth of an easy kind'),
  },
  hard: {
    words: 'roots seldom',
    cuttings: cp(0.2, 'share'),
    layers: cp(0.55, 'share'),
    fills: cp(1.8, 'of the warmth of an easy kind'),
  },
  hardly: {
    words: 'hardly ever roots',
    cuttings: cp(0.03, 'share'),
    layers: cp(0.2, 'share'),
    fills: cp(2.6, 'of the warmth of an easy kind'),
  },
};

/** Years dry seed keeps where nothing else is said. */
const KEEPS = 3;

export const TAXA: readonly Taxon[] = [...BROADLEAF, ...CONIFERS, ...EVERGREEN].map(
  ({ botanical, hardyTo, seed, ...t }) => ({
    ...t,
    botanical,
    id: botanical.toLowerCase().replace(/\W+/g, '-'),
    phenology: t.phenology ?? 'standard',
    buds: t.buds ?? 'middle',
    hardyTo: cp(hardyTo, '°C'),
    emergence: cp(seed.warmth, '°C·d above 5 °C'),
    stratification: cp(seed.cold ?? 0, 'days'),
    ...(seed.warm === undefined ? {} : { warmStratification: cp(seed.warm, 'days') }),
    ...(seed.scarify ? { scarify: true as const } : {}),
    ...(seed.sown ? { sown: seed.sown } : {}),
    keeps: cp(seed.sown ? 0 : (seed.keeps ?? KEEPS), 'years'),
  }),
);

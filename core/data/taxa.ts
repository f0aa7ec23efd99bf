import { ROWS } from './taxa-rows.ts';
import { cp, memory, type Param } from '../src/params/index.ts';
import type { Phenology } from '../src/season/book.ts';
import type { GrowthGroup } from './growth-groups.ts';

export type TaxonId = string;
/** Free growth of the trunk: which published or trade range a taxon's ring width falls in. */
export type Pace = 'very-vigorous' | 'vigorous' | 'medium' | 'pine' | 'juniper' | 'slow';

export interface Taxon {
  id: TaxonId;
  botanical: string;
  name: string;
  /** two letters used in cohort codes */
  code: string;
  group: GrowthGroup;
  phenology: Phenology;
  pace: Pace;
  bark: 'smooth' | 'coarse';
  /** sprouts from old bare wood */
  sproutsOld: boolean;
  /** minimum it bears in a pot, °C */
  hardyTo: Param;
  /** degree days base 5 °C from sowing to emergence, seed ready to grow */
  emergence?: Param;
  /** cold days seed wants before it grows */
  stratification?: Param;
  /** warm moist days it wants before the cold */
  warmStratification?: Param;
  /** sown as it falls: it does not keep */
  fresh?: boolean;
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

export const TAXA: readonly Taxon[] = ROWS.map(
  ([botanical, name, code, group, pace, bark, sproutsOld, hardyTo, more = {}]) => {
    const { cold, warm, warmth, ...rest } = more;
    return {
      id: botanical.toLowerCase().replace(/\W+/g, '-'),
      botanical,
      name,
      code,
      group,
      phenology: 'standard' as const,
      pace,
      bark,
      sproutsOld,
      hardyTo: cp(hardyTo, '°C'),
      ...(warmth === undefined ? {} : { emergence: cp(warmth, '°C·d above 5 °C') }),
      ...(cold === undefined ? {} : { stratification: cp(cold, 'days') }),
      ...(warm === undefined ? {} : { warmStratification: cp(warm, 'days') }),
      ...rest,
    };
  },
);

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

type Row = [
  botanical: string,
  name: string,
  code: string,
  group: GrowthGroup,
  pace: Pace,
  bark: 'smooth' | 'coarse',
  sproutsOld: boolean,
  hardyTo: number,
  more?: Partial<Taxon> & { cold?: number; warmth?: number },
];

const D = 'deciduous-broadleaf';
const ROWS: Row[] = [
  ['Acer campestre', 'field maple', 'FM', D, 'vigorous', 'coarse', true, -15, { cold: 120, warmth: 110 }],
  ['Acer palmatum', 'Japanese maple', 'JM', D, 'medium', 'smooth', true, -10, { cold: 100, warmth: 120 }],
  [
    'Carpinus betulus',
    'European hornbeam',
    'HB',
    D,
    'vigorous',
    'smooth',
    true,
    -15,
    { cold: 110, warmth: 120 },
  ],
  [
    'Fagus sylvatica',
    'European beech',
    'EB',
    D,
    'medium',
    'smooth',
    false,
    -15,
    { cold: 90, warmth: 110, phenology: 'high-chill' },
  ],
  ['Cornus mas', 'cornelian cherry', 'CC', D, 'medium', 'coarse', true, -15, { cold: 120, warmth: 130 }],
  [
    'Tilia cordata',
    'small-leaved lime',
    'TC',
    D,
    'vigorous',
    'coarse',
    true,
    -15,
    { cold: 130, warmth: 130 },
  ],
  ['Ligustrum ovalifolium', 'oval-leaved privet', 'OP', D, 'very-vigorous', 'smooth', true, -8],
  ['Ginkgo biloba', 'ginkgo', 'GB', D, 'medium', 'coarse', true, -12, { cold: 60, warmth: 220 }],
  [
    'Parrotia persica',
    'Persian ironwood',
    'PP',
    D,
    'medium',
    'smooth',
    true,
    -12,
    { cold: 110, warmth: 130 },
  ],
  ['Ulmus minor', 'field elm', 'FE', D, 'very-vigorous', 'coarse', true, -15],
  ['Crataegus monogyna', 'hawthorn', 'HT', D, 'medium', 'coarse', true, -15, { cold: 120, warmth: 110 }],
  ['Quercus robur', 'English oak', 'EO', 'oak-like', 'medium', 'coarse', true, -12, { warmth: 200 }],
  ['Quercus pubescens', 'downy oak', 'DO', 'oak-like', 'slow', 'coarse', true, -10, { warmth: 210 }],
  ['Pinus sylvestris', 'Scots pine', 'SP', 'pine', 'pine', 'coarse', false, -15, { cold: 30, warmth: 140 }],
  [
    'Pinus thunbergii',
    'Japanese black pine',
    'BP',
    'pine',
    'pine',
    'coarse',
    false,
    -8,
    { cold: 30, warmth: 150 },
  ],
  ['Pinus mugo', 'mountain pine', 'MP', 'pine', 'slow', 'coarse', false, -18, { cold: 30, warmth: 140 }],
  ['Taxus baccata', 'yew', 'YW', 'juniper-cypress', 'slow', 'coarse', true, -12],
  ['Juniperus chinensis', 'Chinese juniper', 'CJ', 'juniper-cypress', 'juniper', 'coarse', false, -12],
  [
    'Larix decidua',
    'European larch',
    'EL',
    'deciduous-conifer',
    'vigorous',
    'coarse',
    false,
    -18,
    { cold: 30, warmth: 120 },
  ],
  [
    'Metasequoia glyptostroboides',
    'dawn redwood',
    'DR',
    'deciduous-conifer',
    'very-vigorous',
    'coarse',
    true,
    -12,
  ],
  ['Lavandula angustifolia', 'lavender', 'LV', 'sensitive-shrub', 'slow', 'coarse', false, -8],
  [
    'Adenium obesum',
    'desert rose',
    'DS',
    'swollen-base',
    'medium',
    'smooth',
    true,
    10,
    {
      phenology: 'warm-season',
      caution: 'The sap is poisonous: gloves, nothing near eyes or mouth.',
    },
  ],
  [
    'Murraya paniculata',
    'orange jasmine',
    'OJ',
    'tropical-broadleaf',
    'slow',
    'smooth',
    true,
    5,
    { phenology: 'warm-season' },
  ],
  [
    'Ficus microcarpa',
    'small-fruited fig',
    'SF',
    'tropical-broadleaf',
    'vigorous',
    'smooth',
    true,
    7,
    {
      phenology: 'warm-season',
      caution: 'The sap irritates skin and eyes: gloves and eye protection.',
    },
  ],
  [
    'Acer buergerianum',
    'trident maple',
    'TM',
    D,
    'very-vigorous',
    'coarse',
    true,
    -8,
    { cold: 90, warmth: 130 },
  ],
  ['Ulmus parvifolia', 'Chinese elm', 'CE', D, 'very-vigorous', 'coarse', true, -10],
  ['Zelkova serrata', 'keaki', 'ZK', D, 'vigorous', 'smooth', true, -12, { cold: 60, warmth: 130 }],
  ['Prunus spinosa', 'blackthorn', 'BT', D, 'medium', 'coarse', true, -15, { cold: 140, warmth: 110 }],
  ['Prunus mahaleb', 'mahaleb cherry', 'MC', D, 'vigorous', 'smooth', true, -12, { cold: 100, warmth: 110 }],
  ['Malus sylvestris', 'crab apple', 'CA', D, 'vigorous', 'coarse', true, -15, { cold: 90, warmth: 100 }],
  ['Betula pendula', 'silver birch', 'SB', D, 'vigorous', 'smooth', false, -18, { cold: 30, warmth: 120 }],
  [
    'Alnus glutinosa',
    'common alder',
    'AG',
    D,
    'very-vigorous',
    'coarse',
    true,
    -15,
    { cold: 30, warmth: 120 },
  ],
  [
    'Salix babylonica',
    'weeping willow',
    'WW',
    D,
    'very-vigorous',
    'coarse',
    true,
    -12,
    { caution: 'Keep willows away from drains and foundations.' },
  ],
  ['Morus alba', 'white mulberry', 'WM', D, 'vigorous', 'coarse', true, -12, { cold: 60, warmth: 150 }],
  ['Celtis australis', 'nettle tree', 'NT', D, 'vigorous', 'smooth', true, -10, { cold: 90, warmth: 150 }],
  ['Punica granatum', 'pomegranate', 'PG', D, 'medium', 'coarse', true, -6, { warmth: 220 }],
  [
    'Ficus carica',
    'common fig',
    'FC',
    D,
    'vigorous',
    'smooth',
    true,
    -6,
    { caution: 'The sap irritates skin and eyes: gloves and eye protection.' },
  ],
  ['Wisteria sinensis', 'Chinese wisteria', 'WS', D, 'vigorous', 'coarse', true, -10],
  ['Quercus ilex', 'holm oak', 'HO', 'oak-like', 'slow', 'coarse', true, -8, { warmth: 210 }],
  ['Quercus suber', 'cork oak', 'CO', 'oak-like', 'medium', 'coarse', true, -7, { warmth: 210 }],
  ['Olea europaea', 'olive', 'OL', 'evergreen-broadleaf', 'slow', 'coarse', true, -5],
  ['Buxus sempervirens', 'box', 'BX', 'evergreen-broadleaf', 'slow', 'coarse', true, -12],
  [
    'Pyracantha coccinea',
    'firethorn',
    'FT',
    'evergreen-broadleaf',
    'vigorous',
    'coarse',
    true,
    -12,
    { cold: 90, warmth: 120 },
  ],
  ['Cotoneaster horizontalis', 'rock cotoneaster', 'CH', 'evergreen-broadleaf', 'slow', 'smooth', true, -15],
  ['Rhododendron indicum', 'satsuki azalea', 'RI', 'evergreen-broadleaf', 'slow', 'smooth', true, -6],
  [
    'Pistacia lentiscus',
    'mastic',
    'PL',
    'evergreen-broadleaf',
    'medium',
    'coarse',
    true,
    -6,
    { warmth: 180 },
  ],
  [
    'Pinus parviflora',
    'Japanese white pine',
    'WP',
    'pine',
    'slow',
    'coarse',
    false,
    -12,
    { cold: 90, warmth: 150 },
  ],
  ['Pinus nigra', 'black pine', 'NP', 'pine', 'pine', 'coarse', false, -15, { cold: 30, warmth: 140 }],
  ['Picea abies', 'Norway spruce', 'NS', 'pine', 'slow', 'coarse', false, -18, { cold: 30, warmth: 140 }],
  ['Juniperus communis', 'common juniper', 'JC', 'juniper-cypress', 'juniper', 'coarse', false, -18],
  ['Juniperus procumbens', 'creeping juniper', 'JP', 'juniper-cypress', 'juniper', 'coarse', false, -12],
  ['Chamaecyparis obtusa', 'hinoki cypress', 'HC', 'juniper-cypress', 'slow', 'coarse', false, -10],
  ['Cryptomeria japonica', 'Japanese cedar', 'CR', 'juniper-cypress', 'medium', 'coarse', true, -10],
  [
    'Taxodium distichum',
    'swamp cypress',
    'SC',
    'deciduous-conifer',
    'vigorous',
    'coarse',
    true,
    -12,
    { cold: 60, warmth: 160 },
  ],
  ['Salvia rosmarinus', 'rosemary', 'RM', 'sensitive-shrub', 'medium', 'coarse', false, -6],
  ['Myrtus communis', 'myrtle', 'MY', 'sensitive-shrub', 'slow', 'smooth', true, -4],
  [
    'Bougainvillea glabra',
    'paper flower',
    'BG',
    'tropical-broadleaf',
    'vigorous',
    'coarse',
    true,
    4,
    { phenology: 'warm-season' },
  ],
  [
    'Portulacaria afra',
    'elephant bush',
    'PA',
    'swollen-base',
    'medium',
    'smooth',
    true,
    5,
    { phenology: 'warm-season' },
  ],
];

export const TAXA: readonly Taxon[] = ROWS.map(
  ([botanical, name, code, group, pace, bark, sproutsOld, hardyTo, more = {}]) => {
    const { cold, warmth, ...rest } = more;
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
      ...rest,
    };
  },
);

/** What mixes are made of, and the mixes of the library. */
import type { Basis } from '../src/params/index.ts';
import type { GrowthGroup } from '../src/taxa/index.ts';

/** A material as it comes from the bag, sieved. */
export interface Component {
  id: string;
  name: string;
  /** grain size, mm: nearly all of it lies between */
  grain: [number, number];
  /** room between grains of one sort, of the volume */
  between: number;
  /** room inside the grains, of their own volume, and the part of the grain that water stays in */
  inside: number;
  holds: number;
  /** density of the stuff without any pores, g/cm³ */
  solid: number;
  /** how alike its pores are: the n of van Genuchten 1980 */
  alike: number;
  /** share lost when it is sieved before use */
  sieved: number;
  dusty: boolean;
  basis: Basis;
}

const CP: Basis = 'common practice';
const MEMORY: Basis = 'from memory';

type Row = [
  id: string,
  name: string,
  grain: [number, number],
  between: number,
  inside: number,
  holds: number,
  solid: number,
  alike: number,
  sieved: number,
  dusty: boolean,
  basis: Basis,
];

const ROWS: readonly Row[] = [
  ['akadama', 'akadama', [2, 6], 0.41, 0.5, 0.45, 2.6, 4.5, 0.12, true, CP],
  ['akadama-fine', 'akadama, fine', [1, 3], 0.4, 0.5, 0.45, 2.6, 4.5, 0.18, true, CP],
  ['kanuma', 'kanuma', [2, 6], 0.42, 0.66, 0.55, 2.5, 4.5, 0.15, true, CP],
  ['pumice', 'pumice', [2, 6], 0.42, 0.55, 0.28, 2.4, 4.5, 0.08, true, CP],
  ['pumice-coarse', 'pumice, coarse', [5, 12], 0.43, 0.55, 0.25, 2.4, 4.5, 0.03, true, CP],
  ['lava', 'lava', [2, 6], 0.43, 0.32, 0.12, 2.9, 4.5, 0.08, true, CP],
  ['clay', 'calcined clay', [1, 4], 0.41, 0.52, 0.45, 2.6, 4.5, 0.05, true, CP],
  ['grit', 'crushed granite grit', [2, 5], 0.42, 0, 0, 2.65, 4.5, 0.05, true, CP],
  ['sand', 'coarse sand', [0.5, 2], 0.39, 0, 0, 2.65, 3.5, 0, true, CP],
  ['perlite', 'perlite', [2, 5], 0.45, 0.86, 0.2, 2.4, 4, 0.05, true, CP],
  ['bark', 'pine bark, sieved', [3, 9], 0.43, 0.7, 0.5, 1.5, 2.5, 0.15, false, MEMORY],
  ['bark-fine', 'pine bark, composted fine', [0.5, 5], 0.4, 0.7, 0.6, 1.5, 1.9, 0, false, MEMORY],
  ['coir', 'coir', [0.5, 3], 0.55, 0.82, 0.72, 1.5, 1.8, 0, false, MEMORY],
  ['peat', 'sphagnum peat', [0.3, 2.5], 0.5, 0.85, 0.8, 1.55, 1.8, 0, false, MEMORY],
  ['compost', 'leaf mould', [0.2, 3], 0.45, 0.65, 0.6, 1.9, 1.6, 0.1, false, CP],
  ['loam', 'loam', [0.002, 0.2], 0.47, 0, 0, 2.65, 1.25, 0, false, CP],
  // what comes out of pots: mineral for the most part, its sharpest grains worn; looked through before it is used
  ['old-mix', 'old mix, sieved', [1.5, 6], 0.41, 0.45, 0.38, 2.5, 3, 0.25, true, CP],
];

/** Old mix comes from pots, never from a bag. */
export const OLD_MIX = 'old-mix';

export const COMPONENTS: readonly Component[] = ROWS.map(
  ([id, name, grain, between, inside, holds, solid, alike, sieved, dusty, basis]) => ({
    id,
    name,
    grain,
    between,
    inside,
    holds,
    solid,
    alike,
    sieved,
    dusty,
    basis,
  }),
);

/** So many parts by volume of a component. */
export interface Part {
  component: string;
  parts: number;
}

/** A coarser mix below the roots: so much of the depth of the pot, 0..1. */
export interface Under {
  share: number;
  parts: Part[];
}

export interface Recipe {
  id: string;
  name: string;
  parts: readonly Part[];
}

const recipe = (id: string, name: string, ...parts: [component: string, parts: number][]): Recipe => ({
  id,
  name,
  parts: parts.map(([component, n]) => ({ component, parts: n })),
});

/** Mixes of the library. Common practice, no source. */
export const LIBRARY_RECIPES: readonly Recipe[] = [
  recipe('mineral', 'one mineral mix', ['akadama', 1], ['pumice', 1], ['lava', 1]),
  recipe('bark-third', 'mineral mix with a third of sieved bark', ['pumice', 1], ['clay', 1], ['bark', 1]),
  recipe('bark-fifth', 'mineral mix with a fifth of sieved bark', ['pumice', 2], ['clay', 2], ['bark', 1]),
  recipe('coarse', 'coarse mineral mix', ['akadama', 1], ['pumice', 1], ['grit', 1]),
  recipe('lean', 'lean gritty mix', ['grit', 2], ['pumice', 2], ['bark-fine', 1]),
  recipe('draining', 'fast-draining grit and pumice', ['grit', 1], ['pumice-coarse', 2]),
  recipe('coir-third', 'mineral mix with a third of coir', ['pumice', 1], ['perlite', 1], ['coir', 1]),
  recipe('acid', 'acid mix of kanuma', ['kanuma', 3], ['pumice', 1]),
  recipe('potting', 'ordinary potting mix', ['peat', 3], ['perlite', 1]),
  recipe('sowing', 'sowing mix', ['coir', 1], ['sand', 1], ['perlite', 1]),
];

/** What a growth group is usually potted into. Common practice, no source. */
export const RECIPE_OF_GROUP: Readonly<Record<GrowthGroup, string>> = {
  'deciduous-broadleaf': 'bark-third',
  'oak-like': 'bark-third',
  pine: 'coarse',
  'juniper-cypress': 'coarse',
  'deciduous-conifer': 'bark-third',
  'evergreen-broadleaf': 'bark-fifth',
  'sensitive-shrub': 'lean',
  'swollen-base': 'draining',
  'tropical-broadleaf': 'coir-third',
};

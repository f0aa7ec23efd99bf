/** Ways of thickening a trunk, each with the band of what it does to the year's wood, and how well that is known. */
import type { GrowthGroup } from './growth-groups.ts';
import { cp, type Basis } from '../src/params/index.ts';

/**
 * Callus from each side of a wound in a season, against the ring laid down there; the form is that of Neely 1988,
 * Journal of Arboriculture 14:148, the figure common practice.
 */
export const CALLUS_TO_RING = cp(1.5, 'of the ring there');

/** What a way works on: all of the year's wood, or the swelling of the base alone. */
export type Works = 'wood' | 'base';

export interface Method {
  id: string;
  name: string;
  works: Works;
  /** wood of a season with it against that without; one in ten less, in the middle, one in ten more */
  p10: number;
  p50: number;
  p90: number;
  basis: Basis;
  /** what is said of it, and what it costs */
  words: string;
  /** hardly more than a claim */
  weak?: boolean;
  /** the only group that bears it; others die of it */
  only?: GrowthGroup;
}

export const METHODS: readonly Method[] = [
  {
    id: 'tile',
    name: 'Tile, slate or board under the roots',
    works: 'base',
    p10: 1.02,
    p50: 1.12,
    p90: 1.3,
    basis: 'common practice',
    words: 'roots spread flat and widen the base',
  },
  {
    id: 'tourniquet',
    name: 'Tourniquet or cage wire at the base',
    works: 'base',
    p10: 1.05,
    p50: 1.25,
    p90: 1.5,
    basis: 'common practice',
    words: 'sap dams above the wire; off or bitten in before it cuts',
  },
  {
    id: 'radial',
    name: 'Radial root work',
    works: 'base',
    p10: 1,
    p50: 1.08,
    p90: 1.2,
    basis: 'common practice',
    words: 'roots on all sides, corrected at each opening',
  },
  {
    id: 'flare-cuts',
    name: 'Bark nicked at the flare',
    works: 'base',
    p10: 1,
    p50: 1.06,
    p90: 1.18,
    basis: 'common practice',
    words: 'callus widens the flare; wounds in the mix',
  },
  {
    id: 'fusing',
    name: 'Stems of the same kind fused at the base',
    works: 'base',
    p10: 1.2,
    p50: 1.5,
    p90: 1.9,
    basis: 'common practice',
    words: 'bound or overlapped until they are one; it cannot be undone',
  },
  {
    id: 'ground-layer',
    name: 'Ground layer: new roots above the old base',
    works: 'base',
    p10: 1.02,
    p50: 1.15,
    p90: 1.35,
    basis: 'common practice',
    words: 'ringed at the soil and mounded; a new flare all round',
  },
  {
    id: 'whips',
    name: 'Free whips on a juniper',
    works: 'wood',
    p10: 1.02,
    p50: 1.1,
    p90: 1.25,
    basis: 'common practice',
    words: 'long shoots run free and come off before they shade the pads',
    only: 'juniper-cypress',
  },
  {
    id: 'shrivelled',
    name: 'Shrivelled dry before it is planted',
    works: 'base',
    p10: 0.9,
    p50: 1.03,
    p90: 1.25,
    basis: 'one grower',
    words: 'every cut dry before planting and before the first water; other plants die of it',
    weak: true,
    only: 'swollen-base',
  },
  {
    id: 'wind',
    name: 'Free in the wind',
    works: 'wood',
    p10: 1,
    p50: 1.06,
    p90: 1.15,
    basis: 'common practice',
    words: 'stress wood; unstaked and in the open',
  },
  {
    id: 'brushing',
    name: 'Brushing by hand',
    works: 'wood',
    p10: 0.95,
    p50: 1.02,
    p90: 1.12,
    basis: 'one grower',
    words: 'daily, on young stock; little is known',
    weak: true,
  },
  {
    id: 'silica',
    name: 'Silica feed',
    works: 'wood',
    p10: 0.93,
    p50: 1.01,
    p90: 1.1,
    basis: 'one grower',
    words: 'said to stiffen stems; may do nothing',
    weak: true,
  },
  {
    id: 'escaped',
    name: 'Roots let through into the ground',
    works: 'wood',
    p10: 1.15,
    p50: 1.4,
    p90: 1.8,
    basis: 'common practice',
    words: 'nearly as in the ground; costs a severe root cut at the end',
  },
];

import type { Day } from '../calendar/index.ts';

/** Seasonal events of a place that windows hang on. */
export const MARKERS = [
  'midwinter',
  'roots-active',
  'bud-swell',
  'bud-swell-late',
  'bud-break',
  'bud-break-late',
  'candles-moving',
  'last-frost',
  'warm-season',
  'flush-hard',
  'midsummer',
  'warm-ends',
  'first-frost',
  'roots-rest',
  'leaf-fall-done',
] as const;
export type MarkerName = (typeof MARKERS)[number];

/**
 * Alternating chilling–forcing model of bud swell, in the form of Cannell & Smith 1983
 * (Journal of Applied Ecology 20:951–963): forcing above 5 °C must reach a + b·e^(−k·chill days).
 */
export interface ChillForcing {
  a: number;
  b: number;
  k: number;
}
export const STANDARD_CHILL: ChillForcing = { a: 60, b: 300, k: 0.03 };
export const HIGH_CHILL: ChillForcing = { a: 60, b: 800, k: 0.025 };

/** Thresholds of the other markers: common practice turned into numbers, no source. */
export const MARKER_RULES = {
  chillBase: 5,
  forcingBase: 5,
  /** degree days base 5 °C from bud swell to leaves showing, and from there to a hardened first flush */
  swellToBreak: 70,
  breakToHard: 420,
  /** degree days base 5 °C from midwinter to candles moving on pines */
  candles: 170,
  /** roots work while the lagged mean air temperature is at or above this, °C */
  rootsBase: 6,
  rootsLag: 15,
  /**
   * Leaf fall: cold below a base, counted once the day is shorter than so many hours, in the form of Delpierre
   * et al. 2009, Agricultural and Forest Meteorology 149:938–948 (from memory); base, hours and sum are fitted.
   */
  leafFallBase: 20,
  leafFallDayLength: 13.5,
  leafFallSum: 500,
  /** where too little cold comes, leaves go by the short days: days from the shortest day, and their spread */
  leafFallByLight: -4,
  leafFallByLightSd: 8,
  /** coldest month's mean above which winters bring down no leaves and wake no buds, °C */
  tooWarm: 15,
  /** warm season: fortnight mean at or above, °C, and day length at or above, h; it ends below either */
  warmMean: 18,
  warmDayLength: 12,
  warmEndsMean: 16,
  warmEndsDayLength: 10.5,
  /** longest a warm season is counted, and how long the rains last where they rule, days */
  warmLongest: 270,
  wetLasts: 170,
} as const;

/** Markers that were seen with the eye, or follow from what was seen; they replace the model's day. */
export type Fixed = Partial<Record<MarkerName, Day>>;

import type { RefusalCode } from '@gonimos/core/course';

/** Refusals a plan may hold, each with its reason in the garden; a step without a date for anything else is a fault. */
export const ALLOWED: Partial<Record<RefusalCode, string>> = {
  'stays-in': 'fewer than six weeks of summer nights are safe for the kind: it is not taken out',
  'no-cold': 'no night is too cold for the kind: it stands out all year and is not brought in',
  'follows-refused': 'what it follows is not done, so it is not asked for',
};

/** Months, north of the equator; January is 1, and a span may run over the year’s end. South lies half a year away. */
export type Months = [from: number, to: number];
export type Zone = 'cold' | 'temperate' | 'mild';
export type Sort = 'deciduous' | 'conifer' | 'evergreen';

const OPENINGS: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [3, 5], temperate: [1, 4], mild: [1, 4] },
  conifer: { cold: [4, 5], temperate: [1, 5], mild: [1, 3] },
  evergreen: { cold: [4, 7], temperate: [2, 5], mild: [2, 4] },
};
const CHOPS: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [3, 5], temperate: [1, 4], mild: [1, 4] },
  conifer: { cold: [2, 4], temperate: [1, 3], mild: [1, 2] },
  evergreen: { cold: [3, 5], temperate: [1, 4], mild: [1, 3] },
};
const LIFTS: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [3, 5], temperate: [1, 4], mild: [1, 4] },
  conifer: { cold: [4, 5], temperate: [2, 4], mild: [1, 3] },
  evergreen: { cold: [3, 5], temperate: [1, 4], mild: [1, 3] },
};
const WIRING: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [3, 7], temperate: [1, 7], mild: [1, 4] },
  conifer: { cold: [4, 6], temperate: [1, 6], mild: [1, 4] },
  evergreen: { cold: [3, 7], temperate: [2, 6], mild: [1, 4] },
};
const LAYERS: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [5, 7], temperate: [3, 7], mild: [3, 5] },
  conifer: { cold: [6, 7], temperate: [4, 7], mild: [3, 5] },
  evergreen: { cold: [5, 7], temperate: [3, 7], mild: [3, 5] },
};
const SEMI_RIPE: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [5, 8], temperate: [4, 8], mild: [3, 5] },
  // conifers in autumn to late winter
  conifer: { cold: [11, 3], temperate: [11, 3], mild: [12, 3] },
  evergreen: { cold: [5, 8], temperate: [4, 8], mild: [3, 5] },
};
const LEAFLESS: Record<Sort, Record<Zone, Months>> = {
  deciduous: { cold: [2, 3], temperate: [12, 2], mild: [12, 2] },
  conifer: { cold: [2, 3], temperate: [12, 2], mild: [12, 2] },
  evergreen: { cold: [2, 3], temperate: [12, 2], mild: [12, 2] },
};

/** Operations of kinds ruled by cold, by sort of kind and by how cold the winters are. Common practice, no source. */
export const BY_COLD: Record<string, Record<Sort, Record<Zone, Months>>> = {
  'root-correct': OPENINGS,
  'root-work': OPENINGS,
  'training-pot': OPENINGS,
  chop: CHOPS,
  'half-chop': CHOPS,
  lift: LIFTS,
  collect: LIFTS,
  wire: WIRING,
  'layer-ring': LAYERS,
  stick: SEMI_RIPE,
  'stick-hardwood': LEAFLESS,
  'hardwood-in-water': LEAFLESS,
};
/** Operations of kinds ruled by warmth: the warm or wet half of the year, wherever. Common practice, no source. */
export const BY_WARMTH: Record<string, Months> = {
  'root-correct': [3, 9],
  'root-work': [3, 9],
  'training-pot': [3, 9],
  chop: [3, 10],
  lift: [3, 9],
  'layer-ring': [3, 8],
  stick: [3, 9],
};

/** Days between a step and the one it hangs on, by operation: from the first one’s day to the second’s opening. */
export const LAGS: Record<string, [least: number, most: number]> = {
  'root-work>survival-look': [12, 12],
  'root-work>tie-check': [14, 340],
  'root-work>moss-off': [14, 95],
  'root-correct>tie-check': [14, 340],
  'layer-sever>moss-off': [14, 240],
  'chop>shoot-choice': [30, 130],
  'chop>stub-off': [330, 540],
  'wire>wire-check': [14, 360],
  'stake>stake-off': [160, 380],
  'repellent>repellent-again': [42, 42],
  'seedling-cut>mist': [0, 0],
};
/** Days from one step of a programme to another, by key. */
export const SPANS: [from: string, to: string, least: number, most: number][] = [
  // first root work at nine to twelve months from the seedling, give or take the season
  ['emergence', 'correct', 240, 400],
  // first wiring in the same sitting
  ['correct', 'wire-1', 0, 1],
  ['cells', 'plug', 40, 200],
  // lifted from the ground: first root work two to three years on
  ['collect', 'roots-2', 700, 1500],
  ['plant-out', 'tile-look', 690, 760],
  ['half', 'chop', 330, 740],
];

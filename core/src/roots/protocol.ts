import { cp } from '../params/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import type { RootAngle } from './schools.ts';

/** Series work on seedlings: what is done to each. */
export interface Protocol {
  /** plugs from air-pruning cells are potted as they are */
  intact: boolean;
  shape: 'disc' | 'cone';
  /** share of the ball taken off underneath, 0..1 */
  bottom: number;
  /** share of the root that goes in all, 0..1 */
  cut: number;
  longShort: string;
  angle: string;
  coil: boolean;
  minutes: number;
}

const BOTTOM = cp(1 / 3, 'of the ball');
const MINUTES = { series: cp(5, 'min'), single: cp(25, 'min') } as const;
/** So many plants are worked in series; fewer one by one. */
const SERIES = 10;
const COILED: readonly GrowthGroup[] = ['pine', 'juniper-cypress'];

/** The card for a cohort's root work: nothing for intact plugs. */
export function protocolFor(of: {
  group: GrowthGroup;
  school: RootAngle;
  /** it stands in an air-pruning cell */
  plug: boolean;
  /** share of the root that may go, 0..1 */
  limit: number;
  plants: number;
}): Protocol {
  const minutes = of.plants >= SERIES ? MINUTES.series.value : MINUTES.single.value;
  const shape = of.school === 'flat' ? 'disc' : 'cone';
  const angle = { flat: 'flat', sloped: 'sloped 30–45°', descending: 'descending' }[of.school];
  if (of.plug)
    return { intact: true, shape, bottom: 0, cut: 0, longShort: '', angle, coil: false, minutes: 1 };
  return {
    intact: false,
    shape,
    bottom: Math.min(BOTTOM.value, of.limit),
    cut: of.limit,
    longShort: 'thick ones to half the length of thin ones',
    angle,
    coil: COILED.includes(of.group),
    minutes,
  };
}

export const CLASSES = ['A', 'B', 'C'] as const;
export type RootClass = (typeof CLASSES)[number];

/** Scores of a sample as classes: from 65 A, from 40 B, below C. Our own scale. */
export const classOf = (score: number): RootClass => (score >= 65 ? 'A' : score >= 40 ? 'B' : 'C');

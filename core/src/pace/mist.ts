import { cp } from '../params/index.ts';
import type { Taxon } from '../taxa/index.ts';

/** Minutes between mistings of bare roots in mild air, by how soon fine roots dry. Common practice, no source. */
export const MIST_EVERY = {
  usual: cp(5, 'min'),
  sensitive: cp(3, 'min'),
} as const;
/** Dryness of mild air, for which these minutes are meant, kPa: about 18 °C and 60 % humidity. */
const MILD_DRYNESS = 0.83;
const SHORTEST = 1;
const LONGEST = 12;

/**
 * Vapour pressure of saturated air, kPa, at a temperature, °C. Allen et al. 1998, FAO Irrigation and Drainage Paper
 * 56, equation 11, from memory.
 */
export const saturation = (celsius: number): number =>
  0.6108 * Math.exp((17.27 * celsius) / (celsius + 237.3));

/** How hard air draws water from what is wet in it: the deficit of vapour pressure, kPa. */
export const dryness = (celsius: number, humidity: number): number =>
  saturation(celsius) * (1 - Math.min(100, Math.max(0, humidity)) / 100);

export interface Air {
  /** °C */
  temperature: number;
  /** % */
  humidity: number;
}

/**
 * Minutes after which bare roots want mist again, by kind and air; null for kinds whose roots are left dry.
 *
 * @example mistAfter(taxon('acer-campestre'), { temperature: 28, humidity: 35 }) // 2
 */
export function mistAfter({ group }: Pick<Taxon, 'group'>, air: Air): number | null {
  if (group === 'swollen-base') return null;
  const base = group === 'sensitive-shrub' ? MIST_EVERY.sensitive : MIST_EVERY.usual;
  const minutes = (base.value * MILD_DRYNESS) / Math.max(0.05, dryness(air.temperature, air.humidity));
  return Math.min(LONGEST, Math.max(SHORTEST, Math.round(minutes)));
}

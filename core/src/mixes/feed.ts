/**
 * Grams of a soluble feed for each litre of water that give so many parts per million of nitrogen:
 * g/L = ppm ÷ (10 × % N). Throws RangeError unless both are above 0 and nitrogen at most 100 %.
 *
 * @example gramsPerLitre(100, 20) // 0.5
 */
export function gramsPerLitre(ppm: number, nitrogen: number): number {
  if (!(ppm > 0)) throw new RangeError(`not parts per million: ${ppm}`);
  if (!(nitrogen > 0 && nitrogen <= 100)) throw new RangeError(`not a share of nitrogen: ${nitrogen}`);
  return ppm / (10 * nitrogen);
}

/** Grams of nitrogen a litre of mix is given for a season in slow-release feed. Common practice, no source. */
export const SEASON_NITROGEN = { light: 0.15, usual: 0.3, strong: 0.5 } as const;
export type FeedStrength = keyof typeof SEASON_NITROGEN;

/** Grams of a slow-release feed for a pot of so many litres. Throws RangeError as `gramsPerLitre` does. */
export function slowRelease(litres: number, nitrogen: number, strength: FeedStrength): number {
  if (!(litres > 0)) throw new RangeError(`not litres: ${litres}`);
  if (!(nitrogen > 0 && nitrogen <= 100)) throw new RangeError(`not a share of nitrogen: ${nitrogen}`);
  return (litres * SEASON_NITROGEN[strength] * 100) / nitrogen;
}

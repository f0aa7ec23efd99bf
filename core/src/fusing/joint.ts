import { cp } from '../params/index.ts';

/** Two stems have joined when each has grown into the other by so much of the thinner one's thickness. */
export const JOINED = cp(0.3, 'of the thinner');
/** Overlapped and not bound it takes so many times as long; and one in ten so much less or more. */
const UNBOUND = 1.6;
const BAND = { p10: 0.7, p90: 1.7 } as const;
/** A binding is looked at once the stems have swollen by this part under it. Common practice, no source. */
const BITES = 0.15;
/** First look at a fresh joint, weeks of growth. Common practice, no source. */
const FIRST_LOOK = 4;
const WEEKS_OF_GROWTH = 26;

export interface Joint {
  /** seasons until they have joined: one in ten sooner, the middle, one in ten later */
  seasons: { p10: number; p50: number; p90: number };
  /** weeks of growth until the binding is looked at */
  look: number;
}

/**
 * When two touching bases have grown into one, by the ring each lays down in a season, mm: they meet at both sides at
 * once. An estimate; what is seen at a look replaces it. Throws RangeError unless both grow.
 *
 * @example jointOf({ base: 10, ring: 4 }, { base: 12, ring: 4 }, true).seasons.p50 // 0.4
 */
export function jointOf(
  a: { base: number; ring: number },
  b: { base: number; ring: number },
  bound: boolean,
): Joint {
  const together = a.ring + b.ring;
  if (!(together > 0)) throw new RangeError('neither of them grows');
  const thinner = Math.min(a.base, b.base);
  const p50 = ((JOINED.value * thinner) / together) * (bound ? 1 : UNBOUND);
  const swells = (m: { base: number; ring: number }) =>
    m.ring > 0 ? ((BITES * m.base) / (2 * m.ring)) * WEEKS_OF_GROWTH : Infinity;
  return {
    seasons: { p10: p50 * BAND.p10, p50, p90: p50 * BAND.p90 },
    look: Math.max(1, Math.min(FIRST_LOOK, Math.floor(Math.min(swells(a), swells(b))))),
  };
}

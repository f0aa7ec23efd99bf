/** Metals that plants are wired and tied with, density in g/cm³: CRC Handbook of Chemistry and Physics, from memory. */
export const METALS = {
  aluminium: { density: 2.7, ofStem: 1 / 3 },
  copper: { density: 8.96, ofStem: 1 / 5 },
  stainless: { density: 7.9, ofStem: 1 / 6 },
} as const;
export type Metal = keyof typeof METALS;

/** Gauges that are sold, mm. */
export const GAUGES = [1, 1.5, 2, 2.5, 3, 3.5, 4, 4.5, 5, 6] as const;

/** Wire that is cut to length is cut so much longer, for hands and mistakes. Common practice, no source. */
export const SPARE = 1.15;
/** Both ends of a loop that is twisted shut, mm. Common practice, no source. */
const TWIST = 60;
/** Uprights of a cage stand about so far apart around the stem, and are bound so often along it, mm. Common practice, no source. */
const CAGE_GAP = 12;
const CAGE_BOUND = 40;

/** The thinnest gauge that holds a stem: a share of its thickness by metal. Common practice, no source. */
export function gaugeFor(stem: number, metal: Metal): number {
  const wanted = stem * METALS[metal].ofStem;
  return GAUGES.find((g) => g >= wanted - 0.01) ?? GAUGES[GAUGES.length - 1];
}

/** Wire laid in a spiral on a part that tapers evenly. */
export interface Spiral {
  /** mm at its foot and at its end */
  from: number;
  to: number;
  /** along the part, mm */
  long: number;
  /** gauge, mm */
  wire: number;
  /** degrees between the wire and a plane across the part */
  angle: number;
}

/**
 * Length of the wire, mm, and its turns. At each place one turn climbs π·(d + w)·tan α, so turns are the sum of
 * dz ÷ (π·(d + w)·tan α) along the taper, and the length is the part's ÷ sin α.
 *
 * @example spiral({ from: 10, to: 10, long: 300, wire: 2.5, angle: 45 }) // { length: 424.3, turns: 7.6 }
 */
export function spiral({ from, to, long, wire, angle }: Spiral): { length: number; turns: number } {
  const a = (angle * Math.PI) / 180;
  const [x, y] = [from + wire, to + wire];
  // ∫ dz ÷ (d + w) over an even taper
  const sum = Math.abs(x - y) < 1e-9 ? long / x : (long * Math.log(x / y)) / (x - y);
  return { length: long / Math.sin(a), turns: sum / (Math.PI * Math.tan(a)) };
}

/** Wire of a tourniquet: so many turns around a part, and its ends twisted, mm. */
export const tourniquet = (stem: number, wire: number, turns: number): number =>
  turns * Math.PI * (stem + wire) + TWIST;

/** A cage: uprights along a stem that are bound to it by loops. Common practice, no source. */
export function cage(
  stem: number,
  wire: number,
  long: number,
): { uprights: number; loops: number; length: number } {
  const uprights = Math.max(3, Math.round((Math.PI * (stem + wire)) / CAGE_GAP));
  const loops = Math.max(2, Math.ceil(long / CAGE_BOUND) + 1);
  // loops lie over the uprights
  const loop = Math.PI * (stem + 3 * wire) + TWIST / 2;
  return { uprights, loops, length: uprights * long + loops * loop };
}

/** Weight of a wire, g. @example gramsOf(1000, 2, 'copper') // 28.1 */
export const gramsOf = (length: number, wire: number, metal: Metal): number =>
  ((Math.PI / 4) * wire ** 2 * length * METALS[metal].density) / 1000;

/** What is put around plants and bites when they swell. */
export const AROUND = ['wire', 'tourniquet', 'cage wire', 'binding', 'tie-down', 'guy'] as const;
export type Around = (typeof AROUND)[number];

/** A part may swell by so much of its thickness before what is around it bites, 0..1. Common practice, no source. */
export const BITES_AT = 0.15;

/** What one plant takes: in words, and mm of wire. `long`: along the stem, for a spiral or a cage; `turns`: of a tourniquet. */
export function wireFor(
  what: Around,
  stem: number,
  wire: number,
  { long, turns }: { long: number; turns: number },
): { words: string; length: number } {
  if (what === 'tourniquet') return { words: `${turns} turns`, length: tourniquet(stem, wire, turns) };
  if (what === 'cage wire') {
    const made = cage(stem, wire, long);
    return {
      words: `${made.uprights} uprights of ${Math.round(long)} mm, ${made.loops} loops`,
      length: made.length,
    };
  }
  if (what === 'wire') {
    const laid = spiral({ from: stem, to: stem * 0.8, long, wire, angle: 45 });
    return {
      words: `${laid.turns.toFixed(0)} turns over ${Math.round(long)} mm, at 45°`,
      length: laid.length,
    };
  }
  return { words: 'one loop', length: Math.PI * (stem + wire) + TWIST };
}

/** How a plant is tied down into its pot. */
export interface TieDown {
  /** points it is held at */
  points: number;
  /** gauge, mm */
  wire: number;
  /** of all of it for one plant, mm */
  length: number;
}

/** Pots up to so many mm are tied at so many points, with wire so thick. Common practice, no source. */
const TIES: readonly { upTo: number; points: number; wire: number }[] = [
  { upTo: 150, points: 2, wire: 1.5 },
  { upTo: 230, points: 2, wire: 2 },
  { upTo: 330, points: 3, wire: 2.5 },
  { upTo: 450, points: 4, wire: 3 },
  { upTo: Infinity, points: 5, wire: 3 },
];

/**
 * Points, gauge and length of the wire that ties a plant down: at each point it comes up through a hole, over the ball
 * and back, and is twisted shut. Inside measures of the pot in mm.
 *
 * @example tieDownFor({ rim: [180, 180], depth: 130 }) // { points: 2, wire: 2, length: 820 }
 */
export function tieDownFor(pot: { rim: readonly [number, number]; depth: number }): TieDown {
  const long = Math.max(...pot.rim);
  const { points, wire } = TIES.find((t) => long <= t.upTo)!;
  // up and down the depth, and half the pot across, at each point
  return { points, wire, length: points * (2 * pot.depth + long / 2 + TWIST) };
}

/** How it is said at the bench. @example tieWords({ points: 2, wire: 2, length: 820 }) // 'tied at 2 points with 2 mm wire' */
export const tieWords = ({ points, wire }: TieDown): string =>
  `tied at ${points} points with ${wire} mm wire`;

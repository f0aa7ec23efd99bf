import { percent } from '../words/index.ts';
import { containers, type ContainerKind } from '../containers/index.ts';
import { cp } from '../params/index.ts';

export const RING = {
  width: cp(1.25, 'stem diameters'),
  least: cp(1, 'stem diameters'),
  most: cp(1.5, 'stem diameters'),
  twist: cp(60, 'mm of wire to twist'),
  turns: cp(2, 'turns of wire'),
  sleeve: cp(45, 'mm of moss above and below'),
  thickness: cp(35, 'mm of moss around'),
  clearance: cp(25, 'mm between ball and wall'),
  apart: cp(5, 'stem diameters between rings'),
} as const;

export type LayerHow = 'ring' | 'tourniquet';

export interface Cut {
  /** around the stem, mm */
  girth: number;
  /** bark taken off along the stem, mm; 0 for a tourniquet */
  ring: number;
  /** wire to cut, mm; 0 for a ring */
  wire: number;
  /** moss, litres, and the film around it, mm */
  moss: number;
  film: [length: number, width: number];
}

/** Everything to cut for a layer on a stem of this diameter, mm. Throws RangeError for no diameter. */
export function cutFor(diameter: number, how: LayerHow): Cut {
  if (!(diameter > 0)) throw new RangeError(`no stem of ${diameter} mm`);
  const girth = Math.PI * diameter;
  const ring = how === 'ring' ? Math.round(RING.width.value * diameter) : 0;
  const length = ring + 2 * RING.sleeve.value;
  const outer = diameter + 2 * RING.thickness.value;
  return {
    girth: Math.round(girth),
    ring,
    wire: how === 'ring' ? 0 : Math.ceil(RING.turns.value * girth + RING.twist.value),
    moss: Math.round(((Math.PI / 4) * (outer ** 2 - diameter ** 2) * length) / 1e4) / 100,
    film: [Math.ceil(length + 60), Math.ceil(Math.PI * outer * 1.3)],
  };
}

export interface PlannedLayer {
  name: string;
  /** stem or branch of the parent it is on */
  stem: string;
  /** of the ring above the soil, mm */
  height: number;
  diameter: number;
  /** live branches the new tree keeps above the ring */
  branches: number;
  /** live branches left on the parent between this ring and the next below, or the soil */
  keeps: number;
}

/** Share of its crown that a parent gives in one season, at most. Common practice, no source. */
export const CROWN_GIVEN = cp(0.8, 'share of crown');

/**
 * Share of the parent's crown taken when all are severed: what hangs above a ring is as its cross-section to
 * that of the base (pipe model, Shinozaki et al. 1964); of layers on one stem the lowest takes the rest along.
 */
export function crownTaken(base: number, layers: readonly PlannedLayer[]): number {
  const lowest = new Map<string, PlannedLayer>();
  for (const l of layers) {
    const now = lowest.get(l.stem);
    if (!now || l.height < now.height) lowest.set(l.stem, l);
  }
  return Math.min(
    1,
    [...lowest.values()].reduce((s, l) => s + (l.diameter / base) ** 2, 0),
  );
}

export interface DesignFault {
  layer: string;
  text: string;
}

/** What is wrong with a set of layers on one parent of this base diameter, mm, before anything is cut. */
export function designFaults(base: number, layers: readonly PlannedLayer[]): DesignFault[] {
  const faults: DesignFault[] = [];
  const say = (l: PlannedLayer, text: string) => faults.push({ layer: l.name, text });
  for (const stem of new Set(layers.map((l) => l.stem))) {
    const down = layers.filter((l) => l.stem === stem).sort((a, b) => b.height - a.height);
    down.forEach((l, i) => {
      const above = down[i - 1];
      if (l.branches < 1) say(l, 'no live branch above the ring: nothing feeds its roots');
      if (above && above.height - l.height < RING.apart.value * l.diameter)
        say(
          l,
          `only ${above.height - l.height} mm below ${above.name}: the roots of one sit in the wrap of the other`,
        );
      if (above && above.diameter > l.diameter) say(l, `thinner than ${above.name} above it: measure again`);
      if (above && above.keeps < 1)
        say(l, `no branch between it and ${above.name}: nothing is left to feed it`);
    });
    const last = down.at(-1)!;
    if (last.keeps < 1) say(last, 'no low branch is kept below: the stump dies back');
    if (last.diameter > base) say(last, 'thicker than the base of the parent: measure again');
  }
  const taken = crownTaken(base, layers);
  if (taken > CROWN_GIVEN.value && layers.length > 0)
    say(
      layers[0],
      `together they take ${percent(taken)} of the crown; ${Math.round(CROWN_GIVEN.value * 100)} % is the most in one season`,
    );
  return faults;
}

/** The order of severing: the topmost of each stem first. */
export const severingOrder = <L extends Pick<PlannedLayer, 'stem' | 'height'>>(layers: readonly L[]): L[] =>
  layers.toSorted((a, b) => a.stem.localeCompare(b.stem) || b.height - a.height);

/** The smallest pot with room around a root ball, mm; null when it wants the ground. */
export function potFor(ball: { width: number; depth: number }): ContainerKind | null {
  const fits = containers().filter(
    (c) =>
      !c.shared &&
      c.wall !== 'ground' &&
      Math.min(c.base[0], c.base[1]) >= ball.width + 2 * RING.clearance.value - 1 &&
      c.depth >= ball.depth + 10,
  );
  return fits.toSorted((a, b) => a.litres - b.litres)[0] ?? null;
}

/** The ball a layer has when it is severed: the wrap it filled. */
export const ballOf = (diameter: number, how: LayerHow) => {
  const { ring } = cutFor(diameter, how);
  return {
    width: Math.round(diameter + 2 * RING.thickness.value),
    depth: Math.round(ring + RING.sleeve.value),
  };
};

/** Splitting the base: at severing it gains a season and costs lives; later it is safer. Common practice, no source. */
export const BASE_SPLIT = {
  severing: { lives: cp(0.8, 'share'), gains: cp(1, 'season of spread') },
  established: { lives: cp(0.95, 'share'), gains: cp(0, 'seasons of spread') },
} as const;

import { APART, BEARS_STRAIN, LINES, NOT_FLAT, STIFFENS, STIFFEST, UNEVEN } from '../../data/bends.ts';
import { random, type Random } from '../random/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import { lineOf, PEAK, type Bend, type Planted, type Point } from './line.ts';
import { curvatures, extents, normalised, torsions, turnsAbout, unlike, variation } from './measure.ts';

export { LINES };
export type LineId = (typeof LINES)[number]['id'];

/** A stem that is to be bent. */
export interface Pliant {
  group: GrowthGroup;
  /** years the wood is old */
  age: number;
  /** mm at the base and at the end of what is bent, and along it */
  base: number;
  tip: number;
  length: number;
}

/** Strain the wood of a stem bears, 0..1. @example bearsStrain('pine', 1) // 0.12 */
export const bearsStrain = (group: GrowthGroup, age: number): number =>
  BEARS_STRAIN[group] * Math.max(STIFFEST.value, STIFFENS.value ** Math.max(0, age - 1));

/** Tightest radius a stem so thick bears, mm: the strain of its outer wood is half its thickness by the radius. */
export const tightest = (mm: number, strain: number): number => mm / 2 / strain;

/** A line for one stem, as it is to be bent. */
export interface Recipe {
  /** number of the plant in its cohort, from 1 */
  number: number;
  style: LineId;
  planted: Planted;
  /** from the base up, the tightest first */
  bends: Bend[];
  /** points of the line, mm */
  line: Point[];
  /** tightest radius of the line, and the tightest it bears there, mm */
  radius: { least: number; bears: number };
}

/** Thickness along what is bent, mm. */
const thickAt = (p: Pliant, s: number): number => p.base + (p.tip - p.base) * s;

/** Lines are thought of so often before it is said that no more of them differ enough. */
const TRIES = 3000;
/** A bend turns by so much, degrees: the first out of the upright, the others back through it. */
const TURN = { least: 28, first: 75, most: 125 };
/** A bend goes over so much of the length at most. */
const WIDEST = 0.45;
const DEGREES = 180 / Math.PI;
/** Each bend goes so far aside of straight back, degrees. */
const ASIDE = { least: 30, more: 100 };
/** What is bent begins a little above the soil and ends before the tip. */
const FROM = 0.08;
const TO = 0.9;

/** The tip stands so high at least, of the length. */
const UP = 0.3;

/** Bends from the base up, each less tight than the one below, turning back and forth to irregular sides. */
function tryBends(rng: Random, p: Pliant, style: (typeof LINES)[number]): Bend[] | null {
  const strain = bearsStrain(p.group, p.age);
  const [fewest, most] = style.bends;
  const count = fewest + Math.floor(rng.next() * (most - fewest + 1));
  const room = (TO - FROM) / count;
  const bends: Bend[] = [];
  let side = rng.next() * 360;
  let tightness = Infinity;
  for (let i = 0; i < count; i++) {
    const at = FROM + room * (i + 0.3 + 0.4 * rng.next());
    // back over the middle, but never straight back: that would be flat
    side += i === 0 ? 0 : 180 + (rng.next() < 0.5 ? -1 : 1) * (ASIDE.least + ASIDE.more * rng.next());
    // the first turns out of the upright alone, the others back through it
    const most = i === 0 ? TURN.first : TURN.most;
    const wanted = TURN.least + (most - TURN.least) * rng.next();
    // as tight as the wood bears there, and no tighter than the bend below
    const bears = p.length / tightest(thickAt(p, Math.max(0, at - 0.15)), strain);
    const allowed = Math.min(bears * 0.9, tightness * 0.98) * (0.7 + 0.3 * rng.next());
    const over = Math.min(WIDEST, Math.max(room * 0.5, (PEAK * wanted) / DEGREES / allowed));
    const turn = Math.min(wanted, ((allowed * over) / PEAK) * DEGREES);
    if (turn < TURN.least / 2) return null;
    tightness = (PEAK * turn) / DEGREES / over;
    bends.push({ at, turn, side: ((side % 360) + 360) % 360, over });
  }
  return bends;
}

/** Whether torsion turns both ways: a line that always turns the same way is a spiral. */
function turnsBothWays(line: readonly Point[], length: number): boolean {
  const told = torsions(line).filter((t) => Math.abs(t) * length > 0.5);
  return told.some((t) => t > 0) && told.some((t) => t < 0);
}

/** What keeps a line from being one a tree could be bent to; null where nothing does. */
export function lineFault(line: readonly Point[], p: Pliant): string | null {
  const curves = curvatures(line);
  const strain = bearsStrain(p.group, p.age);
  const tight = curves.some((k, i) => k > 1 / tightest(thickAt(p, (i + 1) / line.length), strain) + 1e-9);
  if (tight) return 'tighter than the wood bears';
  const [largest, , smallest] = extents(line);
  if (smallest < NOT_FLAT.value * largest) return 'flat';
  if (variation(curves) < UNEVEN.value) return 'even';
  if (turnsAbout(line) > 1 && !turnsBothWays(line, p.length)) return 'a spiral';
  const tip = line[line.length - 1];
  return tip.z < UP * p.length ? 'falls over' : null;
}

/** A line that was thought of, and its shape at a length of 1. */
interface Tried {
  planted: Planted;
  bends: Bend[];
  line: Point[];
  shape: Point[];
}

/** A line of a style that a stem could be bent to; null where the one thought of could not be. */
function tryLine(rng: Random, { style, stem }: Asked): Tried | null {
  const kind = LINES.find((l) => l.id === style)!;
  const [least, most] = kind.lean;
  const planted = { lean: least + (most - least) * rng.next(), towards: 360 * rng.next() };
  const bends = tryBends(rng, stem, kind);
  if (!bends) return null;
  const line = lineOf(bends, stem.length, planted);
  return lineFault(line, stem) === null
    ? { planted, bends, line, shape: normalised(line, stem.length) }
    : null;
}

function recipeOf({ number, style, stem: p }: Asked, { planted, bends, line }: Tried): Recipe {
  const curves = curvatures(line);
  const tightestAt = curves.indexOf(Math.max(...curves));
  const strain = bearsStrain(p.group, p.age);
  return {
    number,
    style,
    planted,
    bends,
    line,
    radius: {
      least: 1 / curves[tightestAt],
      bears: tightest(thickAt(p, (tightestAt + 1) / line.length), strain),
    },
  };
}

/** A stem with its number and the style it is to have. */
export interface Asked {
  number: number;
  style: LineId;
  stem: Pliant;
}

/**
 * Lines for the stems of a cohort, each unlike all before it, none flat, none an even spiral, none tighter than the wood
 * bears, the tightest bend lowest. The same for the same seed and stems. A stem too thick or short for any such line has
 * none. `told` hears how many are thought through.
 */
export function bendRecipes(
  seed: number,
  asked: readonly Asked[],
  told: (done: number) => void = () => undefined,
): { recipes: Recipe[]; without: { number: number; why: string }[] } {
  const recipes: Recipe[] = [];
  const shapes: Point[][] = [];
  const without: { number: number; why: string }[] = [];
  for (const a of asked) {
    const rng = random(seed * 1009 + a.number);
    let why = 'too thick for its length to be bent so';
    let found: Tried | null = null;
    for (let i = 0; i < TRIES && !found; i++) {
      const tried = tryLine(rng, a);
      if (!tried) continue;
      if (shapes.some((s) => unlike(s, tried.shape) < APART.value)) why = 'no line found that differs enough';
      else found = tried;
    }
    if (found) {
      shapes.push(found.shape);
      recipes.push(recipeOf(a, found));
    } else without.push({ number: a.number, why });
    told(recipes.length + without.length);
  }
  return { recipes, without };
}

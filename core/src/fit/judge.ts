import { BEARS_WET, CLEAR, DRINKS, GAPS, ROOTS_RUN, SHOWN, WIND } from '../../data/fit.ts';
import { container, type ContainerKind } from '../containers/index.ts';
import { columnOf, emptyWeight, shapeOf, type Blend } from '../mixes/index.ts';
import { roomIn, roomTowards } from '../roots/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import { percent } from '../words/index.ts';
import { ballLitres, freshWeight, leafOf, sailOf, WAYS, type Potted } from './plant.ts';

/** Air, kg/m³. */
const AIR = 1.2;
const G = 9.81;
const COMPASS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'];

/** How a plant is set into a pot. */
export interface Setting {
  /** direction the front looks to, degrees; the long side of the pot lies across it */
  front: number;
  /** trunk from the middle, mm: to the right seen from the front, and away from the viewer */
  aside: number;
  behind: number;
  /** room is left on purpose, for a plant that is to grow into it */
  roomy: boolean;
}

export type Verdict = 'good' | 'flagged' | 'refused';

/** What speaks for a pot or against it. */
export interface Reason {
  verdict: Verdict;
  text: string;
}

export interface Fit {
  pot: ContainerKind;
  verdict: Verdict;
  /** of a hundred, our own scale */
  points: number;
  reasons: Reason[];
  /** least room between ball and wall, mm; below 0: the ball is wider than the pot there */
  clear: number;
  /** mix below the ball, mm */
  below: number;
  /** days until the mix the roots do not reach is drunk dry */
  wetFor: number;
  /** it stands in the wind, dry and wet; below 1 it falls */
  stands: { dry: number; wet: number };
  litres: number;
}

/** Least room between roots and wall, mm, and where. */
function clearance(plant: Potted, pot: ContainerKind, s: Setting): { clear: number; azimuth: number } {
  const room = roomIn(pot, s.front, s.aside, s.behind);
  let least = { clear: Infinity, azimuth: 0 };
  plant.reach.forEach((r, i) => {
    const azimuth = (i * 360) / WAYS;
    const clear = roomTowards(room, azimuth) - r;
    if (clear < least.clear) least = { clear, azimuth };
  });
  return least;
}

/**
 * How firmly a pot stands: its weight × (half its base − how far the middle of the weight lies off) against the wind on
 * the crown × the height of the crown’s middle above the ground. Below 1 it falls over its narrow side.
 */
export function standing(plant: Potted, pot: ContainerKind, weight: number, offset: number): number {
  const { area, middle } = sailOf(plant);
  const half = Math.min(...pot.base) / 2000;
  const holds = weight * G * Math.max(0, half - offset);
  const wind = 0.5 * AIR * WIND.value ** 2 * area * (1 - GAPS.value);
  return holds / Math.max(1e-9, wind * (middle + pot.depth / 1000));
}

/** Share of the crown that may stay so that it stands when dry, 0..1, in steps of a twentieth. */
function crownThatStands(plant: Potted, pot: ContainerKind, dryPot: number, offset: number): number {
  for (let crown = plant.crown; crown > 0.05; crown -= 0.05) {
    const less = { ...plant, crown };
    if (standing(less, pot, dryPot + freshWeight(less), offset) >= 1) return crown;
  }
  return 0;
}

/** Days until so many litres of mix that no root reaches are drunk dry by the whole plant. */
export const wetDays = (
  plant: Pick<Potted, 'group' | 'caliper' | 'crown'>,
  litres: number,
  water: number,
): number => (litres * water) / Math.max(1e-6, leafOf(plant) * DRINKS.value);

/** What is said of mix that stays wet for longer than the kind bears; null where it does not. */
export function wetReason(plant: Pick<Potted, 'group'>, wetFor: number, roomy: boolean): Reason | null {
  const bears = BEARS_WET[plant.group];
  const days = Math.round(wetFor);
  if (wetFor <= bears) return null;
  const text = `Too large: the mix its roots do not reach stays wet for about ${days > 90 ? 'months' : `${days} days`}, it bears ${bears}`;
  // a big plant drinks a roomy pot dry soon enough: it is not this that is meant
  if (roomy && wetFor <= 2 * bears)
    return { verdict: 'good', text: `Roomy on purpose: wet for about ${days} days until roots fill it` };
  return { verdict: 'flagged', text };
}

function depthReason(plant: Potted, below: number): Reason | null {
  if (below >= CLEAR.below.value) return null;
  if (below >= 0)
    return { verdict: 'flagged', text: `Shallow: ${Math.round(below)} mm of mix below the ball` };
  const off = Math.round(-below + CLEAR.below.value);
  return off > plant.depth / 2
    ? { verdict: 'refused', text: `Too shallow: more than half of the ball would have to go underneath` }
    : { verdict: 'flagged', text: `Shallow: take ${off} mm off underneath first` };
}

function wallReason(clear: number, azimuth: number): Reason | null {
  const side = COMPASS[Math.round(azimuth / 45) % 8];
  if (clear < 0)
    return {
      verdict: 'refused',
      text: `The ball is ${Math.round(-clear)} mm wider than the pot to the ${side}`,
    };
  if (clear < 1) return { verdict: 'refused', text: `The ball touches the wall to the ${side}` };
  if (clear < CLEAR.side.value)
    return { verdict: 'flagged', text: `Snug: ${Math.round(clear)} mm to the wall at the ${side}` };
  return null;
}

/** Walls along which roots run round when they meet them. */
const CIRCLES: Partial<Record<ContainerKind['wall'], string>> = {
  smooth: 'smooth wall',
  porous: 'porous wall',
};

/** When roots meet a wall that turns them, and by when they are to be looked at. */
function circlingReason(pot: ContainerKind, clear: number): Reason | null {
  const wall = CIRCLES[pot.wall];
  if (!wall || clear < 1) return null;
  const weeks = Math.max(1, Math.round(clear / ROOTS_RUN.value));
  const when = weeks <= 20 ? `in about ${weeks} weeks of growth` : 'next season';
  return { verdict: 'good', text: `Roots meet the ${wall} ${when} and circle: open it within two seasons` };
}

/** Pots to be looked at with their tree. */
const isShow = (pot: ContainerKind): boolean => Boolean(pot.look) || /^(show|training)-/.test(pot.id);

/** Kinds that usually stand in unglazed pots. Common practice, no source. */
const UNGLAZED: readonly GrowthGroup[] = ['pine', 'juniper-cypress'];

/** What the eye says to the finish of a pot under such a tree. */
function finishReason({ group }: Potted, { look }: ContainerKind): Reason | null {
  if (!look) return null;
  const { colour, finish } = look;
  if (finish === 'glazed' && UNGLAZED.includes(group))
    return { verdict: 'flagged', text: `Glazed, ${colour}: under a conifer an unglazed pot is usual` };
  return { verdict: 'good', text: `${finish}, ${colour}` };
}

/** Whether a pot on show is in proportion to its tree: its length by the height, its depth by the trunk. */
function proportion(plant: Potted, pot: ContainerKind): Reason | null {
  if (!isShow(pot)) return null;
  const long = Math.max(...pot.rim) / (plant.height * plant.crown);
  const deep = pot.depth / plant.caliper;
  const fits = (x: number, [from, to]: readonly [number, number]) => x >= from && x <= to;
  if (fits(long, SHOWN.long) && fits(deep, SHOWN.deep))
    return { verdict: 'good', text: 'In proportion: length to the height, depth to the trunk' };
  const wrong = !fits(long, SHOWN.long)
    ? `${percent(long)} of the height long, ${percent(SHOWN.long[0])} to ${percent(SHOWN.long[1])} look right`
    : `${deep.toFixed(1)} trunks deep, ${SHOWN.deep[0]} to ${SHOWN.deep[1]} look right`;
  return { verdict: 'flagged', text: `Out of proportion: ${wrong}` };
}

function stabilityReason(
  plant: Potted,
  pot: ContainerKind,
  stands: Fit['stands'],
  dryPot: number,
  offset: number,
) {
  if (stands.dry >= 1) return null;
  const stays = crownThatStands(plant, pot, dryPot, offset);
  const how =
    stays > 0 ? `reduce the top to ${percent(stays / plant.crown)}, or tie the pot down` : 'tie the pot down';
  const when = stands.wet >= 1 ? 'when it is dry' : 'even wet';
  return { verdict: 'flagged' as const, text: `Falls over in a strong wind ${when}: ${how}` };
}

const WORST: readonly Verdict[] = ['good', 'flagged', 'refused'];
const worst = (reasons: readonly Reason[]): Verdict =>
  WORST[Math.max(0, ...reasons.map((r) => WORST.indexOf(r.verdict)))];

/** One plant held over one pot. `blend`: what it would be filled with. */
export function judge(plant: Potted, pot: ContainerKind, setting: Setting, blend: Blend): Fit {
  const { clear, azimuth } = clearance(plant, pot, setting);
  const shape = shapeOf(pot);
  const below = shape.depth - plant.depth;
  const ball = Math.min(ballLitres(plant), pot.litres);
  const column = columnOf(blend, shape);
  const wetFor = wetDays(plant, pot.litres - ball, column.water);
  const dryPot = emptyWeight(pot) + pot.litres * blend.dry;
  const fresh = freshWeight(plant);
  const offset = (Math.hypot(setting.aside, setting.behind) / 1000) * (fresh / (fresh + dryPot));
  const stands = {
    dry: standing(plant, pot, dryPot + fresh, offset),
    wet: standing(plant, pot, dryPot + fresh + pot.litres * column.water, offset),
  };
  const reasons = [
    wallReason(clear, azimuth),
    depthReason(plant, below),
    wetReason(plant, wetFor, setting.roomy),
    stabilityReason(plant, pot, stands, dryPot, offset),
    circlingReason(pot, clear),
    proportion(plant, pot),
    finishReason(plant, pot),
  ].filter((r): r is Reason => r !== null);
  if (reasons.length === 0)
    reasons.push({ verdict: 'good', text: 'Room at the sides and below, and soon drunk dry' });
  const flags = reasons.filter((r) => r.verdict === 'flagged').length;
  const bears = BEARS_WET[plant.group];
  const verdict = worst(reasons);
  // little room to grow counts a little against, much wet mix more
  const close = Math.max(0, 1 - clear / 40) * 8;
  const wet = Math.min(40, 20 * Math.max(0, wetFor / bears - (setting.roomy ? 1.5 : 0.5)));
  const points = verdict === 'refused' ? 0 : Math.max(1, Math.round(100 - 12 * flags - close - wet));
  return { pot, verdict, points, reasons, clear, below, wetFor, stands, litres: pot.litres };
}

/** Pots ranked for a plant, the best first; those that are refused last. */
export const rankPots = (plant: Potted, pots: readonly string[], setting: Setting, blend: Blend): Fit[] =>
  pots
    .map((id) => judge(plant, container(id), setting, blend))
    .toSorted((a, b) => b.points - a.points || a.litres - b.litres);

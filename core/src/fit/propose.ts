import { BALL_DEEP } from '../../data/fit.ts';
import { container, containers, type ContainerKind } from '../containers/index.ts';
import { LabPlant, MEDIAN_LUCK, type LabStart } from '../lab/index.ts';
import { columnOf, shapeOf, type Blend } from '../mixes/index.ts';
import type { GrowthGroup } from '../taxa/index.ts';
import { plural } from '../words/index.ts';
import { judge, wetDays, wetReason, type Fit, type Setting, type Verdict } from './judge.ts';
import { roundReach, type Potted } from './plant.ts';

/** A container is opened every one to three years in training: it is to last so many. Common practice, no source. */
const LASTS: Record<string, number> = { room: 2, snug: 1, small: 1 };
/** Seasons that are looked ahead. */
const AHEAD = 5;
/** A slenderness for plants whose height nobody took. */
const SLENDER = 40;

/** A plant in the container it grew in. */
export interface Standing {
  /** seasons until roots have filled it; null: not within five */
  years: number | null;
  /** of its room, 0..1 and above */
  fill: number;
  /** days until mix that no root reaches is drunk dry */
  wetFor: number;
  /** why it is too large for them; null: it is not */
  tooLarge: string | null;
}

/** A container that is proposed for the next move. */
export interface Proposed {
  container: string;
  /** seasons until roots have filled it; null: not within five */
  years: number | null;
  verdict: Verdict;
  points: number;
  reasons: string[];
}

/**
 * Ball of a plant that nobody measured, mm: what its roots fill of the room they have, with the depth that balls have, but
 * no wider than the pot it grew in.
 */
export function ballOf(start: LabStart, standing: string): { across: number; depth: number } {
  const pot = container(standing);
  const { fill } = new LabPlant(start).look();
  const litres = Math.max(0.02, (start.litres ?? 1) * Math.min(1, fill));
  const deep = BALL_DEEP.value;
  // ⅔ · π · r² · (deep · 2r)
  const free = 2 * Math.cbrt((litres * 1e6) / ((4 / 3) * Math.PI * deep));
  if (pot.wall === 'ground' || pot.shared) return { across: free, depth: free * deep };
  const across = Math.min(free, (Math.min(...pot.rim) + Math.min(...pot.base)) / 2);
  // a ball that met the wall went on downwards
  const depth = Math.min(pot.depth, (litres * 1e6) / ((2 / 3) * Math.PI * (across / 2) ** 2));
  return { across, depth };
}

/** Seasons until roots have filled a pot, growing in it from now on in middling weather; null: more than are looked ahead. */
export function seasonsToFill(start: LabStart, pot: ContainerKind): number | null {
  const plant = new LabPlant({ ...start, litres: pot.litres, wall: pot.wall });
  for (let i = 0; i < AHEAD; i++) {
    plant.season(MEDIAN_LUCK, i);
    if (plant.look().fill >= 1) return i + 1;
  }
  return null;
}

/** How much walls speak for a pot of young stock: air-pruning before all others. Common practice, no source. */
const WALL_POINTS: Record<ContainerKind['wall'], number> = {
  'air-pruning': 12,
  grooved: 6,
  porous: 0,
  smooth: 0,
  ground: 0,
};

const filled = (years: number | null): string =>
  years === null ? 'Not full of root within five seasons' : `Full of root after ${plural(years, 'season')}`;

function proposed(fit: Fit, years: number | null, size: string): Proposed {
  const lasts = LASTS[size] ?? LASTS.room;
  // one that is full too soon asks for another move; one too large is told by the mix that stays wet
  const soon = Math.max(0, lasts - (years ?? AHEAD)) * 25;
  const close = size === 'room' ? 0 : fit.litres * 4;
  const points = fit.verdict === 'refused' ? 0 : fit.points + WALL_POINTS[fit.pot.wall] - soon - close;
  return {
    container: fit.pot.id,
    years,
    verdict: fit.verdict,
    points,
    reasons: [
      filled(years),
      ...(fit.pot.wall === 'air-pruning' ? ['Air-pruning wall: roots fork instead of circling'] : []),
      ...fit.reasons.map((r) => r.text),
    ],
  };
}

interface Wish {
  group: GrowthGroup;
  /** the school of pot size */
  size: string;
  blend: Blend;
  /** what it stands in */
  standing: string;
  /** of roots that were drawn, where they were */
  reach?: readonly number[];
}

const MIDDLE: Setting = { front: 180, aside: 0, behind: 0, roomy: false };

const plantOf = (start: LabStart, { group, reach, standing }: Wish): Potted => {
  const ball = ballOf(start, standing);
  return {
    group,
    caliper: start.caliper,
    height: start.height ?? start.caliper * SLENDER,
    crown: 1,
    reach: reach ?? roundReach(ball.across),
    depth: ball.depth,
  };
};

const judged = (start: LabStart, wish: Wish, pot: ContainerKind): Proposed =>
  proposed(judge(plantOf(start, wish), pot, MIDDLE, wish.blend), seasonsToFill(start, pot), wish.size);

/**
 * How a plant stands in the container it grew in: when that is full, and whether the mix its roots have not reached stays
 * wet too long; null in the ground, or with many in one tray.
 */
export function standsIn(start: LabStart, { group, blend, standing }: Wish): Standing | null {
  const pot = container(standing);
  if (pot.wall === 'ground' || pot.shared) return null;
  const { fill } = new LabPlant(start).look();
  const { water } = columnOf(blend, shapeOf(pot));
  const plant = { group, caliper: start.caliper, crown: 1 };
  const wetFor = wetDays(plant, pot.litres * (1 - Math.min(1, fill)), water);
  const wet = wetReason(plant, wetFor, false);
  return { years: seasonsToFill(start, pot), fill, wetFor, tooLarge: wet?.text ?? null };
}

/**
 * Containers for the next move, the best first: none whose wall the ball touches, none full of root before it would be
 * opened, none that stays wet longer than the kind bears; air-pruning first. Common practice, no source.
 */
export function proposePots(start: LabStart, wish: Wish, most = 3): Proposed[] {
  return containers()
    .filter((c) => c.wall !== 'ground' && !c.shared)
    .map((pot) => judged(start, wish, pot))
    .filter((p) => p.verdict !== 'refused')
    .toSorted((a, b) => b.points - a.points || container(a.container).litres - container(b.container).litres)
    .slice(0, most);
}

/** One move down in size. */
export interface DownMove {
  container: string;
  /** of the ball that is left, litres */
  ball: number;
  /** share of the ball that goes, 0..1 */
  takes: number;
}

/**
 * Pots on the way from a ball down to a shallow or small one, no move taking more root than the kind bears at once: a
 * sensitive shrub goes down in stages over years. Each pot is the smallest that holds what is left; null where none does.
 *
 * @example stagesDown(8, 'training-22', 0.5) // 8 L, 4 L, into 2 L: two moves
 */
export function stagesDown(ball: number, target: string, largestCut: number): DownMove[] | null {
  const goal = container(target).litres;
  const pots = containers()
    .filter((c) => c.wall !== 'ground' && !c.shared)
    .toSorted((a, b) => a.litres - b.litres);
  const moves: DownMove[] = [];
  let now = ball;
  while (now * (1 - largestCut) > goal) {
    const left = now * (1 - largestCut);
    const next = pots.find((p) => p.litres >= left);
    if (!next || largestCut <= 0) return null;
    moves.push({ container: next.id, ball: left, takes: largestCut });
    now = left;
  }
  return [...moves, { container: target, ball: Math.min(now, goal), takes: Math.max(0, 1 - goal / now) }];
}

import { percent } from '../../words/index.ts';
import { toIso, type Day } from '../../calendar/index.ts';
import {
  afterSeasons,
  RESERVE_CAP,
  RESERVE_GAIN,
  reserveDrop,
  WEAKNESS,
  type Plant,
} from '../../plant/index.ts';
import type { Context, Demand, Figure, Reason, StepInHand } from '../types.ts';
import type { RuleOf, RuleWords } from './rule.ts';

/** Work is made lighter down to this part of what is wanted; below it the work is put off. */
const LIGHTEST = 0.6;
/** The whole root goes only where the wound is dried before planting. */
const FLUSH_CUT = 'dry-wounds';
const round = (x: number) => Math.round(x * 100) / 100;

/** What a step takes of a plant, and what that costs it: one reckoning for the rule and for the plant. */
export interface Loss {
  root: number;
  top: number;
  /** drop of the reserve */
  drop: number;
  /** share of what is wanted, 0..1; below the lightest the work is refused */
  share: number;
}

const spareOf = (ctx: Context, plant: Plant) => Math.max(0, plant.reserve - ctx.tolerance.floor.value);
const largestCut = (ctx: Context, { op }: StepInHand): number =>
  (op.like ?? op.id) === FLUSH_CUT ? 1 : ctx.tolerance.largestRootCut.value;

/** Largest share of the root that may go today: min(largest cut, (E − floor)·τr ÷ (0.5·q)). */
export function rootLimit(ctx: Context, hand: StepInHand, plant: Plant): number {
  const bears = (spareOf(ctx, plant) * ctx.tolerance.rootTolerance.value) / (0.5 * WEAKNESS[plant.vigour]);
  return Math.min(largestCut(ctx, hand), bears);
}

/**
 * The loss as the plant bears it that day: as wanted, or root and top made lighter together, so far as the reserve
 * stays at the floor. The drop is in proportion to the share taken, so the share is exact. `forced`: by the
 * grower's own word, whole.
 */
export function lossOf(ctx: Context, hand: StepInHand, plant: Plant, forced = false): Loss {
  const { rootLoss: root, topLoss: top } = hand;
  const drop = reserveDrop(ctx.tolerance, plant.vigour, root, top);
  if (forced || root <= 0 || drop <= 0) return { root, top, drop, share: 1 };
  const share = Math.min(1, largestCut(ctx, hand) / root, spareOf(ctx, plant) / drop);
  return { root: share * root, top: share * top, drop: share * drop, share };
}

/** Vigour the plan lets plants grow to by themselves. */
const STRONG = 4;
/** Most of the top that a strong plant of the group bears to lose at once, and stays at its floor. */
export const mostTop = (t: Context['tolerance']): number =>
  (RESERVE_CAP[STRONG] - t.floor.value) / reserveDrop(t, STRONG, 0, 1);

const lightest = ({ op }: StepInHand) => (op.whole ? 1 : LIGHTEST);

/** What to take of the root: as wanted, or as much as the plant bears. */
export function rootCut(ctx: Context, hand: StepInHand, plant: Plant, forced = false) {
  if (hand.rootLoss <= 0) return null;
  const limit = rootLimit(ctx, hand, plant);
  const { root } = lossOf(ctx, hand, plant, forced);
  return { wanted: round(hand.rootLoss), limit: round(limit), take: round(root) };
}

/** Why no more of the root may go than that. */
export function rootCutReason(
  ctx: Context,
  hand: StepInHand,
  plant: Plant,
  cut: NonNullable<ReturnType<typeof rootCut>>,
): Reason {
  const t = ctx.tolerance;
  const withTop = hand.topLoss > 0 ? ', with what goes of the top' : '';
  return {
    rule: 'reserve',
    text:
      `Up to ${percent(cut.limit)} of the root may go that day; ` +
      (cut.take < cut.wanted
        ? `${percent(cut.wanted)} is wanted, so the cut is held to ${percent(cut.take)}${withTop}`
        : `${percent(cut.wanted)} is wanted`),
    binding: false,
    figures: [
      { label: 'reserve then', value: round(plant.reserve), unit: '', basis: 'computed' },
      { label: `floor for ${t.name}`, value: t.floor.value, unit: '', basis: t.floor.basis },
      { label: 'bears root loss', value: t.rootTolerance.value, unit: 'of 1', basis: t.rootTolerance.basis },
      {
        label: 'largest cut at once',
        value: Math.round(largestCut(ctx, hand) * 100),
        unit: '% of root',
        basis: t.largestRootCut.basis,
      },
      { label: 'vigour', value: plant.vigour, unit: 'of 5', basis: 'computed' },
    ],
  };
}

function dayWhenBearing(ctx: Context, plant: Plant, root: number, top: number): Day | 'never' {
  const probe = plant.clone();
  for (let tries = 0; tries < 6; tries++) {
    const need = ctx.tolerance.floor.value + reserveDrop(ctx.tolerance, probe.vigour, root, top);
    if (RESERVE_CAP[probe.vigour] >= need) {
      const gain = (RESERVE_GAIN.value * probe.vigour) / 3;
      return afterSeasons(ctx.seasons, probe.day, Math.max(0.05, (need - probe.reserve) / gain));
    }
    probe.advance(afterSeasons(ctx.seasons, probe.day, 1) + 1);
  }
  return 'never';
}

/** Reserve and vigour: never below the floor of the group, by exactly the loss that the plant then suffers. */
export function reserve(ctx: Context, hand: StepInHand, plant: Plant): Demand | null {
  if (hand.rootLoss + hand.topLoss === 0) return null;
  const t = ctx.tolerance;
  const { drop, share } = lossOf(ctx, hand, plant);
  const left = plant.reserve - drop;
  if (share >= lightest(hand) - 1e-9 && left >= t.floor.value - 1e-9) return null;
  // least that is worth doing; the whole where it is all or nothing, or only the top is cut
  const part = hand.rootLoss > 0 ? lightest(hand) : 1;
  const root = hand.rootLoss * part;
  const top = hand.topLoss * part;
  const largest = largestCut(ctx, hand);
  if (root > largest + 1e-9)
    return {
      rule: 'reserve',
      notBefore: 'never',
      code: 'beyond-reserve',
      offers: 'Work in stages: one side, ball kept',
      text: `${t.name} bear at most ${percent(largest)} of the root at once; this work wants ${percent(hand.rootLoss)}`,
      figures: [
        {
          label: 'largest cut at once',
          value: Math.round(largest * 100),
          unit: '% of root',
          basis: t.largestRootCut.basis,
        },
      ],
    };
  const weighed = reserveDrop(t, plant.vigour, root, top);
  const weak = RESERVE_CAP[plant.vigour] < t.floor.value + weighed;
  const figures: Figure[] = [
    { label: 'reserve then', value: round(plant.reserve), unit: '', basis: 'computed' },
    { label: 'the work takes', value: round(weighed), unit: '', basis: 'computed' },
    { label: `floor for ${t.name}`, value: t.floor.value, unit: '', basis: t.floor.basis },
    { label: 'vigour', value: plant.vigour, unit: 'of 5', basis: 'computed' },
  ];
  const notBefore = dayWhenBearing(ctx, plant, root, top);
  return {
    rule: weak ? 'vigour' : 'reserve',
    notBefore,
    ...(notBefore === 'never' ? { code: 'beyond-reserve' as const } : {}),
    text:
      notBefore === 'never'
        ? `Too weak: the work would leave it below the floor in any season`
        : `${weak ? `Vigour ${plant.vigour} cannot carry it` : 'Reserve too low'}: would fall to ${round(plant.reserve - weighed)}, floor ${t.floor.value}; strong enough from {${toIso(notBefore)}}`,
    figures,
  };
}

export const reserveWords: RuleWords = {
  name: 'reserve',
  words: 'Reserve',
  wouldChange: 'A lighter cut, or a season undisturbed.',
};
export const reserveRule: RuleOf<'on the day'> = { ...reserveWords, when: 'on the day', ask: reserve };

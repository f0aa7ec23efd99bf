import { toIso, type Day } from '../../calendar/index.ts';
import { afterSeasons } from '../growing.ts';
import { RESERVE_CAP, RESERVE_GAIN, WEAKNESS, reserveDrop, type Tree } from '../tree.ts';
import type { Context, Demand, Figure, Reason, StepInHand } from '../types.ts';

/** A cut is made lighter down to this part of what is wanted; below it the work is put off. */
const LIGHTEST = 0.6;
const round = (x: number) => Math.round(x * 100) / 100;

/** Largest share of the root that may go today: min(largest cut, (E − floor)·τr ÷ (0.5·q)). */
export function rootLimit(ctx: Context, tree: Tree): number {
  const t = ctx.tolerance;
  const spare = Math.max(0, tree.reserve - t.floor.value);
  return Math.min(t.largestRootCut.value, (spare * t.rootTolerance.value) / (0.5 * WEAKNESS[tree.vigour]));
}

/** What to take of the root: as wanted, or as much as the plant bears. */
export function rootCut(ctx: Context, hand: StepInHand, tree: Tree) {
  if (hand.rootLoss <= 0) return null;
  const limit = rootLimit(ctx, tree);
  return { wanted: hand.rootLoss, limit: round(limit), take: round(Math.min(hand.rootLoss, limit)) };
}

/** Why no more of the root may go than that. */
export function rootCutReason(
  ctx: Context,
  tree: Tree,
  cut: NonNullable<ReturnType<typeof rootCut>>,
): Reason {
  const t = ctx.tolerance;
  const percent = (x: number) => Math.round(x * 100);
  return {
    rule: 'reserve',
    text:
      `Up to ${percent(cut.limit)} % of the root may go that day; ` +
      (cut.take < cut.wanted
        ? `${percent(cut.wanted)} % is wanted, so the cut is held to ${percent(cut.take)} %`
        : `${percent(cut.wanted)} % is wanted`),
    binding: false,
    figures: [
      { label: 'reserve then', value: round(tree.reserve), unit: '', basis: 'computed' },
      { label: `floor for ${t.name}`, value: t.floor.value, unit: '', basis: t.floor.basis },
      { label: 'bears root loss', value: t.rootTolerance.value, unit: 'of 1', basis: t.rootTolerance.basis },
      {
        label: 'largest cut at once',
        value: percent(t.largestRootCut.value),
        unit: '% of root',
        basis: t.largestRootCut.basis,
      },
      { label: 'vigour', value: tree.vigour, unit: 'of 5', basis: 'computed' },
    ],
  };
}

function dayWhenBearing(ctx: Context, tree: Tree, drop: number): Day | 'never' {
  const need = ctx.tolerance.floor.value + drop;
  const probe = tree.clone();
  for (let tries = 0; tries < 6; tries++) {
    if (RESERVE_CAP[probe.vigour] >= need) {
      const gain = (RESERVE_GAIN.value * probe.vigour) / 3;
      return afterSeasons(ctx, probe.day, Math.max(0.05, (need - probe.reserve) / gain));
    }
    probe.advance(afterSeasons(ctx, probe.day, 1) + 1);
  }
  return 'never';
}

/** Reserve and vigour: never below the floor of the group. */
export function reserve(ctx: Context, hand: StepInHand, tree: Tree): Demand | null {
  const cut = rootCut(ctx, hand, tree);
  if (hand.rootLoss + hand.topLoss === 0) return null;
  const t = ctx.tolerance;
  const root = cut && cut.take >= LIGHTEST * cut.wanted ? cut.take : hand.rootLoss;
  // a lightened root cut goes with a lightened top
  const top = cut && cut.take < cut.wanted ? hand.topLoss * (root / cut.wanted) : hand.topLoss;
  const drop = reserveDrop(ctx, tree.vigour, root, Math.min(top, hand.topLoss));
  const alone = reserveDrop(ctx, tree.vigour, root, 0);
  const weighed = root >= top ? alone : drop;
  if (tree.reserve - weighed >= t.floor.value - 0.005) return null;
  const weak = RESERVE_CAP[tree.vigour] < t.floor.value + weighed;
  const figures: Figure[] = [
    { label: 'reserve then', value: round(tree.reserve), unit: '', basis: 'computed' },
    { label: 'the work takes', value: round(weighed), unit: '', basis: 'computed' },
    { label: `floor for ${t.name}`, value: t.floor.value, unit: '', basis: t.floor.basis },
    { label: 'vigour', value: tree.vigour, unit: 'of 5', basis: 'computed' },
  ];
  const notBefore = dayWhenBearing(ctx, tree, weighed);
  return {
    rule: weak ? 'vigour' : 'reserve',
    notBefore,
    text:
      notBefore === 'never'
        ? `Too weak: the work would leave it below the floor in any season`
        : `${weak ? `Vigour ${tree.vigour} cannot carry it` : 'Reserve too low'}: would fall to ${round(tree.reserve - weighed)}, floor ${t.floor.value}; strong enough from {${toIso(notBefore)}}`,
    figures,
  };
}

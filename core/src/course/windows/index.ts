import type { Day } from '../../calendar/index.ts';
import { windowFor, windowOf, type WindowSpec } from '../../operations/index.ts';
import type { Plant } from '../../plant/index.ts';
import { chosen } from '../../schools/index.ts';
import type { Context, StepInHand } from '../types.ts';
import { coldWindow } from './cold.ts';
import { seasonWindow } from './season.ts';
import { sinceWindow } from './since.ts';
import { USABLE, type NoWindow, type Window } from './types.ts';

export * from './types.ts';

/** The window an operation has for this cohort: by step, by school, by kind. */
function specOf(ctx: Context, hand: StepInHand): WindowSpec | null {
  if (hand.step.window) return hand.step.window;
  const usual = windowFor(hand.op, ctx.taxon);
  if (!hand.op.schoolWindows) return usual;
  const { question, options } = hand.op.schoolWindows;
  const schools = options[chosen(question, ctx.levels).option];
  if (!schools) return usual;
  // kinds ruled by warmth follow a school only where it says what it means for them
  const own = ctx.taxon.phenology === 'warm-season' ? { ...schools, any: undefined } : schools;
  return windowOf(own, ctx.taxon) ?? usual;
}

/** The first window of a step with at least so many days left on or after `from`. */
export function findWindow(
  ctx: Context,
  hand: StepInHand,
  from: Day,
  plant: Plant,
  least = USABLE,
): Window | NoWindow {
  const spec = specOf(ctx, hand);
  if (!spec) return { none: `not done on ${ctx.tolerance.name}`, code: 'not-for-kind' };
  if (spec.kind === 'season') return seasonWindow(ctx, spec, from, least, hand.op.budsDecide);
  if (spec.kind === 'cold') return coldWindow(ctx, hand, spec, from, least);
  return sinceWindow(ctx, hand, spec, from, plant);
}

import { toDay } from '../calendar/index.ts';
import type { Context, StepFact, StepInHand } from './types.ts';

/** The step this one is aftercare of, where that was done on a part of the plants only. */
export function partedFrom(ctx: Context, { step }: StepInHand): StepFact | null {
  const of = step.chain === null ? undefined : ctx.facts.steps[step.chain];
  return of?.status === 'planned' && of.part && of.partOn ? of : null;
}

/** Plants a step is still to be done on: aftercare follows the part that was worked. */
export function leftOf(ctx: Context, hand: StepInHand): number {
  const all = partedFrom(ctx, hand)?.part ?? ctx.facts.live;
  return Math.max(0, all - (hand.fact.part ?? 0));
}

/** For as long as aftercare of a part is laid out, the work it follows counts as done on that part's day. */
export function withPart(ctx: Context, hand: StepInHand, lay: () => void): void {
  const part = partedFrom(ctx, hand);
  const key = hand.step.chain!;
  const whole = ctx.dates.get(key);
  if (!part || !whole) return lay();
  ctx.dates.set(key, { ...whole, day: toDay(part.partOn!), done: true });
  lay();
  ctx.dates.set(key, whole);
}

/** Aftercare that was done on the whole of its part is over for what follows it: a cover that is on comes off. */
export function endWhenCaredFor(ctx: Context, hand: StepInHand): void {
  const { key } = hand.step;
  const laid = ctx.dates.get(key);
  if (!laid || !hand.fact.partOn || partedFrom(ctx, hand) === null || leftOf(ctx, hand) > 0) return;
  ctx.dates.set(key, { ...laid, day: toDay(hand.fact.partOn), done: true });
}

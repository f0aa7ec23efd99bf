import type { Fitting } from '../operations/index.ts';
import type { Day } from '../calendar/index.ts';
import type { Placement } from './place.ts';
import type { Context, PlannedStep, StepInHand } from './types.ts';

/** Days after its window in which small care may still be recorded before it lapses. */
export const GRACE_DAYS = 14;

/** What stays on a plant when its container is opened. */
const STAYS_ON: ReadonlySet<Fitting> = new Set([
  'wire',
  'binding',
  'tourniquet',
  'cage wire',
  'stake',
  'cover',
  'repellent',
]);

/** A course as far as it is laid out. */
interface LaidOut {
  ctx: Context;
  hands: readonly StepInHand[];
  planned: ReadonlyMap<string, PlannedStep>;
}

/** Whether plants were opened again since aftercare was due: what it would have looked at is gone. */
function overtaken({ ctx, hands }: LaidOut, { step, op }: StepInHand, due: Day): boolean {
  if (op.tends && STAYS_ON.has(op.tends.what)) return false;
  return hands.some((other) => {
    const opens = other.rootLoss > 0 || other.step.container !== undefined;
    const at = ctx.dates.get(other.step.key);
    return opens && !other.step.chain && other.step.key !== step.chain && at?.done === true && at.day! > due;
  });
}

/** Whether aftercare is not asked for: the work before it was left out, or it is small care whose time has gone by. */
export function lapses(course: LaidOut, hand: StepInHand, found: Placement): boolean {
  const { step, op, fact } = hand;
  if (!step.chain) return false;
  const leftOut = (key: string) => ['dropped', 'lapsed'].includes(course.planned.get(key)?.status ?? '');
  if (fact.lapsed || leftOut(step.chain) || leftOut(step.after[0].step)) return true;
  const parent = course.ctx.dates.get(step.after[0].step);
  if (parent?.done !== true || found.window === null) return false;
  if (overtaken(course, hand, found.window.opens)) return true;
  return op.lapses === true && found.window.closes + GRACE_DAYS < course.ctx.today;
}

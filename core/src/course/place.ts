import { toDay, toIso, type Day } from '../calendar/index.ts';
import type { Plant } from '../plant/index.ts';
import { BEFORE, IN_THE_WINDOW, ON_THE_DAY } from './rules/index.ts';
import type { LastWorks } from './rules/rule.ts';
import type { Context, Demand, RefusalCode, StepInHand } from './types.ts';
import { findWindow, type Window } from './windows/index.ts';

const MOST_PUSHES = 30;
/** The plan counts on a day a third into the window. */
const TARGET_AT = 0.35;

export interface Placement {
  window: Window | null;
  target: Day | null;
  demands: Demand[];
  /** the rule that looked at the plant and moved the step to another window */
  pushedBy: Demand | null;
  /** the plant on the target day; null for work that asks nothing of it */
  plant: Plant | null;
  none: string | null;
  code: RefusalCode | null;
  offers: string | null;
  /** the target was chosen by the levelled year or by hand, inside the window */
  chosen: 'week' | 'hand' | null;
}

/** Whether the plant itself, or what was done before, has a say in the day. */
const asksThePlant = ({ op, step, rootLoss, topLoss }: StepInHand): boolean =>
  rootLoss + topLoss > 0 ||
  op.recovery.value > 0 ||
  Boolean(step.conditions || step.container || op.apart || op.guard || op.wantsLight || op.exposes);

/** Whether a day may be chosen: from today on, and inside the window unless that has passed. */
const isInside = (w: Window, today: Day, day: Day): boolean =>
  day >= today && (w.closes < today || (day >= w.opens && day <= w.closes));

function chooseDay(
  hand: StepInHand,
  w: Window,
  today: Day,
  plant: Plant,
): Pick<Placement, 'target' | 'chosen'> {
  const { moved, week } = hand.fact;
  // what is late may be set to any day from now on
  const late = w.closes < today;
  if (moved && !moved.overrides && isInside(w, today, toDay(moved.to)))
    return { target: toDay(moved.to), chosen: 'hand' };
  if (week) {
    const monday = toDay(week);
    const day = Math.min(Math.max(monday + 2, w.opens, today), late ? monday + 6 : w.closes);
    if (day >= monday && day <= monday + 6 && isInside(w, today, day)) return { target: day, chosen: 'week' };
  }
  // what may go with the root work is done while the plant is on the table
  const onTheTable = hand.op.sameSitting === true && plant.lastRoots?.day === w.opens;
  const ideal = w.opens + (onTheTable ? 0 : Math.round(TARGET_AT * (w.closes - w.opens)));
  return { target: Math.max(ideal, today), chosen: null };
}

/** What the rules say before a day is looked for. */
function spokenBefore(ctx: Context, hand: StepInHand): Demand[] {
  const demands: Demand[] = [];
  for (const rule of BEFORE) demands.push(...rule.ask(ctx, hand));
  return demands;
}

/** What the first rule has against a window that was found. */
function cutOff(ctx: Context, hand: StepInHand, window: Window): Demand | null {
  for (const rule of IN_THE_WINDOW) {
    const demand = rule.ask(ctx, hand, window);
    if (demand) return demand;
  }
  return null;
}

/** What every rule says of a day; the plant is grown to it. */
function onTheDay(ctx: Context, hand: StepInHand, then: Plant, last: LastWorks): Demand[] {
  const demands: Demand[] = [];
  for (const rule of ON_THE_DAY) {
    const demand = rule.ask(ctx, hand, then, last);
    if (demand) demands.push(demand);
  }
  return demands;
}

const placed = (
  window: Window,
  { target, chosen }: Pick<Placement, 'target' | 'chosen'>,
  demands: Demand[],
  pushedBy: Demand | null,
  plant: Plant | null,
): Placement => ({ window, target, chosen, demands, pushedBy, plant, none: null, code: null, offers: null });

const nowhere = (
  demands: Demand[],
  pushedBy: Demand | null,
  none: string,
  code: RefusalCode,
  offers: string | null = null,
): Placement => ({
  window: null,
  target: null,
  chosen: null,
  demands,
  pushedBy,
  plant: null,
  none,
  code,
  offers,
});

/** Finds the first day on which every rule agrees, or says which one never will. */
export function place(ctx: Context, hand: StepInHand, plant: Plant, last: LastWorks): Placement {
  const demands = spokenBefore(ctx, hand);
  let pushedBy: Demand | null = null;
  const never = demands.find((d) => d.notBefore === 'never');
  if (never)
    return nowhere(demands, pushedBy, never.text, never.code ?? 'rules-disagree', never.offers ?? null);
  let from = Math.max(...demands.map((d) => d.notBefore as Day));
  let free = false;

  for (let push = 0; push < MOST_PUSHES; push++) {
    const window = findWindow(ctx, hand, from, plant);
    if ('none' in window) return nowhere(demands, pushedBy, window.none, window.code);
    const cut = cutOff(ctx, hand, window);
    if (cut) {
      demands.push(cut);
      if (cut.notBefore === 'never')
        return nowhere(demands, pushedBy, cut.text, 'layer-cut-off', cut.offers ?? null);
      window.closes = Math.min(window.closes, cut.closesBy ?? window.closes);
    }
    const choice = chooseDay(
      free ? { ...hand, fact: { ...hand.fact, week: undefined, moved: undefined } } : hand,
      window,
      ctx.today,
      plant,
    );
    const target = choice.target!;
    if (!asksThePlant(hand)) return placed(window, choice, demands, pushedBy, null);
    const then = plant.clone().advance(target);
    const pushed = onTheDay(ctx, hand, then, last);
    const blocking = pushed.find((d) => d.notBefore === 'never' || d.notBefore > target);
    const late = pushed.filter((d) => d.notBefore !== 'never' && d.notBefore > window.opens);
    if (!blocking) {
      for (const d of late) if (!demands.some((x) => x.text === d.text)) demands.push(d);
      window.opens = Math.max(window.opens, ...late.map((d) => d.notBefore as Day));
      window.closes = Math.max(window.closes, window.opens);
      window.early = Math.max(window.early, from);
      window.late = Math.max(window.late, window.opens);
      return placed(window, choice, demands, pushedBy, then);
    }
    // a day chosen by the week or by hand gives way before the window does
    if (choice.chosen) {
      free = true;
      continue;
    }
    demands.push(blocking);
    pushedBy = blocking;
    if (blocking.notBefore === 'never')
      return nowhere(
        demands,
        pushedBy,
        blocking.text,
        blocking.code ?? 'rules-disagree',
        blocking.offers ?? null,
      );
    from = Math.max(from, blocking.notBefore);
  }
  return nowhere(
    demands,
    pushedBy,
    pushedBy?.text ?? 'no window in which every rule agrees',
    'rules-disagree',
  );
}

/** The first rule that speaks against doing a step on a day; null when all agree. */
export function objection(
  ctx: Context,
  hand: StepInHand,
  plant: Plant,
  last: LastWorks,
  day: Day,
): { rule: Demand['rule']; text: string } | null {
  if (day < ctx.today) return { rule: 'order', text: 'That day has passed: record the step instead' };
  const before = spokenBefore(ctx, hand).filter((d) => d.rule !== 'put off');
  const early = before.find((d) => d.notBefore === 'never' || d.notBefore > day);
  if (early) return early;
  const window = findWindow(ctx, hand, day, plant, 0);
  if ('none' in window) return { rule: 'window', text: window.none };
  if (window.opens > day || window.closes < day) {
    const earliest = Math.max(ctx.today, ...before.map((d) => d.notBefore as Day));
    const sooner = findWindow(ctx, hand, earliest, plant);
    const closed = !('none' in sooner) && sooner.closes < day;
    return {
      rule: 'window',
      text: closed
        ? `The window {${toIso(sooner.opens)}} to {${toIso(sooner.closes)}} has closed by then; the next opens {${toIso(window.opens)}}. ${sooner.text}`
        : `The window opens {${toIso(window.opens)}} and closes {${toIso(window.closes)}}. ${window.text}`,
    };
  }
  const cut = cutOff(ctx, hand, window);
  if (cut && (cut.notBefore === 'never' || day > (cut.closesBy ?? day))) return cut;
  const then = plant.clone().advance(day);
  return onTheDay(ctx, hand, then, last).find((d) => d.notBefore === 'never' || d.notBefore > day) ?? null;
}

import { toDay, toIso, type Day, type IsoDate } from '../calendar/index.ts';
import { operation } from '../operations/index.ts';
import type { ProgrammeStep } from '../programmes/index.ts';
import type { SeasonBook } from '../season/book.ts';
import { taxon, toleranceOf } from '../taxa/index.ts';
import { condition } from './rules/condition.ts';
import { order } from './rules/order.ts';
import { putOff } from './rules/put-off.ts';
import { recovery, type LastWork } from './rules/recovery.ts';
import { reserve, rootCut, rootCutReason } from './rules/reserve.ts';
import { school } from './rules/school.ts';
import { Tree } from './tree.ts';
import type { Context, Course, CourseFacts, Demand, PlannedStep, Reason, StepInHand } from './types.ts';
import { findWindow, type Window } from './window.ts';

/** Rules that look at the plant as it will be on the day in question. */
const ON_THE_DAY = [recovery, school, condition, reserve];
const MOST_PUSHES = 30;
/** The plan counts on a day a third into the window. */
const TARGET_AT = 0.35;

function inHand(step: ProgrammeStep): StepInHand {
  const op = operation(step.operation);
  return {
    step,
    op,
    rootLoss: step.rootLoss ?? op.rootLoss.value,
    topLoss: step.topLoss ?? op.topLoss.value,
  };
}

const plain = (d: Demand): Reason => ({
  rule: d.rule,
  text: d.text,
  figures: d.figures,
  binding: false,
});

interface Placement {
  window: Window | null;
  target: Day | null;
  demands: Demand[];
  /** the rule that looked at the plant and moved the step to another window */
  pushedBy: Demand | null;
  tree: Tree;
  none: string | null;
}

/** The decisive reason: the rule that last pushed the step on, else the one asking for the latest day. */
function withBinding({ demands, window, pushedBy }: Placement): Reason[] {
  const rank = (d: Demand) => (d.notBefore === 'never' ? Infinity : d.notBefore);
  const latest =
    pushedBy ?? demands.reduce<Demand | null>((best, d) => (best && rank(best) >= rank(d) ? best : d), null);
  const reasons = demands.map((d) => ({
    ...plain(d),
    binding: d === latest && (!window || d === pushedBy || rank(d) >= window.opens),
  }));
  if (window)
    reasons.unshift({
      rule: 'window',
      text: window.text,
      figures: window.figures,
      binding: !reasons.some((r) => r.binding),
    });
  if (window?.missed)
    reasons.push({
      rule: 'window',
      text: `The window {${toIso(window.missed.opens)}} to {${toIso(window.missed.closes)}} passed undone`,
      figures: [],
      binding: false,
    });
  return reasons;
}

/** Finds the first day on which every rule agrees, or says which one never will. */
function place(ctx: Context, hand: StepInHand, tree: Tree, last: ReadonlyMap<string, LastWork>): Placement {
  const demands = [...order(ctx, hand), ...putOff(ctx, hand)];
  let pushedBy: Demand | null = null;
  const fail = (none: string): Placement => ({
    ...{ window: null, target: null, demands, pushedBy, tree, none },
  });
  const never = demands.find((d) => d.notBefore === 'never');
  if (never) return fail(never.text);
  let from = Math.max(...demands.map((d) => d.notBefore as Day));

  for (let push = 0; push < MOST_PUSHES; push++) {
    const window = findWindow(ctx, hand, from);
    if ('none' in window) return fail(window.none);
    const ideal = window.opens + Math.round(TARGET_AT * (window.closes - window.opens));
    const target = Math.max(ideal, ctx.today);
    const then = tree.clone().advance(target);
    const pushed = ON_THE_DAY.map((rule) => rule(ctx, hand, then, last)).filter(
      (d): d is Demand => d !== null,
    );
    const blocking = pushed.find((d) => d.notBefore === 'never' || d.notBefore > target);
    const late = pushed.filter((d) => d.notBefore !== 'never' && d.notBefore > window.opens);
    if (!blocking) {
      for (const d of late) if (!demands.some((x) => x.text === d.text)) demands.push(d);
      const opens = Math.max(window.opens, ...late.map((d) => d.notBefore as Day));
      return {
        window: { ...window, opens, early: Math.max(window.early, from), late: Math.max(window.late, opens) },
        ...{ target, demands, pushedBy, tree: then, none: null },
      };
    }
    demands.push(blocking);
    pushedBy = blocking;
    if (blocking.notBefore === 'never') return fail(blocking.text);
    from = Math.max(from, blocking.notBefore);
  }
  return fail('no window in which every rule agrees');
}

/**
 * Compiles a cohort's course: every step of its programme with the window that holds, the day the plan
 * counts on, and the rules that put it there. Steps done keep their day; everything else is planned
 * from the season book of the cohort's place as seen on `today`. Pure and deterministic.
 */
export function compileCourse(facts: CourseFacts, book: SeasonBook, today: IsoDate): Course {
  const t = taxon(facts.taxonId);
  const ctx: Context = {
    facts,
    taxon: t,
    tolerance: toleranceOf(t),
    book,
    today: toDay(today),
    dates: new Map(),
  };
  let tree = new Tree(ctx);
  const last = new Map<string, LastWork>();
  const planned = new Map<string, PlannedStep>();
  const hands = facts.programme.steps.map(inHand);

  const settle = (hand: StepInHand, day: Day, done: boolean, root: number, into: string | null) => {
    const title = hand.step.title ?? hand.op.name;
    ctx.dates.set(hand.step.key, { day, title, done });
    if (tree.day < day) tree.advance(day);
    tree.suffer(root, hand.topLoss, title, into);
    if (hand.rootLoss + hand.topLoss > 0)
      last.set(hand.op.lane, { day, title, seasons: hand.op.recovery.value });
  };
  const base = (hand: StepInHand): PlannedStep => ({
    key: hand.step.key,
    operation: hand.op.id,
    title: hand.step.title ?? hand.op.name,
    lane: hand.op.lane,
    status: 'planned',
    ...{ opens: null, closes: null, opensEarly: null, opensLate: null, target: null, doneOn: null },
    container: hand.step.container ?? null,
    rootCut: null,
    ready: hand.step.after.every((a) => ctx.dates.get(a.step)?.done ?? true),
    minutes: Math.ceil(hand.op.minutes.value * facts.live),
    reasons: [],
  });

  // what is done comes first, in the order it happened; the plan is laid on top of it
  const done = hands
    .filter((h) => facts.steps[h.step.key]?.status === 'done')
    .sort((a, b) => (facts.steps[a.step.key].doneOn! < facts.steps[b.step.key].doneOn! ? -1 : 1));
  for (const hand of done) {
    const fact = facts.steps[hand.step.key];
    const into = fact.container ?? hand.step.container ?? null;
    settle(hand, toDay(fact.doneOn!), true, hand.rootLoss, into);
    planned.set(hand.step.key, {
      ...base(hand),
      status: 'done',
      doneOn: fact.doneOn!,
      container: into,
    });
  }

  for (const hand of hands) {
    const status = facts.steps[hand.step.key]?.status ?? 'planned';
    if (status === 'done') continue;
    const row = base(hand);
    if (status === 'dropped') {
      const before = hand.step.after.map((a) => ctx.dates.get(a.step)?.day ?? tree.day);
      ctx.dates.set(hand.step.key, {
        day: Math.max(toDay(facts.startedOn), ...before),
        title: row.title,
        done: true,
      });
      planned.set(row.key, { ...row, status: 'dropped' });
      continue;
    }
    const found = place(ctx, hand, tree, last);
    const reasons = withBinding(found);
    if (found.target === null || !found.window) {
      ctx.dates.set(row.key, { day: null, title: row.title, done: false });
      const none: Reason = { rule: 'window', text: found.none!, figures: [], binding: true };
      const told = reasons.some((r) => r.text === found.none);
      planned.set(row.key, { ...row, status: 'none', reasons: told ? reasons : [none, ...reasons] });
      continue;
    }
    const cut = rootCut(ctx, hand, found.tree);
    if (tree.day < found.target) tree = found.tree;
    settle(hand, found.target, false, cut?.take ?? 0, row.container);
    planned.set(row.key, {
      ...row,
      opens: toIso(found.window.opens),
      closes: toIso(found.window.closes),
      opensEarly: toIso(found.window.early),
      opensLate: toIso(found.window.late),
      target: toIso(found.target),
      rootCut: cut,
      reasons: cut ? [...reasons, rootCutReason(ctx, found.tree, cut)] : reasons,
    });
  }

  const end = [...ctx.dates.values()].reduce((m, d) => Math.max(m, d.day ?? 0), 0);
  tree.advance(Math.max(end, ctx.today, tree.day) + 366);
  return {
    steps: facts.programme.steps.map((s) => planned.get(s.key)!),
    rings: tree.rings,
    endsOn: end > 0 ? toIso(end) : null,
  };
}

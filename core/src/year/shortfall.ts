import { overloadOf, type YearPlan, type YearProblem, type YearStep } from './problem.ts';

/** Work that the people of a week cannot do, and whether its window is lost with it. */
export interface Shortfall {
  id: string;
  week: number;
  minutes: number;
  /** no later week of its window has the hands for it */
  windowLost: boolean;
  /** what the week lacks: people at once, hours of those with practice, or hours of anybody */
  lacks: 'people' | 'practice' | 'hours';
}

/** What a step that has its week brings to one week, with its aftercare. */
interface Brought {
  step: YearStep;
  all: number;
  skilled: number;
  /** aftercare alone: its own work falls into another week */
  after: boolean;
  /** last week to which its window would let this go */
  latest: number;
}

/** What every step brings to each week, by week. */
function broughtTo(p: YearProblem, plan: YearPlan): Brought[][] {
  const weeks = Array.from({ length: p.weeks }, () => new Map<string, Brought>());
  const steps = new Map(p.steps.map((s) => [s.id, s]));
  for (const { id, week, later } of plan.placed) {
    const step = steps.get(id)!;
    const add = (w: number, minutes: number, skilled: boolean, after: boolean) => {
      if (w >= p.weeks || minutes === 0) return;
      const latest = w + step.to - week;
      const here = weeks[w].get(id) ?? { step, all: 0, skilled: 0, after, latest };
      here.all += minutes;
      if (skilled) here.skilled += minutes;
      weeks[w].set(id, here);
    };
    add(week, step.minutes * (1 - later), step.skilled, false);
    add(week + 1, step.minutes * later, step.skilled, false);
    for (const t of step.trail) add(week + t.weeks, t.minutes, t.skilled, true);
  }
  return weeks.map((w) => [...w.values()]);
}

/**
 * What would not fit: in each overfull week the least urgent work goes first, whole steps with their aftercare at a
 * time; aftercare of what was done before goes last.
 */
export function shortfalls(p: YearProblem, plan: YearPlan): Shortfall[] {
  const steps = new Map(p.steps.map((s) => [s.id, s]));
  const spare = plan.load.map((l, w) => p.capacity.all[w] - l.all);
  const out = new Map<string, Shortfall>();
  for (const { id, week } of plan.placed) {
    const s = steps.get(id)!;
    if (s.crew > p.hands[week])
      out.set(id, { id, week, minutes: s.minutes, windowLost: week >= s.to, lacks: 'people' });
  }
  const brought = broughtTo(p, plan);
  plan.load.forEach((l, week) => {
    let { all, skilled } = l;
    if (l.over < 1) return;
    const practice = l.skilled - p.capacity.skilled[week] > l.all - p.capacity.all[week];
    const here = brought[week].sort(
      (a, b) =>
        Number(a.after) - Number(b.after) ||
        b.step.to - a.step.to ||
        a.step.priority - b.step.priority ||
        b.step.minutes - a.step.minutes,
    );
    for (const b of here) {
      if (overloadOf(all, skilled, p.capacity.all[week], p.capacity.skilled[week]) < 1) return;
      if (practice && b.skilled === 0) continue;
      all -= b.all;
      skilled -= b.skilled;
      const { id } = b.step;
      if (out.has(id)) continue;
      const later = spare.findIndex((free, w) => w > week && w <= b.latest && free >= b.all);
      if (later >= 0) spare[later] -= b.all;
      const lacks = practice ? 'practice' : 'hours';
      out.set(id, { id, week, minutes: b.all, windowLost: later < 0, lacks });
    }
  });
  return [...out.values()];
}

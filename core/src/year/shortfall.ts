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

/** What would not fit: in each overfull week the least urgent work goes first, whole steps at a time. */
export function shortfalls(p: YearProblem, plan: YearPlan): Shortfall[] {
  const steps = new Map(p.steps.map((s) => [s.id, s]));
  const spare = plan.load.map((l, w) => p.capacity.all[w] - l.all);
  const out: Shortfall[] = [];
  for (const { id, week } of plan.placed) {
    const s = steps.get(id)!;
    if (s.crew > p.hands[week])
      out.push({ id, week, minutes: s.minutes, windowLost: week >= s.to, lacks: 'people' });
  }
  const byWeek = plan.load.map((): YearStep[] => []);
  for (const x of plan.placed) byWeek[x.week].push(steps.get(x.id)!);
  plan.load.forEach((l, week) => {
    let { all, skilled } = l;
    if (l.over < 1) return;
    const here = byWeek[week].sort((a, b) => b.to - a.to || a.priority - b.priority || b.minutes - a.minutes);
    for (const s of here) {
      if (overloadOf(all, skilled, p.capacity.all[week], p.capacity.skilled[week]) < 1) return;
      const practice = l.skilled - p.capacity.skilled[week] > l.all - p.capacity.all[week];
      if (practice && !s.skilled) continue;
      all -= s.minutes;
      if (s.skilled) skilled -= s.minutes;
      const later = spare.findIndex((free, w) => w > week && w <= s.to && free >= s.minutes);
      if (later >= 0) spare[later] -= s.minutes;
      const lacks = practice ? 'practice' : 'hours';
      out.push({ id: s.id, week, minutes: s.minutes, windowLost: later < 0, lacks });
    }
  });
  return out;
}

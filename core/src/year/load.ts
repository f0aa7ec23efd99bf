import { overloadOf, type WeekLoad, type YearProblem } from './problem.ts';

/** Work of each week, minutes, when steps fall into these weeks, with the shares left for the week after; aftercare with it. */
export function loadOf(
  problem: YearProblem,
  week: ReadonlyMap<string, number>,
  later: ReadonlyMap<string, number> = new Map(),
): WeekLoad[] {
  const load = Array.from({ length: problem.weeks }, () => ({ all: 0, skilled: 0, over: 0 }));
  const add = (w: number, minutes: number, skilled: boolean) => {
    if (w >= load.length) return;
    load[w].all += minutes;
    if (skilled) load[w].skilled += minutes;
  };
  for (const s of problem.steps) {
    const w = week.get(s.id) ?? s.ideal;
    const left = later.get(s.id) ?? 0;
    add(w, s.minutes * (1 - left), s.skilled);
    if (left > 0) add(w + 1, s.minutes * left, s.skilled);
    for (const t of s.trail) add(w + t.weeks, t.minutes, t.skilled);
  }
  load.forEach((l, w) => {
    l.over = overloadOf(l.all, l.skilled, problem.capacity.all[w], problem.capacity.skilled[w]);
  });
  return load;
}

import { random } from '@gonimos/core/random';
import type { YearProblem, YearStep } from '@gonimos/core/year';

/** A random year; `tight` is the share of capacity that the work takes. */
export function randomYear(seed: number, steps: number, weeks: number, tight: number): YearProblem {
  const rng = random(seed);
  const pick = (n: number) => Math.floor(rng.next() * n);
  const list = Array.from({ length: steps }, (_, i): YearStep => {
    const from = pick(weeks - 1);
    const to = Math.min(weeks - 1, from + 1 + pick(Math.min(8, weeks)));
    const before = i > 0 && rng.next() < 0.4 ? pick(i) : -1;
    return {
      id: `s${i}`,
      minutes: 30 + pick(400),
      skilled: rng.next() < 0.4,
      crew: 1,
      from,
      to,
      ideal: from + pick(to - from + 1),
      priority: 1 + pick(3),
      after: before >= 0 ? [{ id: `s${before}`, weeks: pick(2) }] : [],
      trail: rng.next() < 0.3 ? [{ weeks: 2, minutes: 20, skilled: false }] : [],
      locked: null,
    };
  });
  const total = list.reduce((n, s) => n + s.minutes, 0);
  const week = total / tight / weeks;
  const capacity = { all: Array(weeks).fill(week), skilled: Array(weeks).fill(week * 0.45) };
  return { weeks, capacity, hands: Array(weeks).fill(3), steps: list };
}

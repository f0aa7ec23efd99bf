import type { RoundStep } from '@gonimos/contract/round';

/** Steps under one heading. */
export interface Group {
  name: string;
  /** of several places: each step tells its own */
  mixed: boolean;
  minutes: number;
  steps: RoundStep[];
}

const isSmall = (s: RoundStep) => s.chain !== null || (s.lane === 'care' && s.minutes < 30);

/** Work with the same kit stands together, in the order in which the first of it closes. */
function byKit(steps: RoundStep[]): RoundStep[] {
  const first = new Map<string, number>();
  steps.forEach((s, i) => first.has(s.operation) || first.set(s.operation, i));
  return steps.toSorted((a, b) => first.get(a.operation)! - first.get(b.operation)!);
}

const groupOf = (name: string, steps: RoundStep[], mixed = false): Group => ({
  name,
  mixed,
  steps: byKit(steps),
  minutes: steps.reduce((n, s) => n + s.minutes, 0),
});

/** The day's work by place, in the order of the window that closes first; small care and looks at the end. */
export function groupsOf(due: readonly RoundStep[], placeName: (id: string) => string): Group[] {
  const places = new Map<string, RoundStep[]>();
  for (const s of due) if (!isSmall(s)) places.set(s.placeId, [...(places.get(s.placeId) ?? []), s]);
  const small = due.filter(isSmall);
  const groups = [...places].map(([id, steps]) => groupOf(placeName(id), steps));
  return small.length > 0 ? [...groups, groupOf('Aftercare and looks', small, true)] : groups;
}

/** The first `count` steps of them, under their headings. */
export function firstOf(groups: readonly Group[], count: number): Group[] {
  const first: Group[] = [];
  let left = count;
  for (const g of groups) {
    if (left <= 0) break;
    first.push({ ...g, steps: g.steps.slice(0, left) });
    left -= g.steps.length;
  }
  return first;
}

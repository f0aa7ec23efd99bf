import { QUARTERS, SPLIT_ABOVE, type YearProblem } from './problem.ts';

/** What an option of a step puts into the weeks: offset from its week, minutes, and those wanting practice. */
export interface LoadRow {
  offset: number;
  all: number;
  skilled: number;
}

/** A step made ready for the search: numbers instead of names, windows drawn in by what comes before and after. */
export interface Node {
  from: number;
  to: number;
  ideal: number;
  priority: number;
  /** the step on which it hangs in the forest, -1 for none, and the weeks between */
  parent: number;
  parentLag: number;
  children: number[];
  before: { node: number; lag: number }[];
  next: { node: number; lag: number }[];
  /** what it puts into the weeks by the quarters left for the week after; only the whole for a small step */
  parts: LoadRow[][];
}

/** An option of a step is a week and the quarters of it left for the week after. */
export const optionOf = (week: number, quarters = 0): number => QUARTERS * week + quarters;
export const weekOf = (option: number): number => Math.floor(option / QUARTERS);
export const laterOf = (option: number): number => option % QUARTERS;
/** The last week in which an option is at work. */
export const endOf = (option: number): number => weekOf(option) + (laterOf(option) > 0 ? 1 : 0);

function loads(rows: { weeks: number; minutes: number; skilled: boolean }[]): LoadRow[] {
  const by = new Map<number, LoadRow>();
  for (const r of rows) {
    const row = by.get(r.weeks) ?? { offset: r.weeks, all: 0, skilled: 0 };
    row.all += r.minutes;
    if (r.skilled) row.skilled += r.minutes;
    by.set(r.weeks, row);
  }
  return [...by.values()];
}

/**
 * Turns a year into nodes in an order in which every step follows those it waits for. An order that
 * cannot be kept inside the windows is left out and told. Throws RangeError for a circle of orders.
 */
export function buildNodes(p: YearProblem): { nodes: Node[]; order: number[]; outOfOrder: string[] } {
  const index = new Map(p.steps.map((s, i) => [s.id, i]));
  const ordinary = p.capacity.all.reduce((a, b) => a + b, 0) / Math.max(1, p.weeks);
  const last = p.weeks - 1;
  const clamp = (w: number) => Math.min(last, Math.max(0, w));
  const nodes = p.steps.map((s): Node => {
    const main = { weeks: 0, minutes: s.minutes, skilled: s.skilled };
    const parted = (quarters: number) => {
      const later = quarters / QUARTERS;
      return [
        { ...main, minutes: s.minutes * (1 - later) },
        { ...main, weeks: 1, minutes: s.minutes * later },
      ];
    };
    const large = s.minutes > SPLIT_ABOVE * ordinary && s.locked === null && s.to > s.from;
    const [from, to] = s.locked === null ? [clamp(s.from), clamp(s.to)] : [clamp(s.locked), clamp(s.locked)];
    return {
      from,
      to: Math.max(from, to),
      ideal: s.ideal,
      priority: s.priority,
      parent: -1,
      parentLag: 0,
      children: [],
      before: [],
      next: [],
      parts: [
        loads([main, ...s.trail]),
        ...(large ? [1, 2, 3].map((quarters) => loads([...parted(quarters), ...s.trail])) : []),
      ],
    };
  });
  const waits = p.steps.map((s) =>
    s.after.filter((a) => index.has(a.id)).map((a) => ({ node: index.get(a.id)!, lag: a.weeks })),
  );
  const order = inOrder(waits);
  const outOfOrder: string[] = [];
  for (const i of order)
    for (const { node, lag } of waits[i]) {
      const earliest = nodes[node].from + lag;
      if (earliest > nodes[i].to) {
        outOfOrder.push(p.steps[i].id);
        continue;
      }
      nodes[i].from = Math.max(nodes[i].from, earliest);
      nodes[i].before.push({ node, lag });
    }
  for (const i of [...order].reverse())
    for (const { node, lag } of nodes[i].before) {
      nodes[node].to = Math.min(nodes[node].to, nodes[i].to - lag);
      nodes[node].next.push({ node: i, lag });
    }
  nodes.forEach((n, i) => {
    const main = n.before[0];
    if (main) {
      n.parent = main.node;
      n.parentLag = main.lag;
      nodes[main.node].children.push(i);
    }
  });
  return { nodes, order, outOfOrder: [...new Set(outOfOrder)] };
}

function inOrder(waits: { node: number }[][]): number[] {
  const state = new Uint8Array(waits.length);
  const out: number[] = [];
  const visit = (i: number) => {
    if (state[i] === 2) return;
    if (state[i] === 1) throw new RangeError('steps wait for one another in a circle');
    state[i] = 1;
    for (const w of waits[i]) visit(w.node);
    state[i] = 2;
    out.push(i);
  };
  waits.forEach((_, i) => visit(i));
  return out;
}

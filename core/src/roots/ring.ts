import { BARE, neighbours, within } from './objective.ts';
import type { Choice } from './choices.ts';

/** One choice for each root in order of azimuth, and what they come to. */
export interface RingAnswer {
  points: number;
  choices: Choice[];
}

interface Option {
  choice: Choice;
  /** place of its root in the order */
  at: number;
  cost: number;
  value: number;
}

const NONE = -Infinity;

/** Choices that cost no more and are worth no less than another that fills the same directions make it needless. */
function useful(choices: readonly Choice[]): Choice[] {
  const bare = choices
    .filter((c) => c.arms.length === 0)
    .sort((a, b) => a.cost - b.cost || b.value - a.value);
  const best: Choice[] = [];
  for (const c of bare) if (best.length === 0 || c.value > best[best.length - 1].value) best.push(c);
  return [...best, ...choices.filter((c) => c.arms.length > 0)];
}

/** Best points of roots from one on that fill no direction, by feeders that may go; `rows[i]`: from the i-th on. */
function bareAfter(bare: readonly Option[][], limit: number): Float64Array<ArrayBuffer>[] {
  const rows: Float64Array<ArrayBuffer>[] = [];
  rows[bare.length] = new Float64Array(limit + 1);
  for (let i = bare.length - 1; i >= 0; i--) rows[i] = withOptions(rows[i + 1], bare[i], limit);
  return rows;
}

/** The same for the roots before one. */
function bareBefore(bare: readonly Option[][], limit: number): Float64Array<ArrayBuffer>[] {
  const rows: Float64Array<ArrayBuffer>[] = [new Float64Array(limit + 1)];
  for (let i = 0; i < bare.length; i++) rows.push(withOptions(rows[i], bare[i], limit));
  return rows;
}

function withOptions(
  row: Float64Array<ArrayBuffer>,
  options: readonly Option[],
  limit: number,
): Float64Array<ArrayBuffer> {
  const out = new Float64Array(limit + 1).fill(NONE);
  for (const { cost, value } of options)
    for (let b = cost; b <= limit; b++) {
      const sum = row[b - cost] + value;
      if (sum > out[b]) out[b] = sum;
    }
  return out;
}

/**
 * The best choices around the trunk that cost at most `limit` tenths of a per cent of the feeders: a dynamic
 * programme over roots in order of azimuth. What comes after a kept root depends only on that root and on the feeders
 * left; the circle is closed by trying every first kept root, the most promising first, and leaving off those that
 * cannot reach the best found. Exact. Null where no choices keep within the limit.
 */
export function solveRing(
  perRoot: readonly (readonly Choice[])[],
  limit: number,
  beat = NONE,
): RingAnswer | null {
  return new Ring(perRoot, limit).best(beat);
}

class Ring {
  private readonly n: number;
  private readonly bare: Option[][];
  private readonly full: Option[][];
  /** all options that fill a direction, in order of their roots */
  private readonly all: Option[] = [];
  /** where the options of each root begin among all */
  private readonly begins: number[] = [];
  /** points between each two options, the first before the second */
  private readonly pair: Float64Array;
  /** `after[at][option]`: best points of the roots from `at` on, by feeders left, the circle not closed */
  private readonly after: Float64Array<ArrayBuffer>[][] = [];
  private readonly limit: number;
  private readonly barely: Float64Array<ArrayBuffer>[];

  constructor(perRoot: readonly (readonly Choice[])[], limit: number) {
    this.n = perRoot.length;
    this.limit = limit;
    const options = perRoot.map((choices, at) =>
      useful(choices)
        .filter((c) => c.cost <= limit)
        .map((choice): Option => ({
          choice,
          at,
          cost: choice.cost,
          value: choice.value + within(choice.arms),
        })),
    );
    this.bare = options.map((os) => os.filter((o) => o.choice.arms.length === 0));
    this.full = options.map((os) => os.filter((o) => o.choice.arms.length > 0));
    for (const os of this.full) {
      this.begins.push(this.all.length);
      this.all.push(...os);
    }
    this.begins.push(this.all.length);
    this.barely = bareAfter(this.bare, limit);
    this.pair = this.pairs();
    this.fillAfter();
  }

  private pairs(): Float64Array<ArrayBuffer> {
    const { all } = this;
    const out = new Float64Array(all.length ** 2);
    for (let p = 0; p < all.length; p++)
      for (let o = 0; o < all.length; o++) {
        const last = all[p].choice.arms.at(-1)!;
        const first = all[o].choice.arms[0];
        const round = all[o].at > all[p].at ? 0 : 360;
        out[p * all.length + o] = neighbours(last, first, first.azimuth + round - last.azimuth);
      }
    return out;
  }

  private fillAfter(): void {
    const { n, all, begins, limit, pair } = this;
    this.after[n] = all.map(() => new Float64Array(limit + 1));
    for (let at = n - 1; at > 0; at--) {
      const next = this.after[at + 1];
      const rows: Float64Array<ArrayBuffer>[] = [];
      for (let p = 0; p < begins[at]; p++) {
        const row = withOptions(next[p], this.bare[at], limit);
        for (let o = begins[at]; o < begins[at + 1]; o++) {
          const gain = all[o].value + pair[p * all.length + o];
          if (gain === NONE) continue;
          const { cost } = all[o];
          const rest = next[o];
          for (let b = cost; b <= limit; b++) {
            const sum = rest[b - cost] + gain;
            if (sum > row[b]) row[b] = sum;
          }
        }
        rows.push(row);
      }
      this.after[at] = rows;
    }
  }

  /** Best of all; null where nothing is better than `beat`. */
  best(beat: number): RingAnswer | null {
    let points = beat;
    let found: Choice[] | null = null;
    const bare = this.barely[0][this.limit] + BARE;
    if (bare > points) {
      points = bare;
      found = this.bareFrom(0, this.n, this.limit);
    }
    for (const first of this.firsts()) {
      if (first.bound <= points + 1e-9) break;
      const path = this.closed(first.option, first.before, points);
      if (!path) continue;
      points = path.points;
      found = path.choices;
    }
    return found && { points, choices: found };
  }

  /** Every root that may be the first kept one, with the most it can come to; best first. */
  private firsts() {
    const before = bareBefore(this.bare, this.limit);
    return this.all
      .map((o, option) => {
        const rest = this.after[o.at + 1][option];
        let bound = NONE;
        for (let used = 0; used <= this.limit - o.cost; used++)
          bound = Math.max(bound, before[o.at][used] + rest[this.limit - o.cost - used]);
        return { option, before: before[o.at], bound: bound + o.value + this.mostClosing(option) };
      })
      .sort((a, b) => b.bound - a.bound);
  }

  private mostClosing(first: number): number {
    let most = NONE;
    for (let p = this.begins[this.all[first].at]; p < this.all.length; p++)
      most = Math.max(most, this.pair[p * this.all.length + first]);
    return most;
  }

  /** The best circle that begins with this root, if it is better than `beat`. */
  private closed(first: number, before: Float64Array, beat: number): RingAnswer | null {
    const { all, begins, limit, n, pair } = this;
    const most = this.mostClosing(first);
    const start = all[first];
    let points = beat;
    let found: { path: number[]; left: number } | null = null;
    const seen = new Map<number, number>();
    // `sum`: points so far; `left`: feeders that may still go; those before the first come last
    const walk = (at: number, last: number, left: number, sum: number, path: number[]): void => {
      if (sum + this.after[at][last][left] + most <= points + 1e-9) return;
      const key = (at * all.length + last) * (limit + 1) + left;
      if ((seen.get(key) ?? NONE) >= sum) return;
      seen.set(key, sum);
      if (at === n) {
        const whole = sum + pair[last * all.length + first];
        if (whole > points + 1e-9) {
          points = whole;
          found = { path: [...path], left };
        }
        return;
      }
      const next = this.after[at + 1];
      const ways: { last: number; left: number; sum: number; mark: number; bound: number }[] = [];
      this.bare[at].forEach((o, k) => {
        if (o.cost > left) return;
        const s = sum + o.value;
        ways.push({ last, left: left - o.cost, sum: s, mark: -1 - k, bound: s + next[last][left - o.cost] });
      });
      for (let o = begins[at]; o < begins[at + 1]; o++) {
        const rest = left - all[o].cost;
        if (rest < 0) continue;
        const s = sum + all[o].value + pair[last * all.length + o];
        if (s > NONE) ways.push({ last: o, left: rest, sum: s, mark: o, bound: s + next[o][rest] });
      }
      ways.sort((a, b) => b.bound - a.bound);
      for (const w of ways) {
        path.push(w.mark);
        walk(at + 1, w.last, w.left, w.sum, path);
        path.pop();
      }
    };
    // what is spent before the first root is fixed by trying every sum that gains something over a smaller one
    let gained = NONE;
    for (let used = 0; used <= limit - start.cost; used++) {
      if (before[used] <= gained) continue;
      gained = before[used];
      walk(start.at + 1, first, limit - start.cost - used, start.value + before[used], [-(used + 1) - 1e6]);
    }
    if (!found) return null;
    const { path } = found as { path: number[]; left: number };
    const used = -path[0] - 1e6 - 1;
    const choices = [
      ...this.bareFrom(0, start.at, used),
      start.choice,
      ...path
        .slice(1)
        .map((mark, i) => (mark >= 0 ? all[mark] : this.bare[start.at + 1 + i][-1 - mark]).choice),
    ];
    return { points, choices };
  }

  /** The best choices of roots `from` to before `to` that fill no direction, for at most so many feeders. */
  private bareFrom(from: number, to: number, limit: number): Choice[] {
    const rows = bareAfter(this.bare.slice(from, to), limit);
    const out: Choice[] = [];
    let left = limit;
    for (let i = from; i < to; i++) {
      const rest = rows[i - from + 1];
      const best = this.bare[i]
        .filter((o) => o.cost <= left)
        .reduce((a, b) => (b.value + rest[left - b.cost] > a.value + rest[left - a.cost] ? b : a));
      out.push(best.choice);
      left -= best.cost;
    }
    return out;
  }
}

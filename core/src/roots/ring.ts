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
  readonly n: number;
  readonly bare: Option[][];
  private readonly full: Option[][];
  /** all options that fill a direction, in order of their roots */
  readonly all: Option[] = [];
  /** where the options of each root begin among all */
  readonly begins: number[] = [];
  /** points between each two options, the first before the second */
  readonly pair: Float64Array;
  /** `after[at][option]`: best points of the roots from `at` on, by feeders left, the circle not closed */
  readonly after: Float64Array<ArrayBuffer>[][] = [];
  readonly limit: number;
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

  /** The most that closing the circle at this first root can come to. */
  mostClosing(first: number): number {
    let most = NONE;
    for (let p = this.begins[this.all[first].at]; p < this.all.length; p++)
      most = Math.max(most, this.pair[p * this.all.length + first]);
    return most;
  }

  /** The best circle that begins with this root, if it is better than `beat`. */
  private closed(first: number, before: Float64Array, beat: number): RingAnswer | null {
    const start = this.all[first];
    const search = new Search(this, first, beat);
    // what is spent before the first root: every sum that gains something over a smaller one
    let gained = NONE;
    let used = 0;
    for (let spent = 0; spent <= this.limit - start.cost; spent++) {
      if (before[spent] <= gained) continue;
      gained = before[spent];
      const better = search.from(this.limit - start.cost - spent, start.value + before[spent]);
      if (better) used = spent;
    }
    if (!search.found) return null;
    const after = search.found.map((o) => o.choice);
    return { points: search.points, choices: [...this.bareFrom(0, start.at, used), start.choice, ...after] };
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

/** Looks for the best way around the trunk from one first root; what cannot beat the best so far is left off. */
class Search {
  points: number;
  found: Option[] | null = null;
  private readonly path: Option[] = [];
  /** the most points with which a state was come to: root, last kept option, feeders left */
  private readonly seen = new Map<number, number>();
  private readonly closing: number;

  constructor(
    private readonly ring: Ring,
    private readonly first: number,
    beat: number,
  ) {
    this.points = beat;
    this.closing = ring.mostClosing(first);
  }

  /** Goes on after the first root with so many feeders left and so many points; whether that was better than all before. */
  from(left: number, sum: number): boolean {
    const before = this.points;
    this.walk(this.ring.all[this.first].at + 1, this.first, left, sum);
    return this.points > before;
  }

  private walk(at: number, last: number, left: number, sum: number): void {
    const { all, after, limit, n, pair } = this.ring;
    if (sum + after[at][last][left] + this.closing <= this.points + 1e-9) return;
    const state = (at * all.length + last) * (limit + 1) + left;
    if ((this.seen.get(state) ?? NONE) >= sum) return;
    this.seen.set(state, sum);
    if (at === n) {
      const whole = sum + pair[last * all.length + this.first];
      if (whole <= this.points + 1e-9) return;
      this.points = whole;
      this.found = [...this.path];
      return;
    }
    for (const way of this.ways(at, last, left, sum)) {
      this.path.push(way.option);
      this.walk(at + 1, way.last, left - way.option.cost, way.sum);
      this.path.pop();
    }
  }

  /** What may be done with the next root, the most promising first. */
  private ways(at: number, last: number, left: number, sum: number) {
    const { all, after, bare, begins, pair } = this.ring;
    const next = after[at + 1];
    const ways: { option: Option; last: number; sum: number; bound: number }[] = [];
    const add = (option: Option, kept: number, gain: number) => {
      if (option.cost > left || gain === NONE) return;
      const now = sum + gain;
      ways.push({ option, last: kept, sum: now, bound: now + next[kept][left - option.cost] });
    };
    for (const o of bare[at]) add(o, last, o.value);
    for (let o = begins[at]; o < begins[at + 1]; o++)
      add(all[o], o, all[o].value + pair[last * all.length + o]);
    return ways.sort((a, b) => b.bound - a.bound);
  }
}

import { BARE, neighbours, within } from './objective.ts';
import type { Choice } from './choices.ts';
import { mostPromising, put, trail, undominated, type Label, type Layer } from './labels.ts';
import { bareAfter, bareBefore, NONE, Table, type Option, type Row } from './table.ts';

/** One choice for each root in order of azimuth, and what they come to. */
export interface RingAnswer {
  points: number;
  choices: Choice[];
}

/** Grains that a limit is cut into at most, where only the most that can be reached is asked. */
const GRAINS = 60;
/** Labels that are carried on from each root while a first good circle is looked for. */
const BEAM = 30;

/** Choices that cost no more and are worth no less than another that fills the same directions make it needless. */
function useful(choices: readonly Choice[]): Choice[] {
  const bare = choices
    .filter((c) => c.arms.length === 0)
    .sort((a, b) => a.cost - b.cost || b.value - a.value);
  const best: Choice[] = [];
  for (const c of bare) if (best.length === 0 || c.value > best[best.length - 1].value) best.push(c);
  return [...best, ...choices.filter((c) => c.arms.length > 0)];
}

/**
 * The best choices around the trunk that cost at most `limit` tenths of a per cent of the feeders. What comes after a
 * kept root depends only on that root and on the feeders left, so choices are carried from root to root in order of
 * azimuth, and of those that end alike only the ones that are not outdone. A table in coarse grains tells the most
 * that each could still come to; what cannot beat the best circle found is left off. The circle is closed by trying
 * every first kept root, the most promising first. Exact. Null where no choices keep within the limit and are better
 * than `beat`.
 */
export function solveRing(
  perRoot: readonly (readonly Choice[])[],
  limit: number,
  beat = NONE,
): RingAnswer | null {
  // without a limit there is one way to each place, so this is quick: often it keeps within the limit anyhow
  const free = new Ring(perRoot, null).best(beat);
  if (!free || costOf(free.choices) <= limit) return free;
  return new Ring(perRoot, limit).best(beat);
}

const costOf = (choices: readonly Choice[]): number => choices.reduce((sum, c) => sum + c.cost, 0);

/** A root one of whose options may be the first kept one. */
interface First {
  at: number;
  /** the most it can come to */
  bound: number;
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
  private readonly limit: number;
  /** tenths of a per cent of the feeders in one grain of a table that is only a bound */
  private readonly coarse: number;
  /** `before[at]`: best points of the roots before one when none of them fills a direction, by feeders that may go */
  private readonly before: Row[];

  /** `limit` null: whatever it costs. */
  constructor(perRoot: readonly (readonly Choice[])[], limit: number | null) {
    this.n = perRoot.length;
    this.limit = limit ?? 0;
    this.coarse = Math.max(1, Math.ceil(this.limit / GRAINS));
    const options = perRoot.map((choices, at) =>
      useful(choices)
        .filter((c) => limit === null || c.cost <= limit)
        .map((choice): Option => ({
          choice,
          at,
          cost: limit === null ? 0 : choice.cost,
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
    this.before = bareBefore(this.bare, this.limit);
    this.pair = this.pairs();
  }

  private pairs(): Row {
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

  /**
   * Best points of the roots from each on after each option was kept. With `firsts`, options of one root, the circle
   * is closed with the best of them, and only what comes after them is filled; without, it stays open. In coarser
   * grains than one every cost is rounded down: never less than what can be reached, and found sooner.
   */
  private table(firsts: readonly number[], grain: number): Table {
    const { n, all, begins, pair } = this;
    const table = new Table(all.length, n, Math.floor(this.limit / grain) + 1);
    const from = firsts.length === 0 ? -1 : all[firsts[0]].at;
    const closing = (p: number): number =>
      firsts.reduce((most, f) => Math.max(most, pair[p * all.length + f]), firsts.length === 0 ? 0 : NONE);
    const fill = (at: number, p: number) => {
      table.clear(at, p);
      for (const { cost, value } of this.bare[at]) table.lift(at, p, p, Math.floor(cost / grain), value);
      for (let o = begins[at]; o < begins[at + 1]; o++) {
        const gain = all[o].value + pair[p * all.length + o];
        if (gain !== NONE) table.lift(at, p, o, Math.floor(all[o].cost / grain), gain);
      }
    };
    for (let p = begins[from + 1]; p < all.length; p++) table.start(p, closing(p));
    for (const f of firsts) table.start(f, pair[f * all.length + f]);
    for (let at = n - 1; at > from; at--) {
      // kept roots that may come before this one: those after the first, and the first itself
      for (let p = begins[from + 1]; p < begins[at]; p++) fill(at, p);
      for (const f of firsts) fill(at, f);
    }
    return table;
  }

  /** Best of all; null where nothing is better than `beat`. */
  best(beat: number): RingAnswer | null {
    let points = beat;
    let found: Choice[] | null = null;
    const bare = this.before[this.n][this.limit] + BARE;
    if (bare > points) {
      points = bare;
      found = this.bareFrom(0, this.n, this.limit);
    }
    for (const first of this.firsts()) {
      if (first.bound <= points + 1e-9) break;
      const path = this.closedAt(first.at, points);
      if (!path) continue;
      points = path.points;
      found = path.choices;
    }
    return found && { points, choices: found };
  }

  /** Every root one of whose options may be the first kept one, the most promising first. */
  private firsts(): First[] {
    const open = this.table([], this.coarse);
    return this.full
      .map((_, at) => ({
        at,
        bound: this.optionsOf(at).reduce(
          (most, o) => Math.max(most, this.mostFrom(o, open) + this.mostClosing(o)),
          NONE,
        ),
      }))
      .sort((a, b) => b.bound - a.bound);
  }

  private optionsOf(at: number): number[] {
    return this.full[at].map((_, k) => this.begins[at] + k);
  }

  /** The best circle whose first kept root is this one, if it is better than `beat`. */
  private closedAt(at: number, beat: number): RingAnswer | null {
    const own = this.optionsOf(at);
    // bounds: as if the circle could be closed with whichever option suits each last root best
    const table = this.table(own, this.coarse);
    const promising = own
      .map((option) => ({ option, bound: this.mostFrom(option, table) }))
      .sort((a, b) => b.bound - a.bound);
    let found: RingAnswer | null = null;
    // a good circle is found first, so that few labels are carried on when the best one is looked for
    for (const beam of [BEAM, Infinity])
      for (const { option, bound } of promising) {
        const most: number = found?.points ?? beat;
        if (bound <= most + 1e-9) break;
        found = this.closed(option, table, most, beam) ?? found;
      }
    return found;
  }

  /** The most that a first kept root can come to by a table in coarse grains. */
  private mostFrom(first: number, table: Table): number {
    const { at, cost, value } = this.all[first];
    const rest = table.row(at + 1, first);
    const before = this.before[at];
    let most = NONE;
    for (let spent = 0; spent <= this.limit - cost; spent++)
      most = Math.max(most, before[spent] + rest[Math.floor((this.limit - cost - spent) / this.coarse)]);
    return most + value;
  }

  /** The most that closing the circle at this first root can come to. */
  private mostClosing(first: number): number {
    let most = NONE;
    for (let p = this.begins[this.all[first].at]; p < this.all.length; p++)
      most = Math.max(most, this.pair[p * this.all.length + first]);
    return most;
  }

  /**
   * The best circle that begins with this option, if it is better than `beat`: from root to root only those choices
   * are carried on that could still beat it by the bounds of `table`, and of them the `beam` most promising.
   */
  private closed(first: number, table: Table, beat: number, beam: number): RingAnswer | null {
    const { n, all, bare, begins, pair, limit, coarse } = this;
    const start = all[first];
    let layer: Layer = new Map([[first, this.beginnings(first)]]);
    for (let at = start.at + 1; at < n; at++) {
      const next: Layer = new Map();
      const carry = (before: Label, kept: number, { choice, cost }: Option, gain: number) => {
        const spent = before.spent + cost;
        if (spent > limit) return;
        const points = before.points + gain;
        const most = points + table.row(at + 1, kept)[Math.floor((limit - spent) / coarse)];
        if (most > beat + 1e-9) put(next, { spent, points, most, choice, kept, before });
      };
      for (const [last, labels] of layer)
        for (const label of undominated(labels)) {
          for (const o of bare[at]) carry(label, last, o, o.value);
          for (let o = begins[at]; o < begins[at + 1]; o++)
            carry(label, o, all[o], all[o].value + pair[last * all.length + o]);
        }
      layer = mostPromising(next, beam);
    }
    return this.bestEnd(layer, first, beat);
  }

  /** A first kept option after all that the roots before it may cost. */
  private beginnings(first: number): Label[] {
    const { at, cost, value, choice } = this.all[first];
    const before = this.before[at];
    const out: Label[] = [];
    for (let left = 0; left + cost <= this.limit; left++) {
      if (left > 0 && before[left] <= before[left - 1]) continue;
      const points = before[left] + value;
      out.push({ spent: left + cost, points, most: points, choice, kept: first, before: null });
    }
    return out;
  }

  /** The best of the labels after the last root when the circle is closed, if it is better than `beat`. */
  private bestEnd(layer: Layer, first: number, beat: number): RingAnswer | null {
    const start = this.all[first];
    let points = beat + 1e-9;
    let end: Label | null = null;
    for (const [last, labels] of layer)
      for (const label of labels) {
        const sum = label.points + this.pair[last * this.all.length + first];
        if (sum <= points) continue;
        points = sum;
        end = label;
      }
    if (!end) return null;
    let begun = end;
    while (begun.before) begun = begun.before;
    const before = this.bareFrom(0, start.at, begun.spent - start.cost);
    return { points, choices: [...before, ...trail(end)] };
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

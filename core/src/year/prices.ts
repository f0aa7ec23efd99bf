import { endOf, laterOf, optionOf, weekOf, type LoadRow, type Node } from './model.ts';
import { OVERLOAD_COST, overloadOf, QUARTERS, type YearProblem } from './problem.ts';

/**
 * Week prices: the overload of each week is replaced by a price a minute, which falls apart into one small
 * problem for each tree of steps, solved exactly from the leaves up. Its value is a proven lower bound on
 * the objective for any prices u, v ≥ 0 with u + v ≤ 10 (Lagrangian relaxation; Geoffrion 1974, from
 * memory); prices are raised where weeks are overfull (projected subgradient with Polyak's step).
 *
 * What a step has too much of even in an empty week it has in every plan that puts it there: it is charged in full, and
 * only what fits beside it is priced. Without that, prices would let a step of thirty hours lie in parts over seven
 * weeks, and prove next to nothing of a year that holds one. Let a step bring a minutes, s of them skilled, to a week
 * that can give A and S ≤ A; alone it has e = max(0, a − A, s − S) too many. Then the overload of any steps together is
 * at least Σe + max(0, Σ(a − e) − A, Σ min(s, S) − S): where one has e = a − A, its a − e fills the week, and all other
 * work is over; where every e is s − S, so is all other skilled work.
 */
export class Prices {
  readonly all: Float64Array;
  readonly skilled: Float64Array;
  bound = -Infinity;
  /** option of each step in the last answer */
  readonly choice: Int32Array;
  private readonly start: number[] = [];
  /** least value of a step from a week on, and the option that has it */
  private readonly least: Float64Array;
  private readonly leastAt: Int32Array;
  /** Minutes each week can give, and of them such as want practice: never more than all of them. */
  private readonly room: { all: readonly number[]; skilled: readonly number[] };
  private scale = 1;
  private stale = 0;

  constructor(
    private readonly p: YearProblem,
    private readonly nodes: Node[],
    private readonly order: number[],
  ) {
    const { all, skilled } = p.capacity;
    this.room = { all, skilled: skilled.map((minutes, w) => Math.min(minutes, all[w])) };
    this.all = new Float64Array(p.weeks);
    this.skilled = new Float64Array(p.weeks);
    this.choice = new Int32Array(nodes.length);
    let at = 0;
    for (const n of nodes) {
      this.start.push(at);
      at += n.to - n.from + 2;
    }
    this.least = new Float64Array(at);
    this.leastAt = new Int32Array(at);
  }

  /** Minutes a step has too much of in a week that is empty but for it. */
  private alone(r: LoadRow, w: number): number {
    const { all, skilled } = this.room;
    return overloadOf(r.all, r.skilled, all[w], skilled[w]);
  }

  private price(rows: LoadRow[], week: number): number {
    const { skilled } = this.room;
    let sum = 0;
    for (const r of rows) {
      const w = week + r.offset;
      if (w >= this.p.weeks) continue;
      const over = this.alone(r, w);
      sum +=
        OVERLOAD_COST * over +
        this.all[w] * (r.all - over) +
        this.skilled[w] * Math.min(r.skilled, skilled[w]);
    }
    return sum;
  }

  /** One round: solves every tree at the present prices, keeps the best bound, moves the prices. */
  round(best: number): number {
    const { nodes, order, p } = this;
    let total = 0;
    for (let k = order.length - 1; k >= 0; k--) {
      const i = order[k];
      const n = nodes[i];
      const s = this.start[i];
      const width = n.to - n.from + 1;
      this.least[s + width] = Infinity;
      this.leastAt[s + width] = -1;
      for (let d = width - 1; d >= 0; d--) {
        const w = n.from + d;
        let low = this.price(n.parts[0], w) + n.priority * (w - n.ideal) ** 2 + this.below(n, w);
        let at = optionOf(w);
        if (n.parts.length > 1 && d < width - 1) {
          const after = this.below(n, w + 1);
          for (let quarters = 1; quarters < n.parts.length; quarters++) {
            const away = w + quarters / QUARTERS - n.ideal;
            const parted = this.price(n.parts[quarters], w) + n.priority * away ** 2 + after;
            if (parted < low) {
              low = parted;
              at = optionOf(w, quarters);
            }
          }
        }
        const later = this.least[s + d + 1];
        this.least[s + d] = Math.min(low, later);
        this.leastAt[s + d] = low <= later ? at : this.leastAt[s + d + 1];
      }
      if (n.parent < 0) total += this.least[s];
    }
    for (let w = 0; w < p.weeks; w++)
      total -= this.all[w] * this.room.all[w] + this.skilled[w] * this.room.skilled[w];
    this.choose();
    if (total > this.bound + 1e-9) {
      this.bound = total;
      this.stale = 0;
    } else if (++this.stale >= 8) {
      this.scale *= 0.7;
      this.stale = 0;
    }
    this.move(total, best);
    return total;
  }

  private below(n: Node, finish: number): number {
    let sum = 0;
    for (const c of n.children) {
      const child = this.nodes[c];
      const from = Math.max(child.from, finish + child.parentLag);
      if (from > child.to) return Infinity;
      sum += this.least[this.start[c] + from - child.from];
    }
    return sum;
  }

  private choose(): void {
    for (const i of this.order) {
      const n = this.nodes[i];
      let from = n.from;
      if (n.parent >= 0) {
        const before = this.choice[n.parent];
        from = Math.max(from, endOf(before) + n.parentLag);
      }
      this.choice[i] = this.leastAt[this.start[i] + from - n.from];
    }
  }

  private move(value: number, best: number): void {
    const { p, nodes } = this;
    const all = new Float64Array(p.weeks);
    const skilled = new Float64Array(p.weeks);
    nodes.forEach((n, i) => {
      const week = weekOf(this.choice[i]);
      for (const r of n.parts[laterOf(this.choice[i])]) {
        const w = week + r.offset;
        if (w >= p.weeks) continue;
        all[w] += r.all - this.alone(r, w);
        skilled[w] += Math.min(r.skilled, this.room.skilled[w]);
      }
    });
    let norm = 0;
    for (let w = 0; w < p.weeks; w++) {
      all[w] -= this.room.all[w];
      skilled[w] -= this.room.skilled[w];
      norm += all[w] ** 2 + skilled[w] ** 2;
    }
    if (norm < 1e-9) return;
    const step = (this.scale * Math.max(best - value, 1e-3 * Math.abs(best) + 1)) / norm;
    for (let w = 0; w < p.weeks; w++) {
      const u = Math.max(0, this.all[w] + step * all[w]);
      const v = Math.max(0, this.skilled[w] + step * skilled[w]);
      const over = Math.max(0, u + v - OVERLOAD_COST) / 2;
      this.all[w] = Math.min(OVERLOAD_COST, Math.max(0, u - over));
      this.skilled[w] = Math.min(OVERLOAD_COST - this.all[w], Math.max(0, v - over));
    }
  }
}

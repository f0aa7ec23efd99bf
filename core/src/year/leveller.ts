import { random, type Random } from '../random/index.ts';
import { buildNodes, endOf, laterOf, optionOf, weekOf, type LoadRow, type Node } from './model.ts';
import { Prices } from './prices.ts';
import { OVERLOAD_COST, overloadOf, QUARTERS, type YearPlan, type YearProblem } from './problem.ts';

const FIRST_ROUNDS = 60;
/** Fewer rounds of prices for large years, so that the first answer is there at once. */
const ROUND_WORK = 120_000;
/** Heat a search begins at: this share of what a step of the year costs when all of it is too much. */
const HOT = 0.3;
/** Heat at its end, in the cost of one week from the ideal. */
const COLD = 0.05;
/** Steps up to which a search is made of several, each hot again; larger years begin each slice cooler than the last. */
const SMALL = 60;
const LARGE_HOT = 0.5;
const ROUNDS = 5;
/** Weeks either way that are near to where a step is, and the share of tries that stay there. */
const NEAR_WEEKS = 2;
const NEAR_SHARE = 0.7;

/**
 * Gives every step a week: least overload, then nearest to the ideal weeks. `first` answers fast, `improve`
 * searches on from there, `prove` raises the proven lower bound; all are deterministic for a seed, and
 * the caller decides how long to go on.
 */
export class Leveller {
  private readonly nodes: Node[];
  private readonly outOfOrder: string[];
  private readonly prices: Prices;
  private readonly rng: Random;
  /** option of each step: its week, and the quarters left for the week after */
  private now: Int32Array;
  private best: Int32Array;
  private bestCost = Infinity;
  private cost = 0;
  /** searches made so far */
  private searches = 0;
  private readonly all: Float64Array;
  private readonly skilled: Float64Array;

  /** Throws RangeError when steps wait for one another in a circle. */
  constructor(
    private readonly p: YearProblem,
    seed = 1,
  ) {
    const built = buildNodes(p);
    this.nodes = built.nodes;
    this.outOfOrder = built.outOfOrder;
    this.order = built.order;
    this.prices = new Prices(p, built.nodes, built.order);
    this.rng = random(seed);
    this.all = new Float64Array(p.weeks);
    this.skilled = new Float64Array(p.weeks);
    this.now = new Int32Array(p.steps.length);
    this.best = new Int32Array(p.steps.length);
  }
  private readonly order: number[];

  /** The lower bound proved so far: no plan can cost less. */
  get bound(): number {
    return Math.max(0, this.prices.bound);
  }

  /** The first answer: week prices, then every step moved to where it costs least. */
  first(): YearPlan {
    if (this.nodes.length === 0) {
      this.bestCost = 0;
      return this.plan();
    }
    this.take(this.order.map(() => 0));
    this.earliest();
    this.descend();
    this.keep();
    const rounds = Math.max(10, Math.min(FIRST_ROUNDS, Math.floor(ROUND_WORK / this.nodes.length)));
    for (let r = 0; r < rounds; r++) {
      this.prices.round(this.bestCost);
      if (r % 10 !== 9 && r !== rounds - 1) continue;
      this.adopt(this.prices.choice);
      this.descend();
      this.keep();
    }
    return this.plan();
  }

  /** Goes on searching for so many tries; gives the best plan so far. */
  improve(tries: number): YearPlan {
    if (this.nodes.length === 0) return this.plan();
    const rounds = this.nodes.length <= SMALL ? ROUNDS : 1;
    for (let r = 0; r < rounds; r++) this.cool(Math.ceil(tries / rounds));
    return this.plan();
  }

  /** One search from hot to cold, from the best plan so far. */
  private cool(tries: number): void {
    this.take(this.best);
    const hot = this.hottest();
    const cooling = Math.log(COLD / hot);
    for (let t = 0; t < tries; t++) {
      const heat = hot * Math.exp((cooling * t) / tries);
      const i = Math.floor(this.rng.next() * this.nodes.length);
      if (this.rng.next() < 0.3) this.trySwap(i, heat);
      else this.tryMove(i, heat);
    }
    this.descend();
    this.keep();
  }

  /** Heat the next search begins at: hot enough to cross a full week, and cooler with every slice of a large year. */
  private hottest(): number {
    const { steps } = this.p;
    const minutes = steps.reduce((n, s) => n + s.minutes, 0) / steps.length;
    const whole = HOT * OVERLOAD_COST * minutes;
    this.searches++;
    // a year falls into more than one shape: hot searches and mild ones find different ones
    if (this.nodes.length <= SMALL) return Math.max(2 * COLD, this.searches % 2 === 0 ? whole / 3 : whole);
    // a large year keeps what its first answer found: each slice begins in the cost of a step as it stands
    const standing = LARGE_HOT * (this.bestCost / this.nodes.length);
    return Math.max(2 * COLD, this.searches === 1 ? 4 * standing : standing);
  }

  /** Raises the proven bound by so many rounds of prices, and learns from their answers. */
  prove(rounds: number): number {
    for (let r = 0; r < rounds && this.nodes.length > 0; r++) {
      this.prices.round(this.bestCost);
      if (r % 25 === 24) {
        this.adopt(this.prices.choice);
        this.descend();
        this.keep();
      }
    }
    return this.bound;
  }

  plan(): YearPlan {
    this.take(this.best);
    const { p } = this;
    const load = Array.from({ length: p.weeks }, (_, w) => ({
      all: Math.round(this.all[w]),
      skilled: Math.round(this.skilled[w]),
      over: Math.round(this.over(w)),
    }));
    return {
      placed: p.steps.map((s, i) => ({
        id: s.id,
        week: weekOf(this.best[i]),
        later: laterOf(this.best[i]) / QUARTERS,
      })),
      load,
      cost: this.cost,
      overload: load.reduce((n, w) => n + w.over, 0),
      outOfOrder: this.outOfOrder,
    };
  }

  private over(w: number): number {
    const { capacity } = this.p;
    return overloadOf(this.all[w], this.skilled[w], capacity.all[w], capacity.skilled[w]);
  }

  private rows = (i: number, option: number): LoadRow[] => this.nodes[i].parts[laterOf(option)];

  private away(i: number, option: number): number {
    const n = this.nodes[i];
    return n.priority * (option / QUARTERS - n.ideal) ** 2;
  }

  /** Puts a step's work into the weeks, or takes it out, and gives the change of overload. */
  private put(i: number, option: number, sign: 1 | -1): number {
    let change = 0;
    for (const r of this.rows(i, option)) {
      const w = weekOf(option) + r.offset;
      if (w >= this.p.weeks) continue;
      const before = this.over(w);
      this.all[w] += sign * r.all;
      this.skilled[w] += sign * r.skilled;
      change += this.over(w) - before;
    }
    return change;
  }

  private set(i: number, option: number): void {
    const was = this.now[i];
    if (was === option) return;
    const over = this.put(i, was, -1) + this.put(i, option, 1);
    this.cost += OVERLOAD_COST * over + this.away(i, option) - this.away(i, was);
    this.now[i] = option;
  }

  private take(options: ArrayLike<number>): void {
    this.now = Int32Array.from(options);
    this.all.fill(0);
    this.skilled.fill(0);
    let over = 0;
    let away = 0;
    for (let i = 0; i < this.nodes.length; i++) {
      over += this.put(i, this.now[i], 1);
      away += this.away(i, this.now[i]);
    }
    this.cost = OVERLOAD_COST * over + away;
  }

  /** Takes the answer of the prices; an order it did not know of is mended by moving later. */
  private adopt(choice: Int32Array): void {
    const options = Int32Array.from(choice);
    for (const i of this.order) {
      const n = this.nodes[i];
      let from = n.from;
      for (const b of n.before) from = Math.max(from, endOf(options[b.node]) + b.lag);
      if (weekOf(options[i]) < from) options[i] = optionOf(Math.min(from, n.to));
    }
    this.take(this.valid(options) ? options : this.best);
  }

  private valid(options: Int32Array): boolean {
    return this.nodes.every((n, i) =>
      n.before.every((b) => weekOf(options[i]) >= endOf(options[b.node]) + b.lag),
    );
  }

  private earliest(): void {
    const options = new Int32Array(this.nodes.length);
    for (const i of this.order) {
      const n = this.nodes[i];
      let from = Math.min(n.to, Math.max(n.from, Math.round(n.ideal)));
      const tight = n.before.reduce((m, b) => Math.max(m, weekOf(options[b.node]) + b.lag), n.from);
      from = Math.max(tight, Math.min(from, n.to));
      options[i] = optionOf(from);
    }
    if (!this.valid(options) || this.nodes.some((n, i) => weekOf(options[i]) > n.to))
      for (const i of this.order) options[i] = optionOf(this.nodes[i].from);
    this.take(options);
  }

  /** First and last week a step may have while those before and after it stay where they are. */
  private range(i: number): [from: number, to: number] {
    const n = this.nodes[i];
    let from = n.from;
    let to = n.to;
    for (const b of n.before) from = Math.max(from, endOf(this.now[b.node]) + b.lag);
    for (const a of n.next) to = Math.min(to, weekOf(this.now[a.node]) - a.lag);
    return [from, to];
  }

  private bestOf(i: number): void {
    const [from, to] = this.range(i);
    const was = this.now[i];
    const taken = this.put(i, was, -1);
    let low = Infinity;
    let at = was;
    const look = (option: number) => {
      const cost = OVERLOAD_COST * this.put(i, option, 1) + this.away(i, option);
      this.put(i, option, -1);
      if (cost < low - 1e-9) [low, at] = [cost, option];
    };
    look(was);
    const parts = this.nodes[i].parts.length;
    for (let w = from; w <= to; w++)
      for (let quarters = 0; quarters < (w < to ? parts : 1); quarters++) look(optionOf(w, quarters));
    const over = taken + this.put(i, at, 1);
    this.cost += OVERLOAD_COST * over + this.away(i, at) - this.away(i, was);
    this.now[i] = at;
  }

  private descend(): void {
    for (let pass = 0; pass < 12; pass++) {
      const before = this.cost;
      for (let i = 0; i < this.nodes.length; i++) this.bestOf(i);
      if (before - this.cost < 1e-6) return;
    }
  }

  private option(i: number): number {
    const [from, to] = this.range(i);
    if (to < from) return this.now[i];
    // most tries stay near: a step that is well placed seldom gains far away
    const near = this.rng.next() < NEAR_SHARE ? NEAR_WEEKS : Infinity;
    const at = Math.min(to, Math.max(from, weekOf(this.now[i])));
    const first = Math.max(from, at - near);
    const last = Math.min(to, at + near);
    const w = first + Math.floor(this.rng.next() * (last - first + 1));
    const parts = this.nodes[i].parts.length;
    return optionOf(w, w < to && parts > 1 ? Math.floor(this.rng.next() * parts) : 0);
  }

  private tryMove(i: number, heat: number): void {
    const was = this.now[i];
    const before = this.cost;
    this.set(i, this.option(i));
    this.decide(before, heat, () => this.set(i, was));
  }

  private trySwap(i: number, heat: number): void {
    const j = Math.floor(this.rng.next() * this.nodes.length);
    if (i === j) return;
    const a = this.now[i];
    const b = this.now[j];
    const before = this.cost;
    const fits = (k: number, option: number) => {
      const [from, to] = this.range(k);
      const week = weekOf(option);
      const later = laterOf(option);
      return week >= from && week <= to && (later === 0 || (later < this.nodes[k].parts.length && week < to));
    };
    if (a === b || !fits(i, b) || !fits(j, a)) return;
    this.set(i, b);
    if (!fits(j, a)) return this.set(i, a);
    this.set(j, a);
    this.decide(before, heat, () => {
      this.set(j, b);
      this.set(i, a);
    });
  }

  private decide(before: number, heat: number, undo: () => void): void {
    const worse = this.cost - before;
    if (worse > 0 && this.rng.next() >= Math.exp(-worse / heat)) undo();
    else if (this.cost < this.bestCost - 1e-9) this.keep();
  }

  private keep(): void {
    if (this.cost >= this.bestCost - 1e-9) return;
    this.bestCost = this.cost;
    this.best = Int32Array.from(this.now);
  }
}

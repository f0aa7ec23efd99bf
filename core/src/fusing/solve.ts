import { random, type Random } from '../random/index.ts';
import { STEP } from './limits.ts';
import { spotsFor, type Member, type Spot } from './member.ts';
import { agreeWorth, aloneWorth, GAPS, intoWorth, limbsInto, sectorsOf, TURNS, wayTo } from './value.ts';

/** How a member stands: the place by its number, and how far it is turned, degrees clockwise. */
export interface Stood {
  id: string;
  place: number;
  turn: number;
}

/** A limb that goes: it would run into or under a neighbour. */
export interface Goes {
  id: string;
  what: 'root' | 'branch';
  index: number;
  into: string;
}

export interface Group {
  stood: Stood[];
  spots: Spot[];
  /** our own scale; higher is better */
  worth: number;
  /** of twelve directions, how many have a root */
  occupied: number;
  goes: Goes[];
}

/** All that turns and places are worth, worked out once: tables by member, place and turn. */
export class Table {
  readonly count: number;
  readonly spots: Spot[];
  private readonly bits: Int32Array;
  private readonly alone: Float64Array;
  private readonly pairs: Map<number, Float64Array>;

  /** Members in any order; the thickest place is the first. */
  constructor(readonly members: readonly Member[]) {
    const n = members.length;
    this.count = n;
    const byBase = members.map((_, i) => i).toSorted((a, b) => members[b].base - members[a].base);
    const thickness = new Map(byBase.map((m, rank) => [m, rank]));
    this.spots = spotsFor(byBase.map((m) => members[m].base));
    this.bits = new Int32Array(n * TURNS);
    this.alone = new Float64Array(n * n * TURNS);
    this.pairs = new Map();
    members.forEach((m, i) => {
      for (let turn = 0; turn < TURNS; turn++) {
        this.bits[i * TURNS + turn] = sectorsOf(m, turn);
        for (let place = 0; place < n; place++) {
          const at = { spot: this.spots[place], rank: place, thickness: thickness.get(i)! };
          this.alone[(i * n + place) * TURNS + turn] = aloneWorth(m, turn, at);
        }
      }
    });
  }

  /** Worth of two members at two places, by their turns; worked out when it is first asked. */
  private pair(i: number, placeI: number, j: number, placeJ: number): Float64Array {
    const n = this.count;
    const key = ((i * n + placeI) * n + j) * n + placeJ;
    let known = this.pairs.get(key);
    if (!known) {
      known = new Float64Array(TURNS * TURNS);
      const [p, q] = [this.members[i], this.members[j]];
      const way = wayTo(this.spots[placeI], this.spots[placeJ]);
      const back = wayTo(this.spots[placeJ], this.spots[placeI]);
      const every = Array.from({ length: TURNS }, (_, t) => t);
      const [into, from] = [
        every.map((t) => intoWorth(p, t, q, way)),
        every.map((t) => intoWorth(q, t, p, back)),
      ];
      for (const a of every)
        for (const b of every) known[a * TURNS + b] = into[a] + from[b] + agreeWorth(p, a, q, b);
      this.pairs.set(key, known);
    }
    return known;
  }

  worth(places: readonly number[], turns: readonly number[]): number {
    let bits = 0;
    let sum = 0;
    for (let i = 0; i < this.count; i++) {
      bits |= this.bits[i * TURNS + turns[i]];
      sum += this.alone[(i * this.count + places[i]) * TURNS + turns[i]];
      for (let j = 0; j < i; j++) sum += this.pair(j, places[j], i, places[i])[turns[j] * TURNS + turns[i]];
    }
    return sum + GAPS[bits];
  }

  /** What each turn of a member is worth with the others as they stand, but for one of them. */
  private ownTurns(
    places: readonly number[],
    turns: readonly number[],
    m: number,
    but: number,
  ): Float64Array {
    const n = this.count;
    const from = (m * n + places[m]) * TURNS;
    const worth = this.alone.slice(from, from + TURNS);
    for (let k = 0; k < n; k++) {
      if (k === m || k === but) continue;
      const table = k < m ? this.pair(k, places[k], m, places[m]) : this.pair(m, places[m], k, places[k]);
      const [start, step] = k < m ? [turns[k] * TURNS, 1] : [turns[k], TURNS];
      for (let t = 0; t < TURNS; t++) worth[t] += table[start + t * step];
    }
    return worth;
  }

  /** The best turns of two members, the others as they stand; better by at least a hair, else as they stood. */
  bestOfTwo(places: readonly number[], turns: number[], i: number, j: number): number {
    const [low, high] = i < j ? [i, j] : [j, i];
    let bits = 0;
    for (let k = 0; k < this.count; k++) if (k !== low && k !== high) bits |= this.bits[k * TURNS + turns[k]];
    const ofLow = this.ownTurns(places, turns, low, high);
    const ofHigh = this.ownTurns(places, turns, high, low);
    const both = this.pair(low, places[low], high, places[high]);
    // what the others are worth among themselves is the same for all turns of these two
    const now = this.worth(places, turns);
    const mine = (a: number, b: number) =>
      ofLow[a] +
      ofHigh[b] +
      both[a * TURNS + b] +
      GAPS[bits | this.bits[low * TURNS + a] | this.bits[high * TURNS + b]];
    const rest = now - mine(turns[low], turns[high]);
    let [best, bestLow, bestHigh] = [now - rest, turns[low], turns[high]];
    // imported names are looked up anew each time, which counts in the innermost loop
    const [every, gaps, mask] = [TURNS, GAPS, this.bits];
    for (let a = 0; a < every; a++) {
      const said = bits | mask[low * every + a];
      for (let b = 0; b < every; b++) {
        const worth = ofLow[a] + ofHigh[b] + both[a * every + b] + gaps[said | mask[high * every + b]];
        if (worth > best + 1e-9) {
          best = worth;
          bestLow = a;
          bestHigh = b;
        }
      }
    }
    turns[low] = bestLow;
    turns[high] = bestHigh;
    return rest + best;
  }
}

/** The best turns of three members, the others as they stand: every turn of one, and the best of the other two with it. */
function bestOfThree(
  table: Table,
  places: readonly number[],
  turns: number[],
  three: readonly number[],
): number {
  const [i, j, k] = three;
  let best = { worth: table.worth(places, turns), turns: [...turns] };
  for (let turn = 0; turn < TURNS; turn++) {
    const tried = [...turns];
    tried[k] = turn;
    const worth = table.bestOfTwo(places, tried, i, j);
    if (worth > best.worth + 1e-9) best = { worth, turns: tried };
  }
  best.turns.forEach((t, m) => (turns[m] = t));
  return best.worth;
}

/** Turns improved three by three until none is better; of three members these are the best there are. */
function polish(table: Table, places: readonly number[], turns: number[]): number {
  const n = table.count;
  let worth = table.worth(places, turns);
  for (let round = 0; round < 6; round++) {
    const before = worth;
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++)
        for (let k = j + 1; k < n; k++) worth = bestOfThree(table, places, turns, [i, j, k]);
    if (worth <= before + 1e-9) break;
  }
  return worth;
}

/** Turns improved two by two until none is better. */
function settle(table: Table, places: readonly number[], turns: number[]): number {
  let worth = table.worth(places, turns);
  for (let round = 0; round < 20; round++) {
    const before = worth;
    for (let i = 0; i < table.count; i++)
      for (let j = i + 1; j < table.count; j++) worth = table.bestOfTwo(places, turns, i, j);
    if (worth <= before + 1e-9) break;
  }
  return worth;
}

/** Orders that differ little from thickness are tried, and each is begun from so many turns. */
const BEGINNINGS = 5;
/** With more members fewer orders are thought of. */
const ORDERS_MOST = 12;
/** The best so many are bettered three by three. */
const POLISHED = 6;

function* orders(n: number): Generator<number[]> {
  if (n === 1) {
    yield [0];
    return;
  }
  for (const rest of orders(n - 1))
    for (let at = n - 1; at >= 0; at--) yield [...rest.slice(0, at), n - 1, ...rest.slice(at)];
}

const shuffledTurns = (n: number, rng: Random): number[] =>
  Array.from({ length: n }, () => Math.floor(rng.next() * TURNS));

function goesOf(table: Table, places: readonly number[], turns: readonly number[]): Goes[] {
  const { members, spots } = table;
  return members.flatMap((m, i) =>
    members.flatMap((other, j): Goes[] => {
      if (i === j) return [];
      const way = wayTo(spots[places[i]], spots[places[j]]);
      const line = { id: m.id, into: other.id };
      const roots = limbsInto(m.roots, turns[i], way, other.base);
      // of two branches that would cross, that of the smaller tree goes
      const branches = m.base > other.base ? [] : limbsInto(m.branches, turns[i], way, other.base);
      return [
        ...roots.map((index): Goes => ({ ...line, what: 'root', index })),
        ...branches
          .filter((index) => m.branches[index].height < other.height)
          .map((index): Goes => ({ ...line, what: 'branch', index })),
      ];
    }),
  );
}

/**
 * How stems are turned, by steps of 10°, and on which of the places they are set, so that gaps between roots fill, least
 * runs into a neighbour, and curves agree without being parallel. Found by bettering two, then three at a time from
 * many beginnings; for two and three members it is the best there is (core/test/fusing). `told` hears the part that is done, 0..1.
 */
export function setTogether(
  members: readonly Member[],
  seed = 1,
  told: (part: number) => void = () => undefined,
): Group {
  const table = new Table(members);
  const n = members.length;
  const rng = random(seed);
  const byBase = members.map((_, i) => i).toSorted((a, b) => members[b].base - members[a].base);
  // an order tells which rank of thickness stands on which place
  const inOrder = [...orders(Math.min(n, 5))]
    .map((o) => [...o, ...Array.from({ length: n - o.length }, (_, i) => o.length + i)])
    .map((o) => ({ o, off: o.reduce((sum, rank, place) => sum + Math.abs(rank - place), 0) }))
    .toSorted((a, b) => a.off - b.off)
    .slice(0, ORDERS_MOST);
  const found: { worth: number; places: number[]; turns: number[] }[] = [];
  inOrder.forEach(({ o }, at) => {
    const places: number[] = Array.from({ length: n }, () => 0);
    o.forEach((rank, place) => (places[byBase[rank]] = place));
    let best: { worth: number; turns: number[] } | null = null;
    // of three each order is settled for good by one polish
    for (let k = 0; k < (n > 3 ? BEGINNINGS : 1); k++) {
      const turns = shuffledTurns(n, rng);
      const worth = settle(table, places, turns);
      if (!best || worth > best.worth) best = { worth, turns };
    }
    found.push({ ...best!, places });
    told((0.8 * (at + 1)) / inOrder.length);
  });
  const polished = found
    .toSorted((a, b) => b.worth - a.worth)
    .slice(0, POLISHED)
    .map((f) => ({ ...f, worth: polish(table, f.places, f.turns) }));
  const { worth, places, turns } = polished.reduce((a, b) => (b.worth > a.worth ? b : a));
  told(1);
  const bits = members.reduce((all, m, i) => all | sectorsOf(m, turns[i]), 0);
  return {
    stood: members.map((m, i) => ({ id: m.id, place: places[i], turn: turns[i] * STEP })),
    spots: table.spots,
    worth,
    occupied: bits.toString(2).replaceAll('0', '').length,
    goes: goesOf(table, places, turns),
  };
}

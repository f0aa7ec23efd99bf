import { expose } from 'comlink';
import type { KeepWeeks, Year } from '@gonimos/contract/year';
import { Leveller, type YearPlan } from '@gonimos/core/year';
import {
  headOf,
  place,
  placeLevelled,
  viewOf,
  weeksToKeep,
  type Placed,
  type Shown,
  type YearHead,
  type YearView,
} from './view';

/** How far the levelling has come: the plan itself stays here. */
export interface Levelled {
  /** the state of the year it was worked out from */
  stamp: number;
  /** tells one answer from the next */
  turn: number;
  cost: number;
  bound: number;
  /** 0..1 of the search asked for */
  progress: number;
}

/** Moves tried between two answers, and answers in all. */
const SLICE = 60_000;
const SLICES = 16;
const PROOF_ROUNDS = 60;
const PROOF_SLICES = 20;

/** A year that was fetched, with its plans as far as they have been asked for. */
interface Held {
  stamp: number;
  /** as it was sent: what comes again unchanged keeps its plans */
  text: string;
  year: Year;
  plans: Map<Shown, Placed>;
  levelled: YearPlan | null;
  bound: number;
}

const held = new Map<number, Held>();
let stamps = 0;
let turns = 0;
let run = 0;
const breathe = () => new Promise((go) => setTimeout(go));

function heldYear(weeks: number): Held {
  const h = held.get(weeks);
  if (!h) throw new Error('The year has not been read.');
  return h;
}

function planOf(h: Held, how: Shown): Placed {
  const kind = how === 'levelled' && !h.levelled ? 'now' : how;
  let plan = h.plans.get(kind);
  if (!plan) {
    plan = kind === 'levelled' ? placeLevelled(h.year, h.levelled!) : place(h.year, kind);
    h.plans.set(kind, plan);
  }
  return plan;
}

function keepLevelled(h: Held, plan: YearPlan, bound: number, progress: number): Levelled {
  h.levelled = plan;
  h.bound = Math.max(h.bound, Math.min(bound, plan.cost));
  h.plans.delete('levelled');
  return { stamp: h.stamp, turn: ++turns, cost: plan.cost, bound: h.bound, progress };
}

/** Holds the year off the page, sums it up, and levels it: a first answer at once, better ones after it. */
const year = {
  /** Takes the year as the server sent it; gives what the page needs of it. */
  take(weeks: number, sent: ArrayBuffer): YearHead {
    const text = new TextDecoder().decode(sent);
    const before = held.get(weeks);
    if (before?.text === text) return headOf(before.year, before.stamp);
    const all = JSON.parse(text) as Year;
    held.set(weeks, { stamp: ++stamps, text, year: all, plans: new Map(), levelled: null, bound: 0 });
    return headOf(all, stamps);
  },
  view(weeks: number, how: Shown, week: number, most: number): YearView {
    const h = heldYear(weeks);
    return viewOf(h.year, planOf(h, how), week, most);
  },
  /** The weeks of the levelled plan, to be kept. */
  toKeep(weeks: number): KeepWeeks['weeks'] {
    const h = heldYear(weeks);
    return h.levelled ? weeksToKeep(h.year, h.levelled) : [];
  },
  async level(weeks: number, tell: (a: Levelled) => void): Promise<void> {
    const mine = ++run;
    const h = heldYear(weeks);
    h.bound = 0;
    const leveller = new Leveller(h.year.problem);
    tell(keepLevelled(h, leveller.first(), leveller.bound, 0));
    for (let i = 1; i <= SLICES; i++) {
      await breathe();
      if (run !== mine) return;
      leveller.prove(PROOF_ROUNDS);
      tell(keepLevelled(h, leveller.improve(SLICE), leveller.bound, i / SLICES));
    }
  },
  /** Raises the proven bound under the plan that is shown, as far as it will go in a few seconds. */
  async prove(weeks: number, tell: (a: Levelled) => void): Promise<void> {
    const mine = ++run;
    const h = heldYear(weeks);
    if (!h.levelled) return;
    const leveller = new Leveller(h.year.problem);
    leveller.first();
    for (let i = 1; i <= PROOF_SLICES; i++) {
      await breathe();
      if (run !== mine) return;
      tell(keepLevelled(h, h.levelled, leveller.prove(150), i / PROOF_SLICES));
    }
  },
  stop(): void {
    run++;
  },
};

export type YearWorker = typeof year;
expose(year);

import { expose } from 'comlink';
import { Leveller, shortfalls, type Shortfall, type YearPlan, type YearProblem } from '@gonimos/core/year';

/** An answer on its way to being the best: the plan so far and the bound proved so far. */
export interface Answer {
  plan: YearPlan;
  bound: number;
  shortfalls: Shortfall[];
  /** 0..1 of the search asked for */
  progress: number;
  done: boolean;
}

/** Moves tried between two answers, and answers in all. */
const SLICE = 60_000;
const SLICES = 16;
const PROOF_ROUNDS = 60;

let run = 0;
const breathe = () => new Promise((go) => setTimeout(go));

/** Levels a year off the page: a first answer at once, better ones after it, until done or stopped. */
const level = {
  async start(problem: YearProblem, tell: (a: Answer) => void): Promise<void> {
    const mine = ++run;
    const leveller = new Leveller(problem);
    const answer = (plan: YearPlan, progress: number): Answer => ({
      plan,
      bound: leveller.bound,
      shortfalls: shortfalls(problem, plan),
      progress,
      done: progress >= 1,
    });
    tell(answer(leveller.first(), 0));
    for (let i = 1; i <= SLICES; i++) {
      await breathe();
      if (run !== mine) return;
      leveller.prove(PROOF_ROUNDS);
      tell(answer(leveller.improve(SLICE), i / SLICES));
    }
  },
  /** Raises the proven bound as far as it will go in a few seconds. */
  async prove(problem: YearProblem, tell: (bound: number, progress: number) => void): Promise<void> {
    const mine = ++run;
    const leveller = new Leveller(problem);
    leveller.first();
    for (let i = 1; i <= 20; i++) {
      await breathe();
      if (run !== mine) return;
      tell(leveller.prove(150), i / 20);
    }
  },
  stop(): void {
    run++;
  },
};

export type LevelWorker = typeof level;
expose(level);

import { expose } from 'comlink';
import { bendRecipes, type Asked, type Recipe } from '@gonimos/core/bends';

/** Said that often how far it is. */
const EVERY = 10;

export interface Bent {
  recipes: Recipe[];
  without: { number: number; why: string }[];
}

/** Lines for a whole cohort, off the page; `told` hears how many stems are thought through. */
const bends = {
  recipes: (seed: number, asked: readonly Asked[], told: (done: number) => Promise<void>): Bent =>
    bendRecipes(seed, asked, (done) => {
      if (done % EVERY === 0) void told(done);
    }),
};

export type BendsWorker = typeof bends;
expose(bends);

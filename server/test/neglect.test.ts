import { bench } from './harness.ts';
import { Neglect } from './neglect.ts';

/** Weeks of neglect here, of one luck; `npm run neglect` lives two years for many. */
const WEEKS = Number(process.env.GONIMOS_NEGLECT_WEEKS ?? 16);
const SEEDS = (process.env.GONIMOS_NEGLECT_SEEDS ?? '8').split(',').map(Number);

describe('a grower who misses days, does half a batch and changes plans', () => {
  for (const seed of SEEDS)
    it(`${WEEKS} weeks with luck ${seed}: nothing is forgotten`, async () => {
      const b = await bench();
      const grower = new Neglect(b, await b.visitor('grower'), seed);
      try {
        await grower.live(WEEKS);
      } catch (error) {
        // told at once: the whole of two years for twenty of them takes an hour
        console.log(`      ${(error as Error).message}`);
        throw error;
      } finally {
        console.log(`      ${JSON.stringify(grower.deeds)}`);
        await b.close();
      }
    }).timeout(WEEKS * 30_000);
});

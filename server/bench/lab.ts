/** The trunk lab's runs against a bare loop over typed arrays that does the same arithmetic. */
import { COHORTS_SD, courseOf, forecast, HEIGHTS, SEASONS_SD, type Wish } from '@gonimos/core/lab';
import { random } from '@gonimos/core/random';
import { grow, SLENDERNESS } from '@gonimos/core/trunk';
import { plantOf } from '../../core/test/lab/plant.ts';
import { row } from './many.ts';

const RUNS = 2000;
const SEASONS = 12;
const CLEAR = 0.3;

const START = plantOf('acer-campestre', { litres: 14, wall: 'air-pruning' });
const WISH: Wish = { name: 'Bench', pots: [], prune: 'none', sacrifice: null, chop: null, methods: [] };

/** Luck drawn, the base grown in closed form, its wood laid on at every height, thickness told: nothing else. */
function bareLoop(): number {
  const area = new Float64Array(HEIGHTS.length);
  const across = new Float64Array(HEIGHTS.length);
  const band = Array.from({ length: SEASONS }, () => new Float64Array(RUNS));
  for (let r = 0; r < RUNS; r++) {
    const rng = random(r + 1);
    const cohort = Math.exp(COHORTS_SD * rng.normal());
    let caliper = START.caliper;
    let height = SLENDERNESS.value * caliper;
    area.fill((Math.PI / 4) * caliper * caliper);
    for (let s = 0; s < SEASONS; s++) {
      const luck = cohort * Math.exp(SEASONS_SD * rng.normal());
      const after = grow(caliper, START.ring, luck, START.litres!, 1);
      const gained = (Math.PI / 4) * (after * after - caliper * caliper);
      const from = CLEAR * height;
      for (let j = 0; j < HEIGHTS.length; j++) {
        const part = HEIGHTS[j] <= from ? 1 : Math.max(0, (height - HEIGHTS[j]) / (height - from));
        area[j] += gained * part;
        across[j] = Math.sqrt((4 * area[j]) / Math.PI);
      }
      height += SLENDERNESS.value * (after - caliper);
      caliper = after;
      band[s][r] = across[0];
    }
  }
  return band.map((b) => b.sort()).reduce((sum, b) => sum + b[RUNS / 2], 0);
}

const timed = (work: () => unknown): number => {
  const from = performance.now();
  work();
  return performance.now() - from;
};
const middle = (of: number[]): number => of.toSorted((a, b) => a - b)[Math.floor(of.length / 2)];

export function benchLab(): void {
  const course = courseOf('bench', WISH, START, SEASONS);
  const own = () => forecast(START, course, SEASONS, RUNS, 40);
  own();
  bareLoop();
  // in turns, for the machine's speed wanders
  const ratios: number[] = [];
  const took: number[] = [];
  for (let i = 0; i < 7; i++) {
    const bare = timed(bareLoop);
    took.push(timed(own));
    ratios.push(took[i] / bare);
  }
  const ratio = middle(ratios);
  const what = `trunk lab, ${RUNS} runs × ${SEASONS} seasons × ${HEIGHTS.length} heights, against bare`;
  row(what, `${ratio.toFixed(2)} (${middle(took).toFixed(0)} ms)`, '≤ 3', ratio <= 3);
}

import { expect } from 'chai';
import { forecast, learnGrowth, luckOf, MEDIAN_LUCK, runCourse, type Stretch } from '@gonimos/core/lab';
import { random } from '@gonimos/core/random';
import { plantOf } from './plant.ts';

const START = plantOf('acer-campestre', { year: 1, litres: 9, wall: 'air-pruning' });
const STILL = { id: 'x', name: 'x', acts: [] };
const YEARS = 10;
const COHORTS = 2000;
const RUNS = 100;

// The model's own world: truth and forecast come from one generator, so this tells that the arithmetic of learning
// is right, not that plants do so.
describe('learning a cohort’s own growth (in the model’s own world)', () => {
  /** A cohort with a hidden factor, measured for some years; where its truth lies in the forecast of year ten. */
  function oneCohort(seed: number, measured: number) {
    const truth = runCourse(START, STILL, YEARS, luckOf(seed, YEARS)).map((y) => y.caliper);
    const rng = random(seed + 500_000);
    const seen = [START.caliper, ...truth.slice(0, measured).map((mm) => mm + 0.3 * rng.normal())];
    const stretches: Stretch[] = seen.slice(1).map((mm, i) => {
      const from = { ...START, caliper: seen[i] };
      const grown = (cohort: number) =>
        runCourse(from, STILL, 1, { ...MEDIAN_LUCK, cohort })[0].caliper - seen[i];
      return { found: mm - seen[i], expected: grown(1), fast: grown(1.29), seasons: 1 };
    });
    const growth = learnGrowth(stretches);
    const now = { ...START, caliper: seen.at(-1)! };
    const band = forecast(now, STILL, YEARS - measured, RUNS, null, growth).band.at(-1)!;
    const end = truth.at(-1)!;
    return { inside: end >= band.p10 && end <= band.p90, off: Math.abs(Math.log(band.p50 / end)) };
  }

  it('eight truths of ten lie in the band, and each year of data brings year ten nearer', () => {
    const rows = [0, 1, 2, 4, 6].map((measured) => {
      const cohorts = measured === 2 ? COHORTS : 300;
      const all = Array.from({ length: cohorts }, (_, i) => oneCohort(i + 1000, measured));
      return {
        measured,
        cover: all.filter((c) => c.inside).length / all.length,
        off: all.reduce((n, c) => n + c.off, 0) / all.length,
      };
    });
    for (const r of rows) {
      const inside = (100 * r.cover).toFixed(1);
      const off = (100 * r.off).toFixed(1);
      console.log(`      ${r.measured} years measured: ${inside} % inside, year ten off by ${off} %`);
    }
    expect(rows.find((r) => r.measured === 2)!.cover).to.be.within(0.77, 0.83);
    for (let i = 1; i < rows.length; i++) expect(rows[i].off).to.be.below(rows[i - 1].off);
  }).timeout(60_000);

  it('shrinks by noise and number, and is not led by stretches that tell nothing', () => {
    const one = learnGrowth([{ found: 6, expected: 5, fast: 6.45, seasons: 1 }]);
    const four = learnGrowth(
      Array.from({ length: 4 }, () => ({ found: 6, expected: 5, fast: 6.45, seasons: 1 })),
    );
    expect(one.mean).to.be.within(1.05, 1.2);
    expect(four.mean).to.be.within(one.mean, 1.2);
    expect(four.sd).to.be.below(one.sd);
    const nothing = [
      { found: 4, expected: 0, fast: 0, seasons: 1 },
      { found: NaN, expected: NaN, fast: NaN, seasons: 1 },
    ];
    expect(learnGrowth(nothing).n).to.equal(0);
    expect(learnGrowth([{ found: -1, expected: 5, fast: 6.45, seasons: 1 }]).mean).to.be.below(0.5);
  });
});

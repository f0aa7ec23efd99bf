import { expect } from 'chai';
import { coursesToTry, forecast, courseOf, Search, unbeaten, type Aim } from '@gonimos/core/lab';
import { plantOf } from './plant.ts';

const start = plantOf('acer-campestre');
const aim = (more: Partial<Aim> = {}): Aim => ({
  mm: 40,
  seasons: 10,
  scar: null,
  height: null,
  least: 'years',
  ...more,
});
const searched = (a: Aim) => {
  const s = new Search(start, a);
  while (s.step(500));
  return s.best();
};

describe('the search for a course', () => {
  it('tries thousands; none of what it finds is beaten in all by another, and each does what was asked', () => {
    expect(coursesToTry(start, 10).length).to.be.above(5000);
    const from = performance.now();
    const found = searched(aim());
    const took = performance.now() - from;
    console.log(
      `      ${coursesToTry(start, 10).length} courses in ${Math.round(took)} ms, ${found.length} unbeaten`,
    );
    expect(took).to.be.below(10_000);
    expect(found.length).to.be.above(3);
    expect(unbeaten(found)).to.have.length(found.length);
    // courses that differ only after the goal are one
    expect(new Set(found.map((f) => JSON.stringify(f.wish))).size).to.equal(found.length);
    for (const { wish, reached } of found) expect(wish.chop?.year ?? reached).to.be.at.most(reached);
    for (const f of found) {
      const years = forecast(start, courseOf('x', f.wish, start, 10), 10, 1, 40).middle;
      const hit = years.find((y) => y.year === f.reached)!;
      expect(hit.caliper).to.be.at.least(40);
      expect(hit.sacrifices).to.deep.equal([]);
    }
    // the ground is by far the fastest: what is found first gets there no later than left in the ground alone
    const ground = {
      ...found[0].wish,
      pots: [{ year: 2037, container: 'ground' }],
      sacrifice: null,
      chop: null,
    };
    const alone = forecast(start, courseOf('x', ground, start, 10), 10, 1, 40).goal!.year!;
    expect(found[0].reached).to.be.at.most(alone);
  }).timeout(30_000);

  it('keeps to limits of scar and height; what is asked to be least comes first; more is asked, less is found', () => {
    const low = searched(aim({ height: 1500, scar: 0.6 }));
    expect(low).not.to.deep.equal([]);
    for (const f of low) expect(f.scar).to.be.at.most(0.6);
    // a narrow scar allows little; where it may be carved there is more, and what is carved is in the course
    const strict = searched(aim({ scar: 0.2, height: 1200 }));
    const carved = searched(aim({ scar: 0.2, height: 1200, carve: true }));
    const soonest = (all: typeof strict) => Math.min(...all.map((f) => f.reached), 9999);
    expect(soonest(carved)).to.be.at.most(soonest(strict));
    expect(carved.some((f) => f.wish.carve)).to.equal(true);
    expect(strict.some((f) => f.wish.carve)).to.equal(false);
    const work = searched(aim({ least: 'minutes' }));
    expect(work[0].minutes).to.equal(Math.min(...work.map((f) => f.minutes)));
    const mix = searched(aim({ least: 'litres' }));
    expect(mix[0].litres).to.equal(Math.min(...mix.map((f) => f.litres)));
    expect(searched(aim({ mm: 400 }))).to.deep.equal([]);
    const slow = searched(aim({ mm: 60 }))[0].years;
    expect(slow).to.be.at.least(searched(aim({ mm: 30 }))[0].years);
  }).timeout(60_000);
});

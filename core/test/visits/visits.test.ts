import { expect } from 'chai';
import { normalQuantile } from '@gonimos/core/stats';
import { brier, learnedTolerance, scoreOf } from '@gonimos/core/survival';
import { rankCauses, usualDecision, type RootCase } from '@gonimos/core/visits';
import { programme, retarget } from '@gonimos/core/programmes';

const quiet: RootCase = {
  found: [],
  fill: 0.4,
  litres: 3,
  wall: 'air-pruning',
  sinceWork: 1,
  warmth: 20,
  light: 'full',
  mix: 'mineral',
};
const first = (more: Partial<RootCase>) => rankCauses({ ...quiet, ...more })[0];

describe('visits: likely causes of failed roots', () => {
  it('ranks what the record speaks for, with one change each', () => {
    expect(first({ found: ['few-roots'], fill: 0.01, litres: 12 }).id).to.equal('size');
    expect(first({ found: ['rot'], wall: 'smooth', warmth: 8 }).id).to.equal('wetness');
    expect(first({ found: ['mat-below'], litres: 0.2, warmth: 31, wall: 'porous' }).id).to.equal('dryness');
    expect(first({ sinceWork: 6, fill: 0.99 }).id).to.equal('age');
    expect(first({ light: 'shade', warmth: 10 }).id).to.equal('place');
    expect(first({ found: ['roots-out'], sinceWork: 2, fill: 0.7 }).id).to.equal('age');
    const all = rankCauses({ ...quiet, found: ['rot', 'few-roots'] });
    expect(all.reduce((n, c) => n + c.weight, 0)).to.be.closeTo(1, 0.04);
    expect(all.every((c) => c.change.length > 10)).to.equal(true);
  });

  it('the gravest finding speaks for the usual decision', () => {
    expect(usualDecision(['mat-below', 'pests'])).to.equal('quarantine');
    expect(usualDecision(['few-roots', 'mat-below'])).to.equal('put-back');
    expect(usualDecision(['white-tips'])).to.equal('carry-on');
  });
});

describe('survival odds', () => {
  it('Brier score: half and half gets 0.25, certainty gets the share that went the other way (Brier 1950)', () => {
    expect(brier(0.5, 7, 20)).to.be.closeTo(0.25, 1e-12);
    expect(brier(1, 18, 20)).to.be.closeTo(0.1, 1e-12);
    expect(brier(0.9, 0, 0)).to.equal(null);
    // by hand: 0.9·(0.8 − 1)² + 0.1·0.8² = 0.1
    expect(brier(0.8, 9, 10)).to.be.closeTo(0.1, 1e-12);
    const score = scoreOf([
      { model: 0.9, grower: 0.5, alive: 9, of: 10 },
      { model: 0.9, grower: null, alive: 20, of: 20 },
    ]);
    expect(score.grower).to.equal(0.25);
    // ten plants at 0.09 and twenty at 0.01
    expect(score.model).to.equal(0.037);
  });

  it('outcomes teach the tolerance, shrunk by the library’s weight', () => {
    expect(learnedTolerance([])).to.deep.equal({ factor: 1, plants: 0 });
    // 0.95 was said and 0.85 lived over 200 plants: −0.1 halved by the prior, twice
    expect(learnedTolerance([{ model: 0.95, grower: null, alive: 170, of: 200 }]).factor).to.equal(0.9);
    expect(learnedTolerance([{ model: 0.9, grower: null, alive: 0, of: 5000 }]).factor).to.equal(0.7);
  });

  it('normal quantiles as tabled: 0.90 → 1.2816, 0.98 → 2.0537, 0.5 → 0', () => {
    expect(normalQuantile(0.9)).to.be.closeTo(1.2816, 1e-4);
    expect(normalQuantile(0.98)).to.be.closeTo(2.0537, 1e-4);
    expect(normalQuantile(0.5)).to.be.closeTo(0, 1e-6);
  });
});

describe('retargeting midway', () => {
  it('keeps what was done under its like and stands at the step after', () => {
    const done = ['sow', 'emergence', 'cells', 'plug', 'measure-1', 'correct', 'wire-1', 'grade'];
    const r = retarget(programme('seed-broadleaf'), done, programme('seed-ground'));
    expect(r.keys).to.include({ sow: 'sow', cells: 'cells', correct: 'correct' });
    // a sample measured in a basket, or a grading, does not put plants into the ground row
    expect(r.keys).not.to.have.any.keys('measure-1', 'grade');
    expect(r.standsAt).to.equal('tile');
    const pine = retarget(
      programme('cutting-broadleaf'),
      ['stick', 'check', 'single', 'correct'],
      programme('slender'),
    );
    expect(pine.standsAt).to.equal('wire-1');
    expect(pine.leftOut).to.deep.equal([]);
  });
});

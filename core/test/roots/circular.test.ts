import { expect } from 'chai';
import fc from 'fast-check';
import { gapsOf, raoPoint, raoSpacing, rayleigh, resultant, turnTo } from '../../src/stats/index.ts';
import { random } from '../../src/random/index.ts';
import { evennessOf } from '../../src/roots/index.ts';

describe('directions on a circle', () => {
  // Zar, Biostatistical Analysis, 4th ed. 1999, examples 26.4 and 27.1: eight trees that lean; written from memory
  const ZAR = [45, 55, 81, 96, 110, 117, 132, 154];

  it('mean, resultant length and Rayleigh agree with a published worked example', () => {
    const r = resultant(ZAR)!;
    expect(r.mean).to.be.closeTo(99, 0.5);
    expect(r.length).to.be.closeTo(0.82522, 0.00001);
    // z = n·r² = 5.448, and the table gives 0.001 < P < 0.002
    expect(8 * r.length ** 2).to.be.closeTo(5.448, 0.001);
    expect(rayleigh(ZAR)).to.be.within(0.001, 0.002);
  });

  it('gaps and Rao’s spacing of hand-worked cases', () => {
    expect(gapsOf([350, 10, 100, 180])).to.deep.equal([90, 80, 170, 20]);
    // |90−90| + |80−90| + |170−90| + |20−90| = 160, by half
    expect(raoSpacing([350, 10, 100, 180])).to.equal(80);
    expect(raoSpacing([0, 90, 180, 270])).to.equal(0);
    // all in one direction: (n − 1)·360/n
    expect(raoSpacing([77, 77, 77, 77])).to.equal(270);
    expect(turnTo(350, 10)).to.equal(20);
    expect(turnTo(10, 350)).to.equal(-20);
  });

  it('the 5 % points of Rao’s spacing are passed by one draw at random in twenty', () => {
    for (const n of [4, 6, 8, 12]) {
      const rnd = random(n);
      const draws = 20_000;
      let over = 0;
      for (let i = 0; i < draws; i++)
        if (raoSpacing(Array.from({ length: n }, () => 360 * rnd.next()))! > raoPoint(n)!) over++;
      // three standard errors of a share of 0.05
      expect(over / draws, `${n} directions`).to.be.closeTo(0.05, 3 * Math.sqrt((0.05 * 0.95) / draws));
    }
    expect(raoPoint(3)).to.equal(null);
  });

  it('opposed bunches are seen by Rao where Rayleigh sees nothing; few roots are never called even', () => {
    const bunched = [0, 4, 8, 12, 180, 184, 188, 192];
    expect(rayleigh(bunched)).to.be.greaterThan(0.5);
    expect(evennessOf(bunched).told).to.equal('in bunches');
    expect(evennessOf([10, 20, 30, 40, 50, 60]).told).to.equal('from one side');
    expect(evennessOf([0, 60, 120, 180, 240, 300]).told).to.equal('not from chance');
    expect(evennessOf([0, 120, 240]).told).to.equal('too few');
  });

  it('turning the compass turns the mean and changes nothing else', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 359.9, noNaN: true }), { minLength: 2, maxLength: 12 }),
        fc.integer({ min: 1, max: 359 }),
        (az, by) => {
          const moved = az.map((a) => a + by);
          expect(resultant(moved)!.length).to.be.closeTo(resultant(az)!.length, 1e-9);
          expect(raoSpacing(moved)!).to.be.closeTo(raoSpacing(az)!, 1e-6);
        },
      ),
    );
  });
});

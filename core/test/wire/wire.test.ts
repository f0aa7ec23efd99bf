import { expect } from 'chai';
import fc from 'fast-check';
import {
  cage,
  GAUGES,
  gaugeFor,
  gramsOf,
  METALS,
  spiral,
  tieDownFor,
  tieWords,
  tourniquet,
  wireFor,
  type Metal,
} from '@gonimos/core/wire';

const STEPS = 200_000;

/** Length and turns of a spiral by walking along it in small steps: nothing of the formula under test. */
function walked(from: number, to: number, long: number, wire: number, angle: number) {
  const tan = Math.tan((angle * Math.PI) / 180);
  let [length, turn] = [0, 0];
  const dz = long / STEPS;
  for (let i = 0; i < STEPS; i++) {
    const radius = (from + ((to - from) * (i + 0.5)) / STEPS + wire) / 2;
    const dphi = dz / (radius * tan);
    turn += dphi;
    length += Math.hypot(dz, radius * dphi);
  }
  return { length, turns: turn / (2 * Math.PI) };
}

describe('wire', () => {
  it('property: turns and length of a spiral over a taper agree with numeric integration', () => {
    const thick = fc.double({ min: 2, max: 60, noNaN: true });
    fc.assert(
      fc.property(
        thick,
        fc.double({ min: 0.3, max: 1, noNaN: true }),
        fc.integer({ min: 20, max: 800 }),
        fc.constantFrom(...GAUGES),
        fc.integer({ min: 30, max: 60 }),
        (from, taper, long, wire, angle) => {
          const by = walked(from, from * taper, long, wire, angle);
          const said = spiral({ from, to: from * taper, long, wire, angle });
          expect(said.turns / by.turns).to.be.closeTo(1, 1e-4);
          expect(said.length / by.length).to.be.closeTo(1, 2e-3);
        },
      ),
      { numRuns: 12 },
    );
  });

  it('of a cylinder at 45° by hand: 300 mm along, 12.5 mm across wire and stem', () => {
    const { length, turns } = spiral({ from: 10, to: 10, long: 300, wire: 2.5, angle: 45 });
    expect(length).to.be.closeTo(300 * Math.SQRT2, 1e-9);
    expect(turns).to.be.closeTo(300 / (Math.PI * 12.5), 1e-9);
  });

  it('mass is volume times density: a metre of 2 mm copper is 28.1 g, of aluminium 8.5 g', () => {
    expect(gramsOf(1000, 2, 'copper')).to.be.closeTo(28.15, 0.01);
    expect(gramsOf(1000, 2, 'aluminium')).to.be.closeTo(8.48, 0.01);
    expect(gramsOf(500, 4, 'stainless')).to.be.closeTo(2 * gramsOf(1000, 2, 'stainless'), 1e-9);
  });

  it('property: a thicker stem never takes a thinner wire, and softer metal never a thinner one than harder', () => {
    const metals = Object.keys(METALS) as Metal[];
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 80, noNaN: true }),
        fc.double({ min: 0, max: 20, noNaN: true }),
        (stem, more) => {
          for (const m of metals) expect(gaugeFor(stem + more, m)).to.be.at.least(gaugeFor(stem, m));
          expect(gaugeFor(stem, 'aluminium')).to.be.at.least(gaugeFor(stem, 'copper'));
        },
      ),
    );
    expect(gaugeFor(6, 'aluminium')).to.equal(2);
    expect(gaugeFor(6.1, 'aluminium')).to.equal(2.5);
    // what is thicker than any wire holds takes the thickest there is
    expect(gaugeFor(200, 'aluminium')).to.equal(6);
  });

  it('tourniquet, cage and loop by hand', () => {
    expect(tourniquet(20, 2, 3)).to.be.closeTo(3 * Math.PI * 22 + 60, 1e-9);
    const made = cage(20, 2, 100);
    // around 22 mm at about 12 mm apart; bound at 0, 40, 80 and at the end
    expect([made.uprights, made.loops]).to.deep.equal([6, 4]);
    expect(made.length).to.be.closeTo(600 + 4 * (Math.PI * 26 + 30), 1e-9);
    expect(wireFor('guy', 20, 2, { long: 0, turns: 0 }).length).to.be.closeTo(Math.PI * 22 + 60, 1e-9);
    expect(wireFor('wire', 20, 6, { long: 200, turns: 0 }).words).to.match(/^\d+ turns over 200 mm/);
  });

  it('tie-downs by hand: a basket of 18 cm at two points; the larger a pot, never fewer points nor thinner wire', () => {
    // 2 · (2 · 130 + 90 + 60)
    expect(tieDownFor({ rim: [180, 180], depth: 130 })).to.deep.equal({ points: 2, wire: 2, length: 820 });
    let last = tieDownFor({ rim: [60, 60], depth: 60 });
    for (let mm = 80; mm < 700; mm += 20) {
      const tie = tieDownFor({ rim: [mm, mm / 2], depth: 60 });
      expect(tie.points).to.be.within(Math.max(2, last.points), 5);
      expect(tie.wire).to.be.within(Math.max(1.5, last.wire), 3);
      expect(tie.length).to.be.above(last.length);
      last = tie;
    }
    expect(tieWords(last)).to.equal('tied at 5 points with 3 mm wire');
  });
});

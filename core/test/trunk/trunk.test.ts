import { expect } from 'chai';
import { boxLitres, CONTAINERS, roundLitres } from '@gonimos/core/containers';
import { caliperBefore, crownMean, fullAt, grow, massOf, packRings, ringsOf } from '@gonimos/core/trunk';

describe('trunk growth', () => {
  it('doubling a pot that already holds growth back gives 43 % more mass (Poorter et al. 2012, from memory)', () => {
    // one season from the same start, both volumes far below what the plant would need
    const gained = (litres: number) => massOf(grow(30, 4, 1, litres, 0.02)) - massOf(30);
    expect(fullAt(2)).to.be.lessThan(30);
    expect(gained(2) / gained(1)).to.be.closeTo(1.43, 0.02);
  });

  it('the closed form equals small steps of the rate', () => {
    for (const [from, litres] of [
      [2, 1],
      [12, 3],
      [25, 7],
      [8, Infinity],
    ]) {
      let d = from;
      const steps = 20_000;
      for (let i = 0; i < steps; i++) {
        const wanted = massOf(d) / 2;
        const hold = litres >= wanted ? 1 : (litres / wanted) ** Math.log2(1.43);
        d += (2 * 5.5 * hold * 2) / steps;
      }
      expect(grow(from, 5.5, 1, litres, 2)).to.be.closeTo(d, 0.02);
    }
  });

  it('packs rings for sending and gives them back', () => {
    const rings = [4.9, 12.8, 17.04].map((caliper, i) => ({
      season: 2031 + i,
      caliper,
      slow: Math.floor(caliper),
      fast: Math.ceil(caliper) + 1,
      measured: i === 1,
    }));
    const run = packRings(rings);
    expect(ringsOf(run)).to.deep.equal(
      rings.map((r) => ({ ...r, caliper: Math.round(r.caliper * 10) / 10 })),
    );
    expect([2031, 2032, 2034, 2050].map((y) => caliperBefore(run, y))).to.deep.equal([0, 4.9, 17, 17]);
  });

  it('stays in the ranges it was fitted to (regression guard, not an outside check)', () => {
    // elm-like in the ground from 6 mm, first season half: 44 mm at 3, 59 mm at 4 years
    const ground = (years: number) => grow(6, 7.7, 1, Infinity, years - 0.5);
    expect(ground(3)).to.be.closeTo(44, 1);
    expect(ground(4)).to.be.closeTo(60, 1);
    expect(crownMean(0.7, 0.6, 1)).to.be.closeTo(0.925, 1e-9);
    expect(crownMean(0.15, 0.6, 1)).to.be.closeTo(0.45, 1e-9);
  });
});

describe('container volumes', () => {
  it('equal numerical integration of thin slices', () => {
    const slices = 4000;
    const integrate = (area: (t: number) => number, depth: number) => {
      let sum = 0;
      for (let i = 0; i < slices; i++) sum += area((i + 0.5) / slices);
      return (sum / slices) * depth * 1e-6;
    };
    const lerp = (a: number, b: number, t: number) => a + (b - a) * t;
    const round = integrate((t) => (Math.PI / 4) * lerp(168, 130, t) ** 2, 150);
    expect(roundLitres(168, 130, 150)).to.be.closeTo(round, 1e-5);
    const box = integrate((t) => lerp(400, 300, t) * lerp(300, 100, t), 90);
    expect(boxLitres([400, 300], [300, 100], 90)).to.be.closeTo(box, 1e-5);
  });

  it('a #1 nursery container holds 152–251 in³, 2.49–4.11 L (American standard for nursery stock, from memory)', () => {
    // an invented pot of the usual make: 165 mm rim, 130 mm base, 165 mm deep
    expect(roundLitres(165, 130, 165)).to.be.within(2.49, 4.11);
    expect(CONTAINERS.length).to.be.at.least(12);
    for (const c of CONTAINERS) expect(c.litres, c.id).to.be.greaterThan(0);
  });
});

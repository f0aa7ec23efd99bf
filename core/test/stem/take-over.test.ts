import { expect } from 'chai';
import fc from 'fast-check';
import { takeOver } from '@gonimos/core/stem';
import { part, stem } from './drawn.ts';

describe('a lesser stem that is to become the trunk', () => {
  it('by hand: its share of the crown is its share of the wood of a season', () => {
    // 10 mm beside a leader that is 30 − 28.5 · 100 ÷ 900 = 26.83 mm where it stands
    const minor = part('a', 100, { diameter: 10 });
    const { seasons } = takeOver(stem([minor]), minor, 4);
    expect(seasons[0].minor).to.be.closeTo(10, 1e-9);
    expect(seasons[0].stem).to.be.closeTo(26.8333, 1e-3);
    const own = 100 / (100 + 26.8333 ** 2);
    const grown = 38 ** 2 - 30 ** 2;
    expect(seasons[1].minor).to.be.closeTo(Math.sqrt(100 + own * grown), 1e-3);
    expect(seasons[1].stem).to.be.closeTo(Math.sqrt(26.8333 ** 2 + grown), 1e-2);
  });

  it('thick enough it takes over now; held down by what stands above it never does, and how much is too much is said', () => {
    const strong = part('a', 100, { diameter: 16 });
    expect(takeOver(stem([strong]), strong, 4)).to.include({ after: 0, thin: 0 });
    const weak = part('a', 100, { diameter: 5 });
    const held = takeOver(stem([weak]), weak, 4);
    expect(held.after).to.equal(null);
    expect(held.thin).to.be.within(0.5, 1);
    // with so much of the rest gone as is said, it stands one day
    const thinned = stem([weak], { height: 130 });
    expect(takeOver(thinned, weak, 4).after).to.be.a('number');
  });

  it('property: a thicker one is never later, and the years go by: both only thicken', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 2, max: 20, noNaN: true }),
        fc.integer({ min: 10, max: 800 }),
        fc.double({ min: 0.3, max: 8, noNaN: true }),
        (diameter, height, ring) => {
          const [thin, thick] = [diameter, diameter * 1.3].map((d) => {
            const p = part('a', height, { diameter: d });
            return takeOver(stem([p, part('b', 400)]), p, ring);
          });
          expect(thick.after ?? 99).to.be.at.most(thin.after ?? 99);
          expect(thin.thin).to.be.within(0, 1);
          thin.seasons.slice(1).forEach((s, i) => {
            expect(s.minor).to.be.above(thin.seasons[i].minor);
            expect(s.stem).to.be.at.least(thin.seasons[i].stem);
          });
        },
      ),
    );
  });
});

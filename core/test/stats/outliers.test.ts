import { expect } from 'chai';
import fc from 'fast-check';
import { outliersOf } from '@gonimos/core/stats';

/** Iglewicz & Hoaglin 1993, their small example; from memory. Median 2.45, MAD 0.15. */
const EXAMPLE = [2.1, 2.6, 2.4, 2.5, 2.3, 2.1, 2.3, 2.6, 8.2, 8.3];

describe('values that stand apart from the others', () => {
  it('are the two of the published example: 0.6745 · 5.75 ÷ 0.15 is 25.9, and 2.1 comes to no more than 1.6', () => {
    expect(outliersOf(EXAMPLE)).to.deep.equal([8.2, 8.3]);
    expect(outliersOf(EXAMPLE.slice(0, 8))).to.deep.equal([]);
  });

  it('none of few values, and none so near that it says nothing', () => {
    expect(outliersOf([5, 5, 5, 62])).to.deep.equal([]);
    expect(outliersOf([5, 5, 5, 5, 5.1])).to.deep.equal([5.1]);
    expect(outliersOf([5, 5, 5, 5, 5.1], 0.5)).to.deep.equal([]);
  });

  it('property: moving and scaling all values alike changes nothing, and never half of them stand apart', () => {
    const sample = fc.array(fc.integer({ min: 1, max: 1000 }), { minLength: 5, maxLength: 40 });
    fc.assert(
      fc.property(
        sample,
        fc.integer({ min: -500, max: 500 }),
        fc.integer({ min: 2, max: 9 }),
        (values, by, times) => {
          const far = outliersOf(values);
          expect(far.length).to.be.below(values.length / 2 + 1);
          expect(outliersOf(values.map((v) => v * times + by))).to.deep.equal(far.map((v) => v * times + by));
        },
      ),
    );
  });
});

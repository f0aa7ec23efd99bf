import { expect } from 'chai';
import fc from 'fast-check';
import { chopPlan, librarySprouts, sproutsOf } from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { ask, part, stem } from './drawn.ts';

const KIND = taxon('acer-campestre');
const PINE = taxon('pinus-thunbergii');
const look = (cut: number, broke: number, shoots: number | null = null) => ({ cut, broke, shoots });

describe('what breaks below a cut (common practice, no source)', () => {
  it('begins with the library: nearly all where a kind sprouts from bare wood, hardly any where it does not', () => {
    expect(librarySprouts(KIND).value).to.equal(0.9);
    expect(librarySprouts(taxon('taxus-baccata')).value).to.be.within(0.5, 0.9);
    expect(librarySprouts(PINE).value).to.equal(0.05);
    const none = sproutsOf(KIND, []);
    expect([none.mean, none.own, none.shoots, none.stems]).to.deep.equal([0.9, null, null, 0]);
  });

  it('a look of ten, hand-worked: plants of one cohort weigh 10 ÷ 1.9, the library 12', () => {
    // (12 · 0.9 + 5.263 · 0.4) ÷ 17.263
    expect(sproutsOf(KIND, [look(10, 4)]).mean).to.be.closeTo(0.7476, 1e-4);
    expect(sproutsOf(KIND, [look(10, 4, 12), look(6, 0)]).shoots).to.equal(3);
    expect(sproutsOf(KIND, [look(10, 4, 12), look(6, 0)]).own).to.include({ k: 4, n: 16 });
  });

  // from five looks on their own spread is estimated too, and one more may move that
  it('property: more that broke never lowers what is expected, and one huge cohort is not many', () => {
    const counts = fc
      .tuple(fc.integer({ min: 1, max: 60 }), fc.nat(60))
      .map(([cut, b]) => look(cut, Math.min(b, cut)));
    fc.assert(
      fc.property(fc.array(counts, { maxLength: 3 }), counts, (before, one) => {
        fc.pre(one.broke < one.cut);
        const less = sproutsOf(KIND, [...before, one]).mean;
        const more = sproutsOf(KIND, [...before, look(one.cut, one.broke + 1)]).mean;
        expect(more).to.be.at.least(less - 1e-12);
      }),
    );
    const one = sproutsOf(KIND, [look(400, 0)]).mean;
    const four = sproutsOf(KIND, [look(100, 0), look(100, 0), look(100, 0), look(100, 0)]).mean;
    expect(four).to.be.below(one);
  });

  it('decides where to cut: where little breaks, a thin shoot that lives is better than bare wood above it', () => {
    const record = stem([part('a', 70, { kind: 'shoot', diameter: 2 })]);
    const first = (breaks: number) => chopPlan(ask(record, { breaks })).cuts[0].leader?.id ?? null;
    expect([first(0.95), first(0.3)]).to.deep.equal([null, 'a']);
  });
});

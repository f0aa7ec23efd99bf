import { expect } from 'chai';
import fc from 'fast-check';
import {
  choiceFault,
  gamePots,
  GAME_SEASONS,
  LEFT_ALONE,
  played,
  trunkCase,
  trunkScore,
  trunkVerdict,
  type YearChoice,
} from '@gonimos/core/lab';
import { taxon } from '@gonimos/core/taxa';

const years = (...some: Partial<YearChoice>[]): YearChoice[] =>
  Array.from({ length: GAME_SEASONS }, (_, i) => ({ ...LEFT_ALONE, ...some[i] }));
/** Room first, and left to grow. */
const GOOD = years({ into: 'basket-25' }, {}, {}, { into: 'basket-32' });
const STARVED = years(...Array.from({ length: 10 }, () => ({ prune: 'hard' as const })));

describe('practice of trunks', () => {
  it('property: a seed is a case, always the same, with a goal its kind can reach', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 5000 }), (seed) => {
        const of = trunkCase(seed);
        expect(trunkCase(seed)).to.deep.equal(of);
        expect(of.goal / of.start.ring).to.be.within(6.5, of.ground ? 18 : 10);
        expect(taxon(of.taxonId).id).to.equal(of.taxonId);
      }),
      { numRuns: 60 },
    );
  });

  it('what was played stays as it was when more years are played', () => {
    const of = trunkCase(3);
    const first = played(of, GOOD.slice(0, 4));
    const whole = played(of, GOOD);
    expect(whole.slice(0, 4).map((y) => y.caliper)).to.deep.equal(first.map((y) => y.caliper));
    expect(whole).to.have.length(GAME_SEASONS);
    // another seed has other weather
    expect(played({ ...of, seed: 4 }, GOOD).at(-1)!.caliper).not.to.equal(whole.at(-1)!.caliper);
  });

  it('what cannot be done is said before it is done', () => {
    const of = trunkCase(1);
    const one = [{ ...LEFT_ALONE, sacrifice: 'let go' as const }];
    expect(choiceFault(of, [], { ...LEFT_ALONE, sacrifice: 'off' })).to.contain('no sacrifice');
    expect(choiceFault(of, one, { ...LEFT_ALONE, sacrifice: 'let go' })).to.contain('on already');
    expect(choiceFault(of, one, { ...LEFT_ALONE, sacrifice: 'off' })).to.equal(null);
    expect(choiceFault(of, [], { ...LEFT_ALONE, chop: 220 })).to.contain('no higher than');
    expect(choiceFault(of, GOOD.slice(0, 5), { ...LEFT_ALONE, chop: 220 })).to.equal(null);
  });

  it('room and free growth are worth more than shears and a small pot, for every kind there is', () => {
    for (const seed of [1, 2, 3, 4, 5, 6, 7, 8]) {
      const of = trunkCase(seed);
      const good = trunkScore(of, played(of, GOOD).at(-1)!);
      const starved = trunkScore(of, played(of, STARVED).at(-1)!);
      expect(good.all, `seed ${seed}`).to.be.above(starved.all);
      expect(good.all).to.be.within(0, 100);
    }
  });

  it('a sacrifice that is still on is not done, and one just taken off is an open scar', () => {
    const of = { ...trunkCase(2), ground: false };
    const on = played(of, years({ into: 'basket-25', sacrifice: 'let go' })).at(-1)!;
    expect(trunkScore(of, on).done).to.equal(7);
    const late = years({ into: 'basket-25', sacrifice: 'let go' });
    late[9] = { ...LEFT_ALONE, sacrifice: 'off' };
    const early = years({ into: 'basket-25', sacrifice: 'let go' }, {}, {}, { sacrifice: 'off' });
    const [lately, soon] = [late, early].map((cs) => trunkScore(of, played(of, cs).at(-1)!));
    expect(lately.done).to.equal(15);
    expect(lately.scars).to.be.below(soon.scars);
  });

  it('a chop is taper, the ground is girth, and what still stands in the ground is not done', () => {
    const of = { ...trunkCase(2), ground: true };
    const score = (cs: YearChoice[]) => trunkScore(of, played(of, cs).at(-1)!);
    const pole = score(years({ into: 'basket-25' }, {}, {}, { into: 'basket-32' }));
    const chopped = score(years({ into: 'basket-25' }, {}, {}, { into: 'basket-32', chop: 120 }));
    expect(chopped.taper).to.be.above(pole.taper + 2);
    const left = score(years({ into: 'ground' }));
    const lifted = score(years({ into: 'ground' }, {}, {}, {}, {}, {}, {}, {}, { into: 'basket-32' }));
    expect(left.thickness).to.be.above(pole.thickness);
    expect([left.done, lifted.done]).to.deep.equal([8, 15]);
  });

  it('is judged beside the best there is, under the same weather, with the reasons', () => {
    for (const seed of [1, 2, 3, 4]) {
      const of = trunkCase(seed);
      const bad = trunkVerdict(of, STARVED);
      expect(bad.best.score.all).to.be.above(bad.yours.score.all + 15);
      expect(bad.because.join(' ')).to.contain('more room for its roots').and.contain('10 winters');
      expect(bad.best.years).to.have.length(GAME_SEASONS);
      for (const c of bad.best.choices) if (c.into) expect(gamePots(of)).to.include(c.into);
      // what is played as the best is as good as the best
      const same = trunkVerdict(of, bad.best.choices);
      expect(same.yours.score.all).to.be.closeTo(same.best.score.all, 8);
    }
  }).timeout(30_000);
});

import { expect } from 'chai';
import fc from 'fast-check';
import { shareOut, type ShareStep } from '@gonimos/core/round';

const step = (id: string, minutes: number, more: Partial<ShareStep> = {}): ShareStep => ({
  id,
  placeId: 'bench',
  minutes,
  skilled: false,
  ...more,
});
const IDA = { id: 'Ida', skilled: true };
const BRUNO = { id: 'Bruno', skilled: false };

describe('a day handed out to those who work', () => {
  it('by hand: the long cut to the skilled, the rest to who has least, the same bench to one', () => {
    const steps = [
      step('cut', 120, { skilled: true }),
      step('pot', 90, { placeId: 'frame' }),
      step('weed', 30, { placeId: 'frame' }),
      step('feed', 10, { placeId: 'frame' }),
    ];
    expect([...shareOut(steps, [IDA, BRUNO])]).to.deep.equal([
      ['cut', 'Ida'],
      ['pot', 'Bruno'],
      ['weed', 'Bruno'],
      ['feed', 'Bruno'],
    ]);
    expect(shareOut([step('cut', 10, { skilled: true })], [BRUNO]).get('cut')).to.equal('Bruno');
    expect(shareOut(steps, []).size).to.equal(0);
  });

  it('property: every step once, skilled work never with the unskilled where another is there, loads near each other', () => {
    const any = fc.record({
      minutes: fc.integer({ min: 1, max: 240 }),
      skilled: fc.boolean(),
      placeId: fc.constantFrom('a', 'b', 'c'),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 30 }), (all) => {
        const steps = all.map((s, i) => ({ ...s, id: `s${i}` }));
        const given = shareOut(steps, [IDA, BRUNO]);
        expect(given.size).to.equal(steps.length);
        for (const s of steps) if (s.skilled) expect(given.get(s.id)).to.equal('Ida');
        // of what either may do, who has more was never given a step while the other had far less
        const free = steps.map((s) => ({ ...s, skilled: false }));
        const shared = shareOut(free, [IDA, BRUNO]);
        const load = (who: string) =>
          free.reduce((n, s) => n + (shared.get(s.id) === who ? s.minutes : 0), 0);
        const longest = Math.max(0, ...free.map((s) => s.minutes));
        expect(Math.abs(load('Ida') - load('Bruno'))).to.be.at.most(longest + 20);
        // the order in which they are told does not matter
        expect([...shareOut(steps.toReversed(), [IDA, BRUNO])].sort()).to.deep.equal([...given].sort());
      }),
    );
  });
});

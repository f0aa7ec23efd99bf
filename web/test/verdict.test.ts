import { expect } from 'chai';
import { findSpeaks } from '../src/layers/find-options.tsx';
import { lackWords, lossWords } from '../src/year/verdict.tsx';
import type { ShortLine } from '../src/year/view.ts';

const year = {
  today: '2037-03-09',
  weeks: ['2037-03-09', '2037-03-16'],
  lockedWeeks: ['2037-03-16'],
  capacity: { all: [1830, 600], skilled: [1200, 600] },
  hands: [2, 3],
};
const load = { all: 2213, skilled: 1400, over: 383 };
const short = (more: Partial<ShortLine>) => ({
  week: 0,
  crew: 1,
  windowLost: false,
  lacks: 'hours' as const,
  ...more,
});

describe('why a step does not fit into the year', () => {
  it('in a grower’s words: hours, practice, people at once, a locked week', () => {
    expect(lackWords(short({}), year, load)).to.equal(
      'the week of 9 Mar has 36 h 53 of work, and 30 h 30 of hands',
    );
    expect(lackWords(short({ lacks: 'practice' }), year, load)).to.equal(
      'the week of 9 Mar has 23 h 20 of work that wants practice, and 20 h 00 of hands that have it',
    );
    expect(lackWords(short({ crew: 4, lacks: 'people' }), year, load)).to.equal(
      'wants 4 people at once, and the week of 9 Mar has 2',
    );
    expect(lackWords(short({ week: 1 }), year, load)).to.equal('the week of 16 Mar is locked');
  });

  it('and what becomes of it', () => {
    expect([lossWords(short({})), lossWords(short({ windowLost: true }))]).to.deep.equal([
      'a later week of its window has room',
      'its window would be lost',
    ]);
  });
});

describe('what speaks against opening or severing a layer', () => {
  it('nothing where nobody has looked yet or it is full; else to wrap it again', () => {
    expect([findSpeaks(''), findSpeaks('full')]).to.deep.equal([null, null]);
    expect(findSpeaks('short-brittle')).to.match(/wrap it again and wait/);
    for (const find of ['dry', 'callus', 'few', 'filling']) expect(findSpeaks(find)).to.match(/not full/);
  });
});

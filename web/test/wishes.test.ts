import { expect } from 'chai';
import type { Wish } from '@gonimos/core/lab';
import { GROWTH_GROUPS } from '@gonimos/core/taxa';

/** What a device keeps of it. */
const kept = new Map<string, string>();
Object.defineProperty(globalThis, 'sessionStorage', {
  value: { getItem: (k: string) => kept.get(k) ?? null, setItem: (k: string, v: string) => kept.set(k, v) },
  configurable: true,
});
const { COLOURS, firstWishes, keepWishes, keptWishes, LETTERS, MOST, wishWords } =
  await import('../src/trunk/wishes.ts');

const START = {
  year: 2037,
  ring: 7.7,
  tolerance: GROWTH_GROUPS['deciduous-broadleaf'],
  vigour: 4,
  caliper: 12,
  height: 600,
  litres: 3,
  wall: 'air-pruning' as const,
};
const wish = (more: Partial<Wish> = {}): Wish => ({
  name: 'A',
  pots: [],
  prune: 'none',
  sacrifice: null,
  chop: null,
  methods: [],
  ...more,
});

describe('courses of the trunk lab in words', () => {
  it('nothing done is left to grow; what is done is told in the order of the sheet', () => {
    expect(wishWords(wish())).to.equal('left to grow where it stands');
    expect(
      wishWords(
        wish({
          pots: [{ year: 2037, container: 'basket-25' }],
          sacrifice: { from: 2037, to: 2040, height: 60, foliage: 0.5 },
          chop: { year: 2041, height: 150 },
          prune: 'lightly',
        }),
      ),
    ).to.equal(
      'pond basket 25 cm 2037; sacrifice 2037 to 2040; chop 2041 at 150 mm; cut back lightly each winter',
    );
  });

  it('first are what is there, baskets with a sacrifice, and the ground: fewer than fit, each with a name', () => {
    const first = firstWishes(START, { cut: 'yearly', lift: 'second' });
    expect(first.length).to.be.below(MOST);
    expect(new Set(first.map((w) => w.name)).size).to.equal(first.length);
    for (const w of first) for (const p of w.pots) expect(p.year).to.be.at.least(2037);
    expect(LETTERS.length).to.equal(MOST);
    expect(new Set(COLOURS).size).to.equal(MOST);
  });

  it('what was looked at outlives a reload, by cohort; what cannot be read is none', () => {
    expect(keptWishes('c1')).to.equal(null);
    keepWishes('c1', [wish({ name: 'kept' })]);
    expect(keptWishes('c1')!.map((w) => w.name)).to.deep.equal(['kept']);
    expect(keptWishes('c2')).to.equal(null);
    keepWishes('c2', []);
    expect(keptWishes('c2'), 'no course at all is none').to.equal(null);
    kept.set('trunk lab c1', '{broken');
    expect(keptWishes('c1')).to.equal(null);
    kept.set('trunk lab c1', '{"a":1}');
    expect(keptWishes('c1')).to.equal(null);
  });
});

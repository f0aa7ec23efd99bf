import { expect } from 'chai';
import { stemSince } from '@gonimos/core/stem';
import { part, stem } from './drawn.ts';

describe('a stem against an earlier drawing of it', () => {
  it('parts go by their names: thicker, new, gone, with what was noted then', () => {
    const before = stem([
      part('a', 100, { diameter: 4, note: 'wired' }),
      part('b', 160, { kind: 'bud', diameter: 0 }),
      part('c', 200),
    ]);
    const now = stem(
      [part('a', 102, { diameter: 5.5 }), part('b', 161, { kind: 'shoot', diameter: 2 }), part('d', 260)],
      { base: 34, height: 760 },
    );
    expect(stemSince(before, now)).to.deep.equal({
      base: 4,
      height: -140,
      grown: [
        { id: 'a', thick: 1.5, note: 'wired' },
        { id: 'b', thick: 2, note: '' },
      ],
      fresh: ['d'],
      gone: ['c'],
    });
  });

  it('a branch that is a stub now has gone, and the stub is new', () => {
    const { grown, fresh, gone } = stemSince(
      stem([part('a', 100)]),
      stem([part('a', 100, { kind: 'stub' })]),
    );
    expect({ grown, fresh, gone }).to.deep.equal({ grown: [], fresh: ['a'], gone: ['a'] });
  });

  it('against itself nothing has become of it', () => {
    const s = stem([part('a', 100), part('b', 200)]);
    const { base, height, grown, fresh, gone } = stemSince(s, s);
    expect([base, height, fresh.length, gone.length]).to.deep.equal([0, 0, 0, 0]);
    expect(grown.map((g) => g.thick)).to.deep.equal([0, 0]);
  });
});

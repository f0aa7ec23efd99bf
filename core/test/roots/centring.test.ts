import { expect } from 'chai';
import fc from 'fast-check';
import { centring, roomIn, roomTowards, type RootRecord } from '@gonimos/core/roots';
import { container } from '@gonimos/core/containers';

const record = (reach: number, front = 180): RootRecord => ({
  trunk: 12,
  front,
  under: null,
  profile: null,
  escaped: false,
  pests: '',
  roots: [
    {
      id: 'a',
      azimuth: 0,
      diameter: 3,
      height: 0,
      angle: 10,
      fibre: null,
      path: [{ azimuth: 0, out: reach }],
      forks: [],
      faults: [],
      note: '',
    },
  ],
});

describe('a trunk brought to the middle over the years', () => {
  it('by hand: a ball 100 mm wide of which four tenths may go moves 40 mm at once, 55 mm in two', () => {
    expect(centring(record(50), 30, 0, 0.4)!.moves).to.deep.equal([30]);
    expect(centring(record(50), 0, 55, 0.4)!.moves).to.deep.equal([40, 15]);
    expect(centring(record(50), 2, 2, 0.4)!.moves, 'near enough').to.deep.equal([]);
    expect(centring(record(50), 300, 0, 0.2), 'more than eight moves').to.equal(null);
    expect(centring(record(50), 30, 0, 0), 'nothing may go').to.equal(null);
  });

  it('property: moves add up to what it is off, none is more than may go, and the wall is nearest on that side', () => {
    const mm = fc.integer({ min: -60, max: 60 });
    const room = (front: number, aside: number, behind: number) =>
      roomIn(container('basket-25'), front, aside, behind);
    fc.assert(
      fc.property(mm, mm, fc.integer({ min: 0, max: 359 }), (aside, behind, front) => {
        const way = centring(record(70, front), aside, behind, 0.35)!;
        const sum = way.moves.reduce((n, m) => n + m, 0);
        if (way.moves.length > 0) expect(sum).to.be.closeTo(way.off, 0.5);
        for (const m of way.moves) expect(m).to.be.at.most(0.35 * 140 + 1e-9);
        if (way.off < 10) return;
        const [near, far] = [way.towards, way.towards + 180].map((a) =>
          roomTowards(room(front, aside, behind), a),
        );
        expect(near).to.be.below(far);
      }),
    );
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import {
  areaOf,
  footprintOf,
  layOut,
  lying,
  monthsFrom,
  roomByMonth,
  type Footprint,
  type Standing,
} from '@gonimos/core/beds';
import { CONTAINERS } from '@gonimos/core/containers';

const stands = (more: Partial<Standing> = {}): Standing => ({
  placeId: 'north',
  container: 'basket-18',
  plants: 100,
  seeds: 0,
  caliper: { now: 3, later: 3 },
  moves: [],
  ...more,
});
const NORTH = { id: 'north', area: 5 };

describe('room on the benches (common practice, no source)', () => {
  it('hand-worked: a hundred baskets of 18 cm with their gap, trays, a ground row, and crowns wider than their pots', () => {
    // (180 + 15)² mm² each
    expect(areaOf(footprintOf('basket-18', 100, 3))).to.be.closeTo(3.8025, 1e-9);
    // 61 seedlings want two flats of 40 × 30 cm
    expect(footprintOf('seed-flat', 61, 1).pieces).to.equal(2);
    expect(areaOf(footprintOf('seed-flat', 60, 1))).to.be.closeTo(0.415 * 0.315, 1e-9);
    expect(areaOf(footprintOf('ground', 10, 30))).to.be.closeTo(2.1, 1e-9);
    const wide = footprintOf('pot-9', 10, 40);
    expect(wide.length).to.be.above(100);
    expect(wide.length).to.equal(wide.width);
  });

  it('a bench at 110 % in May is told in March: pots grow on the day they are planned to, and only there', () => {
    const months = monthsFrom('2037-03-09', 12);
    expect([months[0], months[2], months[10]]).to.deep.equal(['2037-03', '2037-05', '2038-01']);
    const grown = stands({ moves: [{ on: '2037-04-20', container: 'basket-25' }] });
    const full = roomByMonth([NORTH, { id: 'south', area: null }], [grown], months);
    const shares = full.get('north')!.map((m) => m.share!);
    expect(shares[0]).to.be.closeTo(0.7605, 1e-9);
    expect(shares[1]).to.be.closeTo(0.7605, 1e-9);
    // (250 + 15)² · 100 ÷ 5 m²
    expect(shares[2]).to.be.closeTo(1.4045, 1e-9);
    expect(full.get('south')!.every((m) => m.share === null && m.taken === 0)).to.equal(true);
  });

  it('seed that is not up lies in its flats, and takes no pot when the others are potted on', () => {
    const sown = { live: 53, pending: 49, container: 'seed-flat', firstContainer: 'seed-flat' };
    expect(lying(sown)).to.deep.equal({ plants: 53, seeds: 49 });
    expect(lying({ ...sown, container: 'basket-25' })).to.deep.equal({ plants: 53, seeds: 0 });
    expect(lying({ ...sown, live: 0, pending: 102 })).to.deep.equal({ plants: 102, seeds: 0 });
    expect(lying({ ...sown, firstContainer: null })).to.deep.equal({ plants: 53, seeds: 0 });
    const potted = stands({
      container: 'seed-flat',
      ...lying(sown),
      moves: [{ on: '2037-04-01', container: 'basket-18' }],
    });
    const taken = roomByMonth([NORTH], [potted], ['2037-03', '2037-04'])
      .get('north')!
      .map((m) => m.taken);
    // 102 lie in two flats; 53 go into baskets
    expect(taken[0]).to.be.closeTo(2 * 0.415 * 0.315, 1e-9);
    expect(taken[1]).to.be.closeTo(53 * 0.195 * 0.195, 1e-9);
  });

  it('property: more plants never take less room, and nothing is lost between places', () => {
    const some = fc.record({
      placeId: fc.constantFrom('north', 'south'),
      container: fc.constantFrom(...CONTAINERS.map((c) => c.id)),
      plants: fc.integer({ min: 1, max: 400 }),
      caliper: fc.record({ now: fc.integer({ min: 1, max: 40 }), later: fc.integer({ min: 41, max: 60 }) }),
    });
    fc.assert(
      fc.property(fc.array(some, { minLength: 1, maxLength: 12 }), (list) => {
        const all = list.map((s) => stands(s));
        const rooms = [NORTH, { id: 'south', area: 9 }];
        const full = roomByMonth(rooms, all, monthsFrom('2037-11-01', 3));
        const taken = [...full.values()].reduce((sum, m) => sum + m[0].taken, 0);
        const alone = all.reduce(
          (sum, s) => sum + areaOf(footprintOf(s.container, s.plants, s.caliper.now)),
          0,
        );
        expect(taken).to.be.closeTo(alone, 1e-6);
        const more = roomByMonth(
          rooms,
          all.map((s) => ({ ...s, plants: s.plants + 60 })),
          ['2037-11'],
        );
        for (const { id } of rooms)
          expect(more.get(id)![0].taken).to.be.at.least(full.get(id)![0].taken - 1e-9);
      }),
    );
  });

  it('property: what is laid on a bench stands within it, apart from each other, and what does not fit is counted', () => {
    const print: fc.Arbitrary<Footprint> = fc.record({
      pieces: fc.integer({ min: 0, max: 60 }),
      length: fc.integer({ min: 60, max: 400 }),
      width: fc.integer({ min: 60, max: 400 }),
      round: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(print, { maxLength: 6 }), (prints) => {
        const laid = layOut(3000, 1200, prints);
        const boxes = laid.flatMap((l, i) =>
          l.spots.map((s) => ({ ...s, w: prints[i].width, h: prints[i].length })),
        );
        laid.forEach((l, i) => expect(l.spots.length + l.over).to.equal(prints[i].pieces));
        for (const b of boxes) {
          expect(b.x - b.w / 2).to.be.at.least(-1e-9);
          expect(b.x + b.w / 2).to.be.at.most(3000 + 1e-9);
          expect(b.y + b.h / 2).to.be.at.most(1200 + 1e-9);
        }
        boxes.forEach((a, i) => {
          for (const b of boxes.slice(i + 1))
            expect(
              Math.abs(a.x - b.x) >= (a.w + b.w) / 2 - 1e-9 || Math.abs(a.y - b.y) >= (a.h + b.h) / 2 - 1e-9,
            ).to.equal(true);
        });
      }),
      { numRuns: 60 },
    );
  });
});

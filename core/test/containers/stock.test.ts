import { expect } from 'chai';
import fc from 'fast-check';
import { allocate, container, piecesFor, type Want } from '@gonimos/core/containers';

const want = (id: string, count: number, on: string): Want => ({
  id,
  code: id.toUpperCase(),
  container: 'basket-18',
  count,
  on,
});
const TODAY = '2030-03-01';
const shelf = (have: number, arriving = 0, arrives: string | null = null) => [
  { container: 'basket-18', have, arriving, arrives },
];

describe('containers spoken for', () => {
  it('the earlier day takes the last 40; the later is told by whom, how many, and when more come', () => {
    const short = allocate(
      shelf(40, 30, '2030-03-25'),
      [want('b', 30, '2030-03-20'), want('a', 25, '2030-03-10')],
      TODAY,
    );
    expect([...short.keys()]).to.deep.equal(['b']);
    expect(short.get('b')).to.deep.equal({
      container: 'basket-18',
      count: 15,
      until: '2030-03-25',
      takenBy: 'A',
    });
  });

  it('a delivery serves those after it, one too small promises nothing, kinds not counted are never short', () => {
    expect(allocate(shelf(0, 30, '2030-03-25'), [want('a', 30, '2030-03-26')], TODAY).size).to.equal(0);
    expect(
      allocate(shelf(10, 5, '2030-03-25'), [want('a', 30, '2030-03-20')], TODAY).get('a')!.until,
    ).to.equal(null);
    expect(allocate([], [want('a', 900, '2030-03-20')], TODAY).size).to.equal(0);
  });

  it('a delivery whose day has come and of which nobody has said anything is not there', () => {
    const late = allocate(shelf(10, 30, '2030-03-05'), [want('a', 30, '2030-03-20')], '2030-03-05');
    expect(late.get('a')).to.deep.include({ count: 20, until: null });
  });

  it('plants stand one to a pot, and sixty to a tray', () => {
    expect(piecesFor(container('basket-18'), 61)).to.equal(61);
    expect(piecesFor(container('cutting-tray'), 61)).to.equal(2);
    expect(piecesFor(container('cutting-tray'), 0)).to.equal(0);
  });

  it('property: what is given never exceeds what there is, whatever the order of asking', () => {
    const day = fc.integer({ min: 1, max: 28 }).map((d) => `2030-03-${String(d).padStart(2, '0')}`);
    const wants = fc.uniqueArray(
      fc.record({ id: fc.uuid(), count: fc.integer({ min: 1, max: 60 }), on: day }),
      {
        selector: (w) => w.id,
        maxLength: 12,
      },
    );
    const counts = fc.tuple(fc.integer({ min: 0, max: 150 }), fc.integer({ min: 0, max: 80 }));
    fc.assert(
      fc.property(counts, day, wants, ([have, arriving], arrives, list) => {
        const all = list.map((w) => want(w.id, w.count, w.on));
        const short = allocate(shelf(have, arriving, arrives), all, '2030-02-28');
        const given = all.filter((w) => !short.has(w.id));
        const sum = (some: Want[]) => some.reduce((n, w) => n + w.count, 0);
        expect(sum(given.filter((w) => w.on < arrives))).to.be.at.most(have);
        // those who wait for the delivery can all be served from it
        const waiting = all.filter((w) => short.get(w.id)?.until);
        expect(sum([...given, ...waiting])).to.be.at.most(have + arriving);
        expect(allocate(shelf(have, arriving, arrives), all.toReversed(), '2030-02-28')).to.deep.equal(short);
      }),
      { numRuns: 500 },
    );
  });
});

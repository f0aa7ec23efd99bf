import { expect } from 'chai';
import fc from 'fast-check';
import { winterMoves, type Tender, type WinterPlace } from '@gonimos/core/beds';

const PLACES: WinterPlace[] = [
  { id: 'bench', name: 'North bench', coldest: -11, free: 20 },
  { id: 'frame', name: 'Cold frame', coldest: -6, free: 3 },
  { id: 'house', name: 'Heated house', coldest: 8, free: 2 },
];
const tender = (code: string, bears: number, area: number, more: Partial<Tender> = {}): Tender => ({
  cohortId: code,
  code,
  placeId: 'bench',
  bears,
  by: '2037-11-20',
  area,
  ...more,
});

describe('where what is tender goes for the winter', () => {
  it('the coldest place it still bears: the warm house is left to who needs it', () => {
    const moves = winterMoves([tender('LV', -7, 2), tender('OJ', 2, 1.5), tender('MY', -2, 0.5)], PLACES);
    expect(moves.map((m) => [m.code, m.to])).to.deep.equal([
      ['LV', 'frame'],
      ['MY', 'house'],
      ['OJ', 'house'],
    ]);
    expect(moves[0].why).to.equal('Cold frame stays above -6 °C in nine winters of ten');
  });

  it('what finds no room or no warmth is told so, the day it must be in by first', () => {
    const late = { by: '2037-12-01' };
    const moves = winterMoves(
      [tender('A', -2, 1.5, late), tender('B', -3, 1, late), tender('C', 12, 0.1)],
      PLACES,
    );
    expect(moves.map((m) => [m.code, m.to])).to.deep.equal([
      ['C', null],
      ['A', 'house'],
      ['B', null],
    ]);
    expect(moves[0].why).to.equal('no place stays above 12 °C');
    expect(moves[2].why).to.equal('no room: 1.0 m² are wanted where it is warm enough');
    const unmeasured = PLACES.map((p) => ({ ...p, free: null }));
    expect(winterMoves([tender('B', -3, 400)], unmeasured)[0].to).to.equal('house');
  });

  it('property: nobody stands colder than it bears, no place is filled beyond its room, nobody is forgotten', () => {
    const someone = fc.record({
      bears: fc.integer({ min: -12, max: 14 }),
      area: fc.double({ min: 0.1, max: 3, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(someone, { maxLength: 12 }), (all) => {
        const asked = all.map((x, i) => tender(`T${i}`, x.bears, x.area));
        const moves = winterMoves(asked, PLACES);
        expect(moves).to.have.length(asked.length);
        for (const p of PLACES) {
          const here = moves.filter((m) => m.to === p.id);
          expect(here.reduce((n, m) => n + m.area, 0)).to.be.at.most(p.free! + 1e-9);
          for (const m of here) expect(p.coldest).to.be.at.least(m.bears);
        }
      }),
    );
  });
});

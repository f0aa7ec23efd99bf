import { expect } from 'chai';
import fc from 'fast-check';
import { fold, type LedgerEntry } from '@gonimos/core/ledger';
import {
  cellCounts,
  cellName,
  cellsBetween,
  CELL_STATES,
  effectsOf,
  markFault,
  standingIn,
  type Cell,
  type CellState,
} from '@gonimos/core/trays';

const cell = (state: CellState = 'sown', effects: Cell['effects'] = []): Cell => ({ state, effects });
const after = (...marks: [CellState, string?][]): Cell =>
  marks.reduce((c, [to, cause]) => cell(to, effectsOf(c, to, cause ?? null)), cell('empty'));

describe('cells of a tray', () => {
  it('tells the ledger what became of the seed: eaten before it showed is no failed seedling', () => {
    const told = (...marks: [CellState, string?][]) =>
      after(...marks).effects.map((e) => `${e.type}${e.cause ? ` ${e.cause}` : ''}`);
    expect(told(['sown'])).to.deep.equal([]);
    expect(told(['sown'], ['up'])).to.deep.equal(['emerged']);
    expect(told(['sown'], ['eaten'])).to.deep.equal(['lost_before_emergence eaten']);
    expect(told(['sown'], ['up'], ['eaten'])).to.deep.equal(['emerged', 'lost eaten']);
    expect(told(['sown'], ['twin'], ['potted'])).to.deep.equal(['emerged', 'potted']);
    expect(told(['sown'], ['lost', 'rotten'])).to.deep.equal(['lost_before_emergence rotten']);
    // a mistake put right: what was told wrong is taken back, the rest stays
    expect(told(['sown'], ['eaten'], ['up'])).to.deep.equal(['emerged']);
    expect(told(['sown'], ['up'], ['sown'])).to.deep.equal([]);
    // pricked out into an empty cell: its emergence was counted in the flat it came from
    expect(told(['up'], ['lost', 'damping off'])).to.deep.equal(['lost damping off']);
    expect(told(['up'], ['lost'], ['up'], ['potted'])).to.deep.equal(['potted']);
    expect(markFault('empty', 'eaten')).to.match(/nothing was sown/);
    expect(markFault('sown', 'up')).to.equal(null);
  });

  it('property: however a tray is marked and marked again, its cells and the ledger tell the same counts', () => {
    const mark = fc.record({ cell: fc.integer({ min: 0, max: 11 }), to: fc.constantFrom(...CELL_STATES) });
    fc.assert(
      fc.property(fc.array(mark, { maxLength: 60 }), (marks) => {
        const cells = Array.from({ length: 12 }, () => after(['sown']));
        // two pricked-out plants come from outside: the cells that take them are those left empty
        for (const m of marks) {
          if (cells[m.cell].state === 'empty' || m.to === 'empty') continue;
          if (markFault(cells[m.cell].state, m.to)) continue;
          cells[m.cell] = cell(m.to, effectsOf(cells[m.cell], m.to, null));
        }
        const counts = cellCounts(cells.map((c) => c.state));
        const entry = (type: LedgerEntry['type'], count: number, seq: number): LedgerEntry => ({
          id: `${seq}`,
          cohortId: 'A',
          type,
          on: '2037-04-01',
          seq,
          count,
          ...(type === 'started' ? { unit: 'seed' as const } : {}),
        });
        const total = (type: string) => cells.filter((c) => c.effects.some((e) => e.type === type)).length;
        const s = fold([
          entry('started', 12, 0),
          entry('lost_before_emergence', total('lost_before_emergence'), 1),
          entry('emerged', total('emerged'), 2),
          entry('lost', total('lost'), 3),
        ]);
        expect(s.pending).to.equal(standingIn(counts).seed);
        expect(s.live).to.equal(standingIn(counts).plants + counts.potted);
        expect(total('potted')).to.equal(counts.potted);
      }),
      { numRuns: 500 },
    );
  });

  it('rectangles and names of cells', () => {
    expect(cellsBetween(2, 16, 15)).to.deep.equal([1, 2, 16, 17]);
    expect(cellsBetween(31, 3, 15)).to.deep.equal([1, 2, 3, 16, 17, 18, 31, 32, 33]);
    expect([cellName(0, 15), cellName(104, 15), cellName(26 * 20, 20)]).to.deep.equal(['A1', 'G15', 'AA1']);
  });
});

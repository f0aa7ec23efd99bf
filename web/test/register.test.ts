import { expect } from 'chai';
import type { CohortRow } from '@gonimos/contract/cohorts';
import { cohortRow } from './cohort.ts';
import { fits, inOrder, linesOf, type Wanted } from '../src/cohorts/lines.ts';

const row = (code: string, more: Partial<CohortRow> = {}): CohortRow => ({
  ...cohortRow(),
  id: code,
  code,
  placeId: 'frame',
  startedSaid: '2036',
  startedFrom: '2036-03-01',
  rings: { from: 2036, mm: [], measured: [] },
  ...more,
});
const lines = linesOf(
  [
    row('HB-36'),
    row('HB-5', { live: 40, method: 'layer' }),
    row('YW-1', { taxonId: 'taxus-baccata', nextOpens: '2037-06-01', formerly: ['OLD-7'] }),
    row('JP-2', { growing: false, live: 0, nextOpens: null, placeId: 'bench' }),
  ],
  2037,
  (id) => (id === 'frame' ? 'Cold frame' : 'North bench'),
);
const codes = (ls: typeof lines) => ls.map((l) => l.row.code);
const ALL: Wanted = { text: '', taxonId: '', placeId: '', method: '', state: '' };
const found = (w: Partial<Wanted>) => codes(lines.filter((l) => fits(l, { ...ALL, ...w }, '2037-03-09')));

describe('the register', () => {
  it('sorts as people count, up and down, and what has no next step comes last', () => {
    expect(codes(inOrder(lines, 'code'))).to.deep.equal(['HB-5', 'HB-36', 'JP-2', 'YW-1']);
    expect(codes(inOrder(lines, '-live'))[0]).to.equal('HB-5');
    expect(codes(inOrder(lines, 'next')).at(-1)).to.equal('JP-2');
    expect(codes(inOrder(lines, 'nonsense'))).to.deep.equal(codes(inOrder(lines, 'code')));
  });

  it('finds by what is written on old labels, by kind, place, method and state', () => {
    expect(found({})).to.have.length(4);
    expect(found({ text: 'old-7' })).to.deep.equal(['YW-1']);
    expect(found({ text: 'taxus' })).to.deep.equal(['YW-1']);
    expect(found({ text: 'north' })).to.deep.equal(['JP-2']);
    expect(found({ method: 'layer' })).to.deep.equal(['HB-5']);
    expect(found({ state: 'due' })).to.deep.equal(['HB-36', 'HB-5']);
    expect(found({ state: 'gone' })).to.deep.equal(['JP-2']);
  });
});

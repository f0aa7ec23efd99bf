import { expect } from 'chai';
import fc from 'fast-check';
import {
  conserved,
  fieldEmergence,
  fold,
  LedgerError,
  viability,
  type EntryType,
  type LedgerEntry,
} from '@gonimos/core/ledger';
import { addDays } from '@gonimos/core/calendar';
import { wilson } from '@gonimos/core/stats';

let seq = 0;
const entry = (type: EntryType, count: number, more: Partial<LedgerEntry> = {}): LedgerEntry => ({
  id: `e${++seq}`,
  cohortId: 'A',
  type,
  on: '2027-04-01',
  seq,
  count,
  ...more,
});

describe('ledger', () => {
  it('counts seed in units until it shows and gives viability of what was not eaten', () => {
    const s = fold([
      entry('started', 120, { unit: 'seed', on: '2027-03-10' }),
      entry('lost_before_emergence', 9, { cause: 'eaten' }),
      entry('emerged', 84, { on: '2027-05-01' }),
    ]);
    expect([s.live, s.pending]).to.deep.equal([84, 27]);
    expect(viability(s)).to.include({ k: 84, n: 111 });
    expect(fieldEmergence(s)).to.include({ k: 84, n: 120 });
  });

  it('Wilson interval: Newcombe 1998 Table II, 81 of 263 gives 0.2553 to 0.3662', () => {
    const w = wilson(81, 263)!;
    expect(w.low).to.be.closeTo(0.2553, 5e-5);
    expect(w.high).to.be.closeTo(0.3662, 5e-5);
    // 0 of 20, same table: 0 to 0.1611
    expect(wilson(0, 20)!.high).to.be.closeTo(0.1611, 5e-5);
    expect(wilson(0, 0)).to.equal(null);
  });

  it('refuses a past that would go below nothing, whatever the order of arrival', () => {
    const base = [entry('started', 10, { on: '2027-01-01' }), entry('lost', 4, { on: '2027-06-01' })];
    const backdated = entry('sold', 8, { on: '2027-02-01' });
    expect(() => fold([...base, backdated])).to.throw(LedgerError, /2027-06-01/);
    expect(fold(base, '2027-05-01').live).to.equal(10);
  });

  it('undoes by reversal, once, and a recount stands whatever comes before it', () => {
    const lost = entry('lost', 3);
    const undo = entry('reversed', 3, { reverses: lost.id });
    const all = [entry('started', 10, { on: '2027-01-01' }), lost, undo];
    expect(fold(all).live).to.equal(10);
    expect(() => fold([...all, entry('reversed', 3, { reverses: lost.id })])).to.throw(LedgerError);
    const counted = [...all, entry('recount', 7, { on: '2027-08-01' })];
    expect(fold([...counted, entry('culled', 2, { on: '2027-07-01' })]).live).to.equal(7);
  });

  it('property: over random histories never below nothing, and splits and promotions conserve plants', () => {
    const step = fc.record({
      kind: fc.constantFrom('lost', 'culled', 'split', 'promoted', 'undo', 'sold', 'fused'),
      from: fc.integer({ min: 0, max: 2 }),
      to: fc.integer({ min: 0, max: 2 }),
      count: fc.integer({ min: 0, max: 30 }),
      day: fc.integer({ min: 0, max: 300 }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 3, maxLength: 3 }),
        fc.array(step, { maxLength: 25 }),
        (starts, steps) => {
          const books: LedgerEntry[][] = starts.map((n, i) => [
            entry('started', n, { cohortId: `${i}`, on: '2027-01-01' }),
          ]);
          // an independent tally of where every plant went
          let [gone, joined, promoted] = [0, 0, 0];
          const total = starts.reduce((a, b) => a + b, 0);
          for (const s of steps) {
            const on = addDays('2027-01-01', s.day);
            const of = (type: EntryType, more: Partial<LedgerEntry> = {}) =>
              entry(type, s.count, { cohortId: `${s.from}`, on, ...more });
            const attempt = (added: LedgerEntry[], then: () => void) => {
              const next = books.map((b, i) => [...b, ...added.filter((e) => e.cohortId === `${i}`)]);
              try {
                next.forEach((b) => fold(b));
              } catch (error) {
                expect(error).to.be.instanceOf(LedgerError);
                return;
              }
              next.forEach((b, i) => (books[i] = b));
              then();
            };
            if (s.kind === 'split') {
              if (s.from === s.to) continue;
              const transferId = `t${seq}`;
              const halves = [
                of('split_out', { transferId }),
                of('split_in', { transferId, cohortId: `${s.to}` }),
              ];
              attempt(halves, () => undefined);
            } else if (s.kind === 'promoted') attempt([of('promoted')], () => (promoted += s.count));
            else if (s.kind === 'fused') {
              if (s.count > 0) attempt([of('fused', { into: 1 })], () => (joined += s.count - 1));
            } else if (s.kind === 'undo') {
              const target = books[s.from].find((e) => e.type === 'lost');
              if (target) attempt([of('reversed', { reverses: target.id })], () => (gone -= target.count));
            } else attempt([of(s.kind)], () => (gone += s.count));
            const live = books.map((b) => fold(b).live);
            expect(Math.min(...live)).to.be.at.least(0);
            expect(live.reduce((a, b) => a + b, 0) + gone + joined + promoted).to.equal(total);
            expect(conserved(books.flat())).to.equal(true);
          }
        },
      ),
      { numRuns: 1500 },
    );
  });
});

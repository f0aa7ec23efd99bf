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

  it('property: split, merge, promote, fuse and sever conserve plants over random histories', () => {
    const KINDS = ['lost', 'culled', 'sold', 'move', 'promote', 'fuse', 'sever', 'fail', 'undo'] as const;
    const step = fc.record({
      kind: fc.constantFrom(...KINDS),
      from: fc.integer({ min: 0, max: 3 }),
      to: fc.integer({ min: 0, max: 3 }),
      count: fc.integer({ min: 1, max: 30 }),
      day: fc.integer({ min: 0, max: 300 }),
    });
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: 0, max: 60 }), { minLength: 3, maxLength: 3 }),
        fc.integer({ min: 0, max: 9 }),
        fc.array(step, { maxLength: 25 }),
        (starts, layers, steps) => {
          // three cohorts of plants, and one whose layers still hang on their parent
          const all: LedgerEntry[] = [...starts, layers].map((n, i) =>
            entry('started', n, { cohortId: `${i}`, on: '2027-01-01', unit: i < 3 ? 'plant' : 'layer' }),
          );
          // an independent tally of where everything went, undone entries taken back
          const told: { entries: LedgerEntry[]; gone: number; joined: number; failed: number }[] = [];
          const books = () => [...new Set(all.map((e) => e.cohortId))];
          const states = () => books().map((b) => fold(all.filter((e) => e.cohortId === b)));
          const attempt = (entries: LedgerEntry[], gone = 0, joined = 0, failed = 0) => {
            try {
              for (const b of new Set(entries.map((e) => e.cohortId)))
                fold([...all, ...entries].filter((e) => e.cohortId === b));
            } catch (error) {
              expect(error).to.be.instanceOf(LedgerError);
              return;
            }
            all.push(...entries);
            told.push({ entries, gone, joined, failed });
          };
          for (const s of steps) {
            const on = addDays('2027-01-01', s.day);
            const of = (type: EntryType, more: Partial<LedgerEntry> = {}) =>
              entry(type, s.count, { cohortId: `${s.from}`, on, ...more });
            const transferId = `t${seq}`;
            if (s.kind === 'move') {
              if (s.from !== s.to)
                attempt([
                  of('split_out', { transferId }),
                  of('split_in', { transferId, cohortId: `${s.to}` }),
                ]);
            } else if (s.kind === 'promote') {
              const one = { transferId, count: 1 };
              attempt([of('promoted', one), of('split_in', { ...one, cohortId: `plant ${seq}` })]);
            } else if (s.kind === 'fuse') attempt([of('fused', { into: 1 })], 0, s.count - 1);
            else if (s.kind === 'sever') attempt([of('severed')]);
            else if (s.kind === 'fail') attempt([of('lost_before_emergence')], 0, 0, s.count);
            else if (s.kind === 'undo') {
              const last = told.at(-1);
              if (!last) continue;
              const undo = last.entries.map((e) =>
                entry('reversed', e.count, {
                  cohortId: e.cohortId,
                  on: e.on,
                  reverses: e.id,
                  transferId: e.transferId,
                }),
              );
              const before = all.length;
              attempt(undo, -last.gone, -last.joined, -last.failed);
              // undone together or not at all, and each only once
              if (all.length > before)
                told.splice(-2, 2, { ...last, entries: [], gone: 0, joined: 0, failed: 0 });
              if (told.at(-1)?.entries.length === 0) told.pop();
            } else attempt([of(s.kind)], s.count);
            const now = states();
            const sum = (pick: (x: (typeof now)[number]) => number) => now.reduce((n, x) => n + pick(x), 0);
            const out = (pick: (t: (typeof told)[number]) => number) => told.reduce((n, t) => n + pick(t), 0);
            expect(Math.min(...now.map((x) => Math.min(x.live, x.pending)))).to.be.at.least(0);
            expect(sum((x) => x.live + x.pending) + out((t) => t.gone + t.joined + t.failed)).to.equal(
              starts.reduce((a, b) => a + b, 0) + layers,
            );
            expect(conserved(all)).to.equal(true);
          }
        },
      ),
      { numRuns: 2500 },
    );
  });
});

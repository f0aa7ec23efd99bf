import { expect } from 'chai';
import type { CheckOutcome } from '@gonimos/contract/cuttings';
import type { EntryRow } from '@gonimos/contract/ledger';
import type { RecordRow } from '@gonimos/contract/records';
import type { Round } from '@gonimos/contract/round';
import type { Sowing } from '@gonimos/contract/seed';
import type { MarkOutcome, Trays } from '@gonimos/contract/trays';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { fold } from '@gonimos/core/ledger';
import { cellCounts, type CellState } from '@gonimos/core/trays';
import { readEntries } from '../src/ledger/store.ts';
import { bench, id, must, refusal, workshop, type Bench, type Visitor } from './harness.ts';

describe('trays and checks', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let v: Visitor;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    v = w.v;
  });
  after(() => b.close());

  const cohort: typeof w.cohort = (...a) => w.cohort(...a);
  const enter: typeof w.enter = (...a) => w.enter(...a);

  describe('trays', () => {
    const sown = async (count = 105) => {
      const c = await enter({}, count);
      const tray = id();
      await must(v.post(`/cohorts/${c.id}/trays`, { id: tray, name: 'A', rows: 7, columns: 15, fill: 105 }));
      return { c, tray };
    };
    const mark = (t: string, cells: number[], was: CellState, now: CellState, by = v, more = {}) =>
      by.post(`/trays/${t}/marks`, {
        id: id(),
        on: '2037-03-08',
        cause: null,
        ...more,
        marks: cells.map((cell) => ({ cell, was, now })),
      });
    const range = (from: number, to: number) => Array.from({ length: to - from }, (_, i) => from + i);
    /** The cells, counted by hand, against what the ledger holds. */
    const agrees = async (cohortId: string) => {
      const { trays, ledger, outside } = await v.get<Trays>(`/cohorts/${cohortId}/trays`);
      const n = cellCounts(trays.flatMap((t) => t.cells));
      expect(ledger.pending, 'seed').to.equal(n.sown + outside.seed);
      expect(ledger.live, 'plants').to.equal(n.up + n.twin + n.potted + outside.plants - n.potted);
      expect(fold(await readEntries(b.db, cohortId))).to.include(ledger);
      return { n, ledger };
    };

    it('writes one entry for a mark of many cells, and a correction takes out only its own cells', async () => {
      const { c, tray } = await sown();
      await must(mark(tray, range(0, 60), 'sown', 'up'));
      await must(mark(tray, range(60, 72), 'sown', 'eaten'));
      await must(mark(tray, range(0, 10), 'up', 'potted'));
      await must(mark(tray, range(10, 14), 'up', 'lost', v, { cause: 'damping off' }));
      const standing = async () =>
        (await v.get<EntryRow[]>(`/cohorts/${c.id}/ledger`)).filter((e) => e.liveAfter !== null);
      expect((await standing()).map((e) => [e.type, e.count, e.cause])).to.deep.equal([
        ['started', 105, null],
        ['emerged', 60, null],
        ['lost_before_emergence', 12, 'eaten'],
        ['potted', 10, null],
        ['lost', 4, 'damping off'],
      ]);
      // three of the sixty were miscounted
      await must(mark(tray, [20, 21, 22], 'up', 'sown'));
      expect((await standing()).filter((e) => e.type === 'emerged').map((e) => e.count)).to.deep.equal([57]);
      const { ledger } = await agrees(c.id);
      expect(ledger).to.deep.equal({ pending: 36, live: 53 });
      await refusal(
        mark(tray, [104], 'sown', 'empty').then(() => mark(tray, [104], 'empty', 'potted')),
        'G15',
      );
    });

    it('takes marks back, leaves cells alone that were marked since, and refuses to do it twice', async () => {
      const { c, tray } = await sown();
      const made = id();
      await must(mark(tray, range(0, 20), 'sown', 'up', v, { id: made }));
      await must(mark(tray, [3], 'up', 'twin'));
      const back = await must<MarkOutcome>(v.post(`/trays/${tray}/marks/${made}/undo`, { id: id() }));
      expect([back.marked, back.conflicts.map((x) => [x.cell, x.is])]).to.deep.equal([19, [[3, 'twin']]]);
      expect((await agrees(c.id)).ledger).to.deep.equal({ pending: 104, live: 1 });
      await refusal(v.post(`/trays/${tray}/marks/${made}/undo`, { id: id() }), 'already');
    });

    it('loses nothing when two people mark one tray at once, and tells each what the other did', async () => {
      const { c, tray } = await sown();
      const other = await b.visitor('helper');
      const answers = await Promise.all([
        mark(tray, range(0, 60), 'sown', 'up').then((r) => r.json<MarkOutcome>()),
        mark(tray, range(40, 105), 'sown', 'eaten', other).then((r) => r.json<MarkOutcome>()),
      ]);
      const met = answers.flatMap((a) => a.conflicts);
      expect(answers.reduce((n, a) => n + a.marked, 0)).to.equal(105);
      expect(met.map((x) => x.cell)).to.deep.equal(range(40, 60));
      expect(met.every((x) => x.by !== '' && x.is !== x.wanted)).to.equal(true);
      const { n } = await agrees(c.id);
      expect(n.up + n.eaten).to.equal(105);
    });

    it('counts emergence by itself once every seed is told, lets the course go on, and takes it back', async () => {
      const { c, tray } = await sown();
      const on = (day: string) => ({ on: day });
      const part = await must<MarkOutcome>(mark(tray, range(0, 80), 'sown', 'up', v, on('2037-03-05')));
      expect(part.counted).to.equal(false);
      expect((await w.step(c.id, 'emergence')).status).to.equal('planned');
      const all = await must<MarkOutcome>(mark(tray, range(80, 105), 'sown', 'lost', v, on('2037-03-07')));
      expect(all.counted).to.equal(true);
      const done = await w.step(c.id, 'emergence');
      expect([done.status, done.doneOn]).to.deep.equal(['done', '2037-03-07']);
      // 60 mm of mesh at 2.5 mm a day, less four days: twenty after the seventh, by hand
      expect((await w.step(c.id, 'sow.guard-on.guard-off')).closes).to.equal('2037-03-27');
      // a mark of plants is no count of seed
      expect((await must<MarkOutcome>(mark(tray, [1], 'up', 'twin'))).counted).to.equal(false);
      // one of those lost is still in the soil after all
      await must(mark(tray, [104], 'lost', 'sown'));
      expect((await w.step(c.id, 'emergence')).status).to.equal('planned');
      // the count that was taken back stays to be read
      const counts = (await v.get<RecordRow[]>(`/cohorts/${c.id}/records`)).filter(
        (r) => r.stepKey === 'emergence',
      );
      expect(counts.map((r) => [r.on, r.undone, r.note])).to.deep.equal([
        ['2037-03-07', true, 'Counted in the cells of its trays.'],
      ]);
      expect(
        (await must<MarkOutcome>(mark(tray, [104], 'sown', 'up', v, on('2037-03-09')))).counted,
      ).to.equal(true);
      expect((await w.step(c.id, 'emergence')).doneOn).to.equal('2037-03-09');
      await agrees(c.id);
    });

    it('holds no more in cells than the ledger has, and its entries are undone by cells only', async () => {
      const { c, tray } = await sown(110);
      const more = { id: id(), name: 'B', rows: 2, columns: 5, fill: 6 };
      await refusal(v.post(`/cohorts/${c.id}/trays`, more), 'fill');
      await must(v.post(`/cohorts/${c.id}/trays`, { ...more, id: id(), fill: 5 }));
      await must(mark(tray, [0, 1], 'sown', 'up'));
      const entry = (await v.get<EntryRow[]>(`/cohorts/${c.id}/ledger`)).find((e) => e.type === 'emerged')!;
      await refusal(v.post(`/ledger/${entry.id}/reverse`, { id: id(), note: '' }), 'mark the cells');
      const step = await w.step(c.id, 'emergence');
      await refusal(
        v.post('/records', {
          id: id(),
          cohortId: c.id,
          stepKey: step.key,
          on: '2037-03-09',
          details: { emergence: { emerged: 3 } },
        }),
        'outside the trays',
      );
    });

    it('shows emergence with its middle, covers with their end, and animals that found the place', async () => {
      const { c, tray } = await sown();
      const on = (day: string) => ({ on: day });
      await must(mark(tray, range(0, 4), 'sown', 'up', v, on('2037-03-04')));
      await must(mark(tray, range(4, 9), 'sown', 'up', v, on('2037-03-06')));
      await must(mark(tray, range(9, 40), 'sown', 'eaten', v, on('2037-03-07')));
      await must(
        v.post(`/cohorts/${c.id}/protections`, {
          id: id(),
          kind: 'mesh',
          clearance: 60,
          from: '2037-03-07',
          note: '',
        }),
      );
      const s = await v.get<Sowing>(`/cohorts/${c.id}/sowing`);
      // four on day 3, five on day 5: the fifth of nine, counted by hand between the two looks
      expect(s.curve.t50).to.be.closeTo(3 + (2 * (5 - 4)) / 5, 1e-9);
      expect(s.lost).to.deep.equal([{ cause: 'eaten', count: 31 }]);
      expect(s.risk.level).to.equal('high');
      // half up on the third, 60 mm at 2.5 mm a day, four days to spare
      expect(s.protections[0].until).to.equal(addDays('2037-03-01', Math.round(3.4) + 24 - 4));
      const { watch } = await v.get<Round>('/round');
      expect(watch.some((x) => x.text.includes('seed without a cover'))).to.equal(true);
    });
  });

  describe('cuttings', () => {
    const stuck = () =>
      enter(
        {
          taxonId: 'ligustrum-ovalifolium',
          programmeId: 'cutting-broadleaf',
          container: 'cutting-tray',
          started: '2036-06-20',
        },
        100,
      );
    const check = (cohortId: string, batches: [number, number, number][], more = {}) =>
      v.post('/checks', {
        id: id(),
        cohortId,
        stepKey: 'check',
        on: '2037-03-05',
        note: '',
        minutes: null,
        batches: batches.map(([rooted, callus, dead], i) => ({ name: `${i + 1}`, rooted, callus, dead })),
        ...more,
      });

    it('callus only: all go back, and are looked at again when half the warmth has passed, not after days', async () => {
      const c = await stuck();
      const r = await must<CheckOutcome>(
        check(c.id, [
          [0, 55, 5],
          [0, 38, 2],
        ]),
      );
      expect([r.live, r.callus, r.dead]).to.deep.equal([93, 93, 7]);
      expect(daysBetween('2037-03-05', r.againOn!)).to.be.above(14);
      const step = await w.step(c.id, 'check');
      expect(step.status).to.equal('planned');
      expect(step.reasons.map((x) => x.text).join(' ')).to.match(/callus only/);
    });

    it('rooted and callus: the callus is parted off and stuck again, the rooted are potted at once', async () => {
      const c = await stuck();
      const part = { newId: id(), newCode: `${c.code}B` };
      const r = await must<CheckOutcome>(check(c.id, [[60, 25, 15]], { part, potNow: true }));
      expect([r.rooted, r.live, r.potted, r.partedTo]).to.deep.equal([60, 60, 60, part.newCode]);
      expect((await cohort(c.id)).container).to.equal('pot-9');
      expect([(await w.step(c.id, 'check')).status, (await w.step(c.id, 'single')).status]).to.deep.equal([
        'done',
        'done',
      ]);
      const off = await cohort(part.newId);
      expect([off.live, (await w.step(off.id, 'check')).status]).to.deep.equal([25, 'planned']);
      expect(r.againOn).to.equal((await w.step(off.id, 'check')).opens);
      await refusal(check(c.id, [[60, 0, 0]]), 'recorded meanwhile');
    });

    it('refuses counts of more than there are, and parting where there is nothing to part', async () => {
      const c = await stuck();
      await refusal(check(c.id, [[90, 20, 0]]), 'batches');
      await refusal(check(c.id, [[0, 0, 0]]), 'batches');
      await refusal(check(c.id, [[100, 0, 0]], { part: { newId: id(), newCode: 'TX' } }), 'part');
      expect((await cohort(c.id)).live).to.equal(100);
    });
  });
});

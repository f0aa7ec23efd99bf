import { expect } from 'chai';
import type { PaceTable } from '@gonimos/contract/pace';
import type { Year } from '@gonimos/contract/year';
import { operation } from '@gonimos/core/operations';
import { bench, id, must, workshop, type Bench } from './harness.ts';

describe('the bench clock', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    // what the demo was timed at is another story
    await b.db.raw('ALTER TABLE record DISABLE TRIGGER ALL');
    await b.db('record').update({ details: b.db.raw("details - 'pace'") });
    await b.db.raw('ALTER TABLE record ENABLE TRIGGER ALL');
  });
  after(() => b.close());

  const USUAL = operation('root-correct').minutes.value;
  /** Thirty plants corrected in so many times the library's minutes; `part`: of them only so many. */
  const timed = async (times: number, part: number | null = null) => {
    const c = await w.ready();
    const plants = part ?? 30;
    const record = {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      done: part,
      finished: part === null,
      minutes: Math.round(times * USUAL * plants),
      details: { potting: { container: 'cell-60' }, pace: { bare: 7 } },
    };
    await must(w.v.post('/records', record));
    return { c, record };
  };

  it('learns minutes a plant from sittings, and plans with them from the third on', async () => {
    const fresh = await w.ready();
    const planned = async () => (await w.step(fresh.id, 'correct')).minutes;
    expect(await planned()).to.equal(Math.ceil(30 * USUAL));
    await timed(2);
    await timed(2);
    expect((await w.v.get<PaceTable>('/pace')).learned).to.deep.equal([]);
    const { record } = await timed(2, 10);
    const { learned, people } = await w.v.get<PaceTable>('/pace');
    expect(learned).to.have.length(1);
    expect(learned[0]).to.include({
      operation: 'root-correct',
      taxonId: 'acer-campestre',
      usual: USUAL,
      sittings: 3,
    });
    expect(learned[0].minutes / USUAL).to.be.within(1.4, 1.9);
    expect(people.map((p) => p.sittings)).to.deep.equal([3]);
    // the next plan of another cohort of the kind counts on it
    await must(w.v.post('/demo/calendar', { id: id(), days: 1 }));
    expect(await planned()).to.equal(Math.ceil(30 * learned[0].minutes));
    // what is taken back teaches nothing
    await must(w.v.post(`/records/${record.id}/undo`, { id: id() }));
    expect((await w.v.get<PaceTable>('/pace')).learned).to.deep.equal([]);
  });

  it('a part of a batch counts for its plants, the rest for what was left, and bare roots are kept', async () => {
    const { c, record } = await timed(1, 10);
    const [kept] = await b.db('record').where({ id: record.id }).select('details');
    expect(kept.details.pace).to.deep.equal({ bare: 7, plants: 10 });
    const rest = {
      ...record,
      id: id(),
      done: null,
      finished: true,
      minutes: 40,
      details: { potting: { container: 'cell-60' } },
    };
    await must(w.v.post('/records', rest));
    const [last] = await b.db('record').where({ id: rest.id }).select('details');
    expect(last.details.pace).to.deep.equal({ bare: null, plants: 20 });
    expect((await w.cohort(c.id)).live).to.equal(30);
  });

  it('who takes longer at the same work gives fewer hours of it to the year', async () => {
    const year = () => w.v.get<Year>('/year?weeks=26');
    const before = await year();
    for (let i = 0; i < 4; i++) await timed(1);
    const other = await b.visitor('owner');
    for (let i = 0; i < 8; i++) {
      const c = await w.ready();
      const slow = {
        id: id(),
        cohortId: c.id,
        stepKey: 'correct',
        on: '2037-03-09',
        minutes: Math.round(2.5 * USUAL * 30),
        details: { potting: { container: 'cell-60' } },
      };
      await must(other.post('/records', slow));
    }
    const after = await year();
    const slowest = after.people.reduce((a, p) => (p.pace > a.pace ? p : a));
    const quickest = after.people.reduce((a, p) => (p.pace < a.pace ? p : a));
    expect(before.people.every((p) => p.pace === 1)).to.equal(true);
    expect([slowest.role, quickest.role]).to.deep.equal(['owner', 'grower']);
    expect(slowest.pace).to.be.above(1.05);
    const hours = (y: Year) => y.problem.capacity.all[3] + y.routine[3];
    const owed = (60 * slowest.hours) / slowest.pace + (60 * quickest.hours) / quickest.pace;
    const others = after.people
      .filter((p) => p !== slowest && p !== quickest)
      .reduce((n, p) => n + 60 * (p.absences.find((a) => a.week === after.weeks[3])?.hours ?? p.hours), 0);
    expect(hours(after)).to.be.closeTo(owed + others, 1);
  });
});

import { expect } from 'chai';
import type { DoneAnswer } from '@gonimos/contract/moves';
import type { FittingLine } from '@gonimos/contract/fittings';
import type { Outcome } from '@gonimos/contract/outcome';
import type { RecordRow } from '@gonimos/contract/records';
import type { Round } from '@gonimos/contract/round';
import { daysBetween } from '@gonimos/core/calendar';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('what is on the plants, what work pushes out, and a parent that is fed', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const record = (cohortId: string, stepKey: string | null, on: string, more: object = {}) =>
    w.v.post('/records', { id: id(), cohortId, stepKey, on, ...more });

  it('wired, bare and biting: what stays on is looked at again, sooner, and never left without a day', async () => {
    const c = await w.ready();
    await must(record(c.id, 'correct', '2036-03-12', { details: { potting: { container: 'cell-60' } } }));
    const steps = (await w.course(c.id)).steps;
    const wiring = steps.find((s) => s.operation === 'wire')!;
    await must(record(c.id, wiring.key, '2036-03-14'));
    const check = async () => (await w.course(c.id)).steps.find((s) => s.key === `${wiring.key}.wire-check`)!;
    expect((await check()).ready).to.equal(true);
    const tell = (stays: number, off: number, biting: number, finished = false) =>
      record(c.id, `${wiring.key}.wire-check`, '2036-09-01', {
        finished,
        details: { fittings: { on: [], off: [], tend: { stays, off, biting } } },
      });
    await refusal(tell(31, 0, 0), 'details.fittings.tend');
    await refusal(tell(12, 18, 0, true), 'finished');
    const first = await must<Outcome>(tell(12, 15, 3));
    const again = await check();
    expect([again.status, again.ready, again.part]).to.deep.equal(['planned', true, 0]);
    expect(again.reasons.map((r) => r.text).join(' ')).to.match(
      /the look of \{2036-09-01\}, when it stayed on 12/,
    );
    expect(daysBetween('2036-09-01', again.opens!)).to.be.within(13, 700);
    const lines = await w.v.get<FittingLine[]>('/fittings');
    expect(lines.find((l) => l.cohortId === c.id && l.what === 'wire')).to.include({ due: again.closes });
    const [noted] = await w.v.get<RecordRow[]>(`/cohorts/${c.id}/records`);
    expect(noted.details.fittings?.tend).to.deep.equal({ stays: 12, off: 15, biting: 3, sprang: null });
    // taken back it is as it was; all off, it is over
    await must(w.v.post(`/records/${first.recordId}/undo`, { id: id() }));
    await must(tell(0, 27, 3, true));
    expect((await check()).status).to.equal('done');
    expect(
      (await w.v.get<FittingLine[]>('/fittings')).some((l) => l.cohortId === c.id && l.what === 'wire'),
    ).to.equal(false);
  });

  it('root work says what it pushes out before it is done, and writes nothing by saying it', async () => {
    const c = await w.ready();
    const before = (await w.course(c.id)).steps;
    const ask = (on: string, stepKey = 'correct') => w.v.post('/calc/done', { cohortId: c.id, stepKey, on });
    const said = await must<DoneAnswer>(ask('2037-03-09'));
    expect(said.change.moved.map((m) => m.key)).to.not.include('correct');
    expect((await w.course(c.id)).steps).to.deep.equal(before);
    // what was said is what comes
    await must(record(c.id, 'correct', '2037-03-09', { details: { potting: { container: 'cell-60' } } }));
    const after = new Map((await w.course(c.id)).steps.map((s) => [s.key, s]));
    for (const m of said.change.moved) expect(after.get(m.key)!.opens, m.key).to.equal(m.now.opens);
    await refusal(ask('2037-03-20', 'roots-2'), 'is after today');
    await refusal(ask('2037-03-09', 'nothing'), 'is not a step');
    expect((await ask('2037-03-09')).statusCode, 'it is done').to.equal(409);
  });

  it('a parent is fed by one tap: the feeding that is due is done with it, else its notebook says so', async () => {
    const p = await w.parent();
    const fed = (on: string) => w.v.post(`/parents/${p.id}/fed`, { id: id(), on });
    await must(fed('2037-03-09'));
    const notes = await w.v.get<RecordRow[]>(`/cohorts/${p.id}/records`);
    expect(notes[0]).to.include({ note: 'Fed.', on: '2037-03-09' });
    await refusal(fed('2037-04-01'), 'on');
    const { due } = await w.v.get<Round>('/round?most=1000');
    expect(due.filter((s) => s.cohortId === p.id && s.operation === 'feed')).to.deep.equal([]);
    // in its season the feeding of the plan is done
    for (let week = 0; week < 9; week++) await must(w.v.post('/demo/calendar', { id: id(), days: 7 }));
    const plan = (await w.course(p.id)).steps.find(
      (s) => s.operation === 'feed' && s.status === 'planned' && s.ready,
    );
    if (!plan) throw new Error('no feeding is planned for a parent');
    const { today } = await w.v.get<Round>('/round?most=1000');
    if (plan.opens! > today) return;
    await must(fed(today));
    expect((await w.step(p.id, plan.key)).doneOn).to.equal(today);
  });
});

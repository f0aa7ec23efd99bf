import { expect } from 'chai';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CheckOutcome } from '@gonimos/contract/cuttings';
import type { RecordRow } from '@gonimos/contract/records';
import { bench, id, must, workshop, type Bench, type Visitor } from './harness.ts';

describe('a check of cuttings, taken back', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let v: Visitor;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    v = w.v;
  });
  after(() => b.close());
  const live = async (...ids: string[]) => {
    const all: number[] = [];
    for (const x of ids) all.push((await v.get<Cohort>(`/cohorts/${x}`)).live);
    return all;
  };

  it('a check undone puts back the dead, and the potting made with it', async () => {
    const cut = await w.stuck();
    const check = {
      id: id(),
      cohortId: cut.id,
      stepKey: 'check',
      on: '2037-03-05',
      note: '',
      minutes: null,
      batches: [{ name: '', rooted: 60, callus: 0, dead: 40 }],
      potNow: true,
    };
    const r = await must<CheckOutcome>(v.post('/checks', check));
    expect([r.live, r.dead, (await v.get<Cohort>(`/cohorts/${cut.id}`)).container]).to.deep.equal([
      60,
      40,
      'pot-9',
    ]);
    await must(v.post(`/records/${check.id}/undo`, { id: id() }));
    const back = await v.get<Cohort>(`/cohorts/${cut.id}`);
    expect([back.live, back.container]).to.deep.equal([100, 'cutting-tray']);
    expect((await w.step(cut.id, 'check')).status).to.equal('planned');
    // and it can be made again, otherwise
    const again = { ...check, id: id(), batches: [{ name: '', rooted: 90, callus: 0, dead: 10 }] };
    expect((await must<CheckOutcome>(v.post('/checks', again))).live).to.equal(90);
    const { undone } = (await v.get<RecordRow[]>(`/cohorts/${cut.id}/records`)).find(
      (r) => r.id === check.id,
    )!;
    expect(undone, 'the first stays to be read').to.equal(true);
  });

  it('a check that parted callus off, undone: the dead are back, the parted stay a cohort of their own', async () => {
    const cut = await w.stuck();
    const check = {
      id: id(),
      cohortId: cut.id,
      stepKey: 'check',
      on: '2037-03-05',
      note: '',
      minutes: null,
      batches: [{ name: '', rooted: 50, callus: 30, dead: 20 }],
      potNow: true,
      part: { newId: id(), newCode: 'CALLUS-3' },
    };
    await must(v.post('/checks', check));
    await must(v.post(`/records/${check.id}/undo`, { id: id() }));
    expect(await live(cut.id, check.part.newId)).to.deep.equal([70, 30]);
    // put back by hand, the hundred are whole again
    await must(v.post(`/cohorts/${check.part.newId}/merge`, { id: id(), intoId: cut.id, count: 30 }));
    expect(await live(cut.id, check.part.newId)).to.deep.equal([100, 0]);
  });
});

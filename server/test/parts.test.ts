import { expect } from 'chai';
import type { CohortRow } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import type { Meanwhile } from '@gonimos/contract/meanwhile';
import type { PutOffAnswer } from '@gonimos/contract/moves';
import { workOn } from '@gonimos/contract/records';
import type { Round, RoundStep } from '@gonimos/contract/round';
import type { StockRow } from '@gonimos/contract/stock';
import { addDays } from '@gonimos/core/calendar';
import { bench, id, must, refusal, type Bench, type Visitor } from './harness.ts';

describe('half a batch, not yet, carried in, away for a week', () => {
  let b: Bench;
  let v: Visitor;
  const round = () => v.get<Round>('/round?most=1000');
  const step = async (code: string, key: RegExp) =>
    (await round()).due.find((s) => s.code === code && key.test(s.key))!;
  const cohort = async (code: string) => (await v.get<CohortRow[]>('/cohorts')).find((c) => c.code === code)!;
  const part = (s: RoundStep, on: string, done: number, more: object = {}) =>
    v.post('/records', {
      ...workOn({ id: id(), cohortId: s.cohortId, stepKey: s.key, on, done, finished: false }),
      ...more,
    });

  before(async () => {
    b = await bench();
    v = await b.visitor('grower');
  });
  after(() => b.close());

  it('a part leaves the rest where it stood: container, hours, pots wanted, and what may still be done', async () => {
    const { today } = await round();
    const s = await step('FM-36', /^correct/);
    const shelf = async () => (await v.get<StockRow[]>('/stock')).find((r) => r.container === s.container)!;
    const stood = await cohort('FM-36');
    const before = await shelf();
    const details = { potting: { container: s.container! } };
    await must(part(s, today, 40, { details }));
    const now = await step('FM-36', /^correct/);
    expect(now.part).to.equal(40);
    expect(now.minutes / s.minutes).to.be.closeTo((s.live - 40) / s.live, 0.02);
    expect((await cohort('FM-36')).container).to.equal(stood.container);
    const after = await shelf();
    expect([before.have! - after.have!, before.wanted - after.wanted]).to.deep.equal([40, 40]);
    const over = await part(s, today, s.live - 39, { details });
    expect(over.statusCode).to.equal(422);
    expect(over.body).to.match(/is more than the \d+ left: 40 were done before/);
    // the last of them take the cohort with them
    await must(part(s, today, s.live - 40, { details, finished: true }));
    expect((await cohort('FM-36')).container).to.equal(s.container);
    expect((await shelf()).have).to.equal(Math.max(0, before.have! - s.live));
  });

  it('aftercare follows the part that was worked: its day, its plants, and the rest when they are worked', async () => {
    const { today, due } = await round();
    const s = due.find((x) => /^(correct|roots-\d)$/.test(x.key) && x.live > 20 && x.part === 0)!;
    const course = () => v.get<CohortCourse>(`/cohorts/${s.cohortId}/course`);
    const care = async () => (await course()).steps.find((x) => x.key === `${s.key}.survival-look`)!;
    expect((await care()).ready).to.equal(false);
    const details = { potting: { container: s.container! } };
    await must(part(s, today, 15, { details }));
    const look = await care();
    expect([look.ready, look.about]).to.deep.equal([true, 15]);
    expect(look.opens! > today && look.opens! <= addDays(today, 21), `${look.opens}`).to.equal(true);
    // the look is of those fifteen: one of them is dead, and nobody else
    const before = await cohort(s.code);
    const record = (more: object) =>
      v.post('/records', {
        id: id(),
        cohortId: s.cohortId,
        stepKey: look.key,
        on: today,
        details: { survival: { sure: null, alive: 14 } },
        ...more,
      });
    await refusal(record({ details: { survival: { sure: null, alive: 16 } } }), 'is more than the 15');
    await must(record({}));
    expect((await cohort(s.code)).live).to.equal(before.live - 1);
    // looked after, it waits for the rest
    expect([(await care()).ready, (await care()).status]).to.deep.equal([false, 'planned']);
    await must(part(s, today, before.live - 16, { details, finished: true }));
    const rest = await care();
    expect([rest.ready, rest.about, rest.part]).to.deep.equal([true, null, 15]);
    await must(record({ details: { survival: { sure: null, alive: before.live - 16 } } }));
    expect((await care()).status).to.equal('done');
    expect((await cohort(s.code)).live).to.equal(before.live - 1);
  });

  it('two halves at once are never more than the whole', async () => {
    const { today } = await round();
    const s = await step('TC-34', /cut-back/);
    const sent = await Promise.all(Array.from({ length: 6 }, () => part(s, today, 20)));
    expect(sent.filter((r) => r.statusCode === 200)).to.have.length(2);
    expect(sent.filter((r) => r.statusCode === 422)).to.have.length(4);
    expect((await step('TC-34', /cut-back/)).part).to.equal(40);
  });

  it('what putting off costs is told and not written: within the window nothing, past it a year', async () => {
    const s = await step('JC-33', /./);
    const { today } = await round();
    const cost = (until: string) =>
      must<PutOffAnswer>(v.post('/calc/put-off', { cohortId: s.cohortId, stepKey: s.key, until }));
    const near = await cost(addDays(s.closes, -2));
    expect(near.past).to.equal(false);
    expect(near.window).to.deep.equal({ opens: s.opens, closes: s.closes });
    expect(near.within.every((d) => d > today && d < s.closes)).to.equal(true);
    const far = await cost(addDays(s.closes, 5));
    expect(far.past).to.equal(true);
    expect(far.lands!.opens > addDays(s.closes, 200)).to.equal(true);
    expect(far.change.moved.length).to.be.above(0);
    // what is told is what comes
    await must(
      v.post('/put-offs', {
        id: id(),
        cohortId: s.cohortId,
        stepKey: s.key,
        until: addDays(s.closes, 5),
        reason: 'no time',
      }),
    );
    const { steps } = await v.get<CohortCourse>(`/cohorts/${s.cohortId}/course`);
    expect(steps.find((x) => x.key === s.key)).to.include(far.lands);
    const bad = await v.post('/calc/put-off', { cohortId: s.cohortId, stepKey: s.key, until: today });
    expect(bad.statusCode).to.equal(422);
  });

  it('carried in: the warning is gone, counted as it was, and comes again when they are out', async () => {
    const { warnings, today } = await round();
    const frost = warnings.find((w) => w.kind === 'frost' && w.carried)!;
    const alive = (await v.get<CohortRow[]>('/cohorts')).filter((c) => frost.cohortIds.includes(c.id));
    expect(frost.plants).to.equal(alive.reduce((n, c) => n + (c.live || c.pending), 0));
    const body = { id: id(), cohortIds: frost.cohortIds, until: addDays(today, 2) };
    const [first, again] = [await must(v.post('/shelter/in', body)), await must(v.post('/shelter/in', body))];
    expect(again, 'sent twice it counts once').to.deep.equal(first);
    const inside = await round();
    expect(inside.warnings.filter((w) => w.cohortIds.some((c) => frost.cohortIds.includes(c)))).to.deep.equal(
      [],
    );
    expect(inside.sheltered.map((s) => s.until)).to.deep.equal(frost.cohortIds.map(() => addDays(today, 2)));
    const late = await v.post('/shelter/in', { ...body, id: id(), until: today });
    expect(late.statusCode).to.equal(422);
    await must(v.post('/shelter/out', { id: id(), cohortIds: [frost.cohortIds[0]] }));
    expect((await v.post('/shelter/out', { id: id(), cohortIds: [frost.cohortIds[0]] })).statusCode).to.equal(
      409,
    );
    expect((await round()).sheltered).to.have.length(frost.cohortIds.length - 1);
    const { recordId } = first as { recordId: string };
    await must(v.post(`/records/${recordId}/undo`, { id: id() }));
    expect((await round()).warnings.some((w) => w.text === frost.text)).to.equal(true);
  });

  it('who was away hears what happened meanwhile, and says so once', async () => {
    const owner = await b.visitor('owner');
    expect(await owner.get<Meanwhile>('/meanwhile')).to.include({ since: null, days: 0 });
    await must(owner.put('/meanwhile', {}));
    for (let d = 0; d < 7; d++) await must(v.post('/demo/calendar', { id: id(), days: 1 }));
    const s = (await round()).due.find((x) => x.lane === 'top')!;
    const { today } = await round();
    await must(v.post('/records', workOn({ id: id(), cohortId: s.cohortId, stepKey: s.key, on: today })));
    const told = await owner.get<Meanwhile>('/meanwhile');
    expect(told.days).to.equal(7);
    expect(told.records.map((r) => `${r.code} ${r.title}`)).to.include(`${s.code} ${s.title}`);
    expect(told.moved.every((m) => m.cause !== '')).to.equal(true);
    expect((await v.get<Meanwhile>('/meanwhile')).records, 'one’s own is no news').to.deep.equal([]);
    await must(owner.put('/meanwhile', {}));
    expect((await owner.get<Meanwhile>('/meanwhile')).days).to.equal(0);
  });

  it('held apart reads so in every list, until it is released', async () => {
    const held = (await v.get<CohortRow[]>('/cohorts')).find((c) => c.held)!;
    expect(held.code).to.equal('BT-36');
    expect(held.held!.found).to.match(/pests|aphid/i);
    await must(v.post('/releases', { id: id(), cohortId: held.id, note: '' }));
    expect((await cohort('BT-36')).held).to.equal(null);
  });
});

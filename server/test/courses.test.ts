import { expect } from 'chai';
import ICAL from 'ical.js';
import { addDays } from '@gonimos/core/calendar';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import type { Outcome } from '@gonimos/contract/outcome';
import { bench, id, seedCohort, type Bench, type Visitor } from './harness.ts';

describe('courses: record, replan, undo', () => {
  let b: Bench;
  let grower: Visitor;
  let helper: Visitor;
  before(async () => {
    b = await bench();
    grower = await b.visitor('grower');
    helper = await b.visitor('helper');
  });
  after(() => b.close());

  const enter = async (more = {}) => {
    const cohort = await seedCohort(grower, 120, more);
    const r = await grower.post('/cohorts', cohort);
    expect(r.statusCode, r.body).to.equal(200);
    return cohort;
  };
  const course = (c: string) => grower.get<CohortCourse>(`/cohorts/${c}/course`);
  const step = async (c: string, key: string) => (await course(c)).steps.find((s) => s.key === key)!;
  const emergence = (cohortId: string, more = {}) => ({
    id: id(),
    cohortId,
    stepKey: 'emergence',
    on: '2037-03-09',
    details: { emergence: { emerged: 84 } },
    losses: [{ id: id(), kind: 'lost_before_emergence', count: 9, cause: 'eaten' }],
    ...more,
  });

  it('moves later steps when one is recorded, says why, keeps the history, and undoes it whole', async () => {
    const c = await enter();
    const before = await step(c.id, 'cells');
    const record = emergence(c.id);
    const r = await helper.post('/records', record);
    expect(r.statusCode, r.body).to.equal(200);
    const outcome = r.json<Outcome>();
    expect(outcome).to.include({ live: 84, pending: 27 });
    const moved = outcome.moved.find((m) => m.key === 'cells')!;
    expect(moved.days).to.be.lessThan(0);
    expect(moved.because!.text).to.match(/25 days after ‘Count emergence’, done \{2037-03-09\}/);
    const shown = await grower.get<Cohort>(`/cohorts/${c.id}`);
    expect(shown.viability).to.include({ k: 84, n: 111 });
    const changes = await grower.get<{ key: string; cause: string }[]>(`/cohorts/${c.id}/changes`);
    expect(changes.some((x) => x.key === 'cells' && x.cause.includes('Count emergence'))).to.equal(true);

    const twice = await grower.post('/records', emergence(c.id));
    expect(twice.statusCode).to.equal(409);
    expect(twice.json().current).to.include({ status: 'done', doneOn: '2037-03-09' });

    expect((await helper.post(`/records/${record.id}/undo`, { id: id() })).statusCode).to.equal(200);
    expect(await grower.get<Cohort>(`/cohorts/${c.id}`)).to.include({ live: 0, pending: 120 });
    expect((await step(c.id, 'cells')).opens).to.equal(before.opens);
    expect((await grower.post(`/records/${record.id}/undo`, { id: id() })).statusCode).to.equal(409);
  });

  it('puts a step off with the grower’s reason, and an undone put-off is gone', async () => {
    const c = await enter();
    const s = await step(c.id, 'emergence');
    const off = {
      id: id(),
      cohortId: c.id,
      stepKey: 'emergence',
      until: addDays(s.opens!, 20),
      reason: 'still cold',
    };
    expect(
      (await helper.post('/put-offs', { ...off, id: id() })).statusCode,
      'a helper changes no plans',
    ).to.equal(403);
    expect((await grower.post('/put-offs', off)).statusCode).to.equal(200);
    const now = await step(c.id, 'emergence');
    expect(now.opens).to.equal(off.until);
    expect(now.putOff).to.deep.equal({ until: off.until, reason: 'still cold' });
    await grower.post(`/records/${off.id}/undo`, { id: id() });
    expect((await step(c.id, 'emergence')).opens).to.equal(s.opens);
  });

  it('leaves a step open until it is finished for the whole cohort', async () => {
    const c = (await b.db('cohort').where({ code: 'FM-36' }).first('id', 'container'))!;
    const part = {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      done: 20,
      finished: false,
      details: { potting: { container: 'basket-18' } },
    };
    expect((await grower.post('/records', part)).statusCode).to.equal(200);
    expect((await step(c.id, 'correct')).status).to.equal('planned');
    expect(
      (await grower.post('/records', { ...part, id: id(), done: 44, finished: true })).statusCode,
    ).to.equal(200);
    expect((await step(c.id, 'correct')).status).to.equal('done');
    expect((await grower.get<Cohort>(`/cohorts/${c.id}`)).container).to.equal('basket-18');
  });

  it('keeps both versions when two people change one cohort', async () => {
    const c = await enter();
    const { version } = await grower.get<Cohort>(`/cohorts/${c.id}`);
    const edit = { version, code: c.code, placeId: c.placeId, goal: '', goalCaliper: 30, note: 'first' };
    expect((await grower.put(`/cohorts/${c.id}`, edit)).statusCode).to.equal(200);
    const late = await grower.put(`/cohorts/${c.id}`, { ...edit, note: 'second' });
    expect(late.statusCode).to.equal(409);
    expect(late.json().current).to.include({ note: 'first', version: version + 1 });
  });

  it('moves with the place: a heated house is ahead of the north bench', async () => {
    const places = await grower.get<{ id: string; name: string }[]>('/places');
    const place = (name: string) => places.find((p) => p.name === name)!.id;
    const c = await enter({ placeId: place('North bench') });
    const cold = await step(c.id, 'emergence');
    const edit = { version: 1, code: c.code, goal: '', note: '', placeId: place('Heated house') };
    expect((await grower.put(`/cohorts/${c.id}`, edit)).statusCode).to.equal(200);
    expect((await step(c.id, 'emergence')).opens! < cold.opens!).to.equal(true);
  });

  it('takes stock with years behind it at the step it stands at', async () => {
    const c = await enter({ standsAt: 'correct', started: 'spring 2035', container: 'cell-60' });
    expect(await grower.get<Cohort>(`/cohorts/${c.id}`)).to.include({ live: 120, pending: 0 });
    const steps = (await course(c.id)).steps;
    const before = ['sow', 'emergence', 'mesh-off', 'cells', 'measure-1'];
    for (const s of steps.filter((x) => before.includes(x.key))) expect(s.status, s.key).to.equal('dropped');
    expect(steps.find((s) => s.key === 'correct')!.ready).to.equal(true);
  });

  it('writes a calendar that an independent RFC 5545 parser reads back', async () => {
    const c = await enter();
    const text = (await grower.send('GET', `/api/cohorts/${c.id}/course.ics`)).body;
    const events = new ICAL.Component(ICAL.parse(text))
      .getAllSubcomponents('vevent')
      .map((v) => new ICAL.Event(v));
    const planned = (await course(c.id)).steps.filter((s) => s.status === 'planned');
    expect(events.length).to.equal(planned.length);
    for (const s of planned) {
      const e = events.find((x) => x.uid.startsWith(`${c.id}-${s.key}`))!;
      expect(e.startDate.isDate).to.equal(true);
      expect(e.startDate.toString()).to.equal(s.opens);
      expect(e.endDate.toString()).to.equal(addDays(s.closes!, 1));
      expect(e.summary).to.equal(`${c.code}: ${s.title}`);
    }
  });

  it('moves the demo calendar on, extends its weather and plans again', async () => {
    const r = await grower.post('/demo/calendar', { id: id(), days: 7 });
    expect(r.json()).to.include({ today: '2037-03-16' });
    expect((await b.db('weather_day').max({ to: 'onDate' }).first())!.to).to.equal('2037-03-16');
    const round = await grower.get<{ today: string; due: { closes: string }[] }>('/round');
    expect(round.today).to.equal('2037-03-16');
    expect(round.due.length).to.be.greaterThan(0);
  });
});

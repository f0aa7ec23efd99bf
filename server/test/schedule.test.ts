import { expect } from 'chai';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { ProgrammeRow, RetargetAnswer } from '@gonimos/contract/library';
import type { BatchLine, MoveAnswer } from '@gonimos/contract/moves';
import type { CohortChange } from '@gonimos/contract/schools';
import type { SurvivalScores } from '@gonimos/contract/survival';
import type { VisitOutcome } from '@gonimos/contract/visits';
import type { Year } from '@gonimos/contract/year';
import { addDays } from '@gonimos/core/calendar';
import { programme } from '@gonimos/core/programmes';
import { bench, id, workshop, type Bench } from './harness.ts';

const TODAY = '2037-03-09';

describe('season and schedule', () => {
  let b: Bench;
  let { v, owner, course, placeId, step, ready } = {} as Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    ({ v, owner, course, placeId, step, ready } = await workshop(b));
  });
  after(() => b.close());

  it('a surprise on opening: causes ranked, one change, a check date; put back, stepped back, undone', async () => {
    const c = await ready({ container: 'basket-32', started: 'autumn 2036' });
    const was = await step(c.id, 'correct');
    const visit = {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: TODAY,
      found: ['few-roots'],
      decision: 'put-back',
      note: 'stood wet all winter',
    };
    const answer = (await v.post('/visits', visit)).json<VisitOutcome>();
    expect(answer.causes[0].id).to.equal('size');
    expect(answer.causes[0].figures.length).to.be.at.least(2);
    expect(answer.checkOn! > TODAY).to.equal(true);
    const now = await step(c.id, 'correct');
    expect(now.opens! > was.closes!).to.equal(true);
    expect(now.reasons.find((r) => r.rule === 'put off')!.text).to.match(/few roots/);
    const back = {
      id: id(),
      cohortId: c.id,
      on: TODAY,
      found: ['few-roots'],
      decision: 'step-back',
      container: 'pot-9',
    };
    expect((await v.post('/visits', back)).statusCode).to.equal(200);
    expect((await v.get<Cohort>(`/cohorts/${c.id}`)).container).to.equal('pot-9');
    await v.post(`/records/${back.id}/undo`, { id: id() });
    await v.post(`/records/${visit.id}/undo`, { id: id() });
    expect((await v.get<Cohort>(`/cohorts/${c.id}`)).container).to.equal('basket-32');
    expect((await step(c.id, 'correct')).opens).to.equal(was.opens);
  });

  it('quarantine blocks every move, of steps and of places, until it is released', async () => {
    const c = await ready();
    await v.post('/visits', {
      id: id(),
      cohortId: c.id,
      on: TODAY,
      found: ['pests'],
      decision: 'quarantine',
    });
    expect((await v.get<Cohort>(`/cohorts/${c.id}`)).quarantine).to.deep.equal({
      since: TODAY,
      found: 'pests',
    });
    const held = await step(c.id, 'correct');
    expect(held.status).to.equal('none');
    expect(held.reasons.find((r) => r.binding)!.rule).to.equal('quarantine');
    const edit = { version: 1, code: c.code, goal: '', note: '', placeId: placeId('South bench') };
    const refused = await v.put(`/cohorts/${c.id}`, edit);
    expect(refused.statusCode).to.equal(422);
    expect(refused.json().detail).to.match(/quarantine/);
    expect((await v.post('/releases', { id: id(), cohortId: c.id })).statusCode).to.equal(200);
    expect((await step(c.id, 'correct')).status).to.equal('planned');
    expect((await v.post('/releases', { id: id(), cohortId: c.id })).statusCode).to.equal(409);
  });

  it('a tree of the heated house is not carried out into a cold March unless the grower insists', async () => {
    const c = await ready({ placeId: placeId('Heated house') });
    const edit = { version: 1, code: c.code, goal: '', note: '', placeId: placeId('North bench') };
    const refused = await v.put(`/cohorts/${c.id}`, edit);
    expect(refused.statusCode).to.equal(422);
    expect(refused.json().detail).to.match(/‘exposure’.*not hardened off.*safe from \d{4}-/);
    expect(
      (await v.put(`/cohorts/${c.id}`, { ...edit, moveAnyway: 'the heating failed' })).statusCode,
    ).to.equal(200);
  });

  it('a step set by hand: refused outside its window by the rule’s name, overridden with a reason that stays', async () => {
    const c = await ready();
    const ask = async (to: string) =>
      (await v.post('/calc/move', { cohortId: c.id, stepKey: 'correct', to })).json<MoveAnswer>();
    expect((await ask('2037-03-20')).refused).to.equal(null);
    const no = await ask('2037-08-01');
    expect(no.refused!.rule).to.equal('window');
    expect(no.change!.moved.length).to.be.at.least(1);
    const move = { id: id(), cohortId: c.id, stepKey: 'correct', to: '2037-08-01' };
    expect((await v.post('/moves', move)).json().detail).to.match(/rule ‘window’ refuses/);
    const forced = { ...move, id: id(), override: 'yes', reason: 'roots through the holes' };
    expect((await v.post('/moves', forced)).statusCode).to.equal(200);
    const s = await step(c.id, 'correct');
    expect(s.target).to.equal('2037-08-01');
    expect(s.moved).to.deep.include({ overrides: 'window', reason: 'roots through the holes' });
    await v.post('/moves', { id: id(), cohortId: c.id, stepKey: 'correct', to: '2037-03-20' });
    expect((await step(c.id, 'correct')).target).to.equal('2037-03-20');
  });

  it('puts off all root work on pines by two weeks: what was shown is what is written, once', async () => {
    const batch = { id: id(), kind: 'pine', lane: 'roots', days: 14, within: 90, reason: 'back hurts' };
    const shown = (await v.post('/calc/batch-put-off', batch)).json<BatchLine[]>();
    const done = (await v.post('/batch-put-offs', batch)).json<BatchLine[]>();
    expect(done).to.deep.equal(shown);
    const again = (await v.post('/batch-put-offs', batch)).json<BatchLine[]>();
    expect(again).to.deep.equal(shown);
    const records = await b.db('record').where({ kind: 'put off', reason: 'back hurts' });
    expect(records.length).to.equal(shown.length);
    for (const l of shown) {
      const s = await step(l.cohortId, l.stepKey);
      expect(s.opens === null || s.opens >= l.until, `${l.code} ${l.stepKey}`).to.equal(true);
    }
  });

  it('shows what another school would move before it is followed; then just that moves', async () => {
    const { version } = await v.get<{ version: number }>('/nursery');
    const before = await b.db('course_step').where('status', 'planned').select('cohortId', 'key', 'opens');
    const schools = { opening: 'dormant' };
    const told = (await v.post('/calc/schools', { schools })).json<CohortChange[]>();
    expect(told.length).to.be.at.least(3);
    const unchanged = await b.db('course_step').where('status', 'planned').select('cohortId', 'key', 'opens');
    expect(unchanged).to.deep.equal(before);
    expect((await owner.put('/nursery/schools', { version, schools })).statusCode).to.equal(200);
    for (const { cohortId, change } of told)
      for (const m of change.moved) expect((await step(cohortId, m.key)).opens, m.key).to.equal(m.now.opens);
    const now = version + 1;
    expect((await owner.put('/nursery/schools', { version, schools: {} })).statusCode).to.equal(409);
    await owner.put('/nursery/schools', { version: now, schools: {} });
  });

  it('an own programme: faults by step, versions kept, a running course moved only on purpose, with its diff', async () => {
    const { id: _id, ...body } = structuredClone(programme('seed-broadleaf'));
    const key = `ours-${id().slice(0, 4)}`;
    const keep = (basedOn: number, p: object) =>
      v.post('/programmes', { id: id(), programmeId: key, basedOn, copyOf: 'seed-broadleaf', programme: p });
    expect((await keep(0, body)).json()).to.include({ version: 1 });
    const c = await ready({ programmeId: key });
    const longer = structuredClone(body);
    longer.steps.find((s) => s.key === 'roots-2')!.after[0].seasons = 3.8;
    expect((await keep(0, longer)).statusCode, 'someone kept a version meanwhile').to.equal(409);
    expect((await keep(1, longer)).json()).to.include({ version: 2 });
    const rows = await v.get<ProgrammeRow[]>('/programmes');
    expect(rows.find((r) => r.id === key)).to.include({ version: 2, own: true, cohorts: 1, behind: 1 });
    const kept = await step(c.id, 'roots-2');
    expect(await v.get<Cohort>(`/cohorts/${c.id}`)).to.include({ programmeVersion: 1, newerVersion: 2 });
    const ask = { id: id(), cohortId: c.id, programmeId: key };
    const answer = (await v.post('/calc/retarget', ask)).json<RetargetAnswer>();
    const moved = answer.change.moved.find((m) => m.key === 'roots-2')!;
    expect(moved.days).to.be.greaterThan(300);
    expect((await v.post('/retargets', ask)).statusCode).to.equal(200);
    expect((await step(c.id, 'roots-2')).opens).to.equal(moved.now.opens);
    expect(kept.opens).to.equal(moved.was.opens);
  });

  it('retargets midway: what was done stays done under its like, and its two-week look too', async () => {
    const c = await ready();
    const work = {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-05',
      details: { potting: { container: 'basket-18' }, survival: { sure: 0.9 } },
    };
    expect((await v.post('/records', work)).statusCode).to.equal(200);
    const to = { id: id(), cohortId: c.id, programmeId: 'seed-ground', goal: 'a stout one', goalCaliper: 70 };
    const answer = (await v.post('/calc/retarget', to)).json<RetargetAnswer>();
    expect(answer.change.added.map((s) => s.key)).to.include('plant-out');
    expect(answer.change.removed.map((s) => s.key)).to.include('roots-2');
    await v.post('/retargets', to);
    const steps = (await course(c.id)).steps;
    const done = steps.find((s) => s.key === 'correct')!;
    expect(done).to.include({ status: 'done', doneOn: '2037-03-05' });
    expect(steps.find((s) => s.key === 'plant-out')!.status).to.equal('planned');
    expect(await v.get<Cohort>(`/cohorts/${c.id}`)).to.include({
      goalCaliper: 70,
      programmeId: 'seed-ground',
    });
  });

  it('scores stated odds when the two-week look settles them, and learns from them', async () => {
    const before = await v.get<SurvivalScores>('/survival');
    const c = await ready();
    const odds = (await step(c.id, 'correct')).odds!;
    expect(odds).to.be.within(0.5, 1);
    await v.post('/records', {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-02-20',
      details: { potting: { container: 'basket-18' }, survival: { sure: 0.5 } },
    });
    const look = {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct.survival-look',
      on: '2037-03-08',
      details: { survival: { alive: 24 } },
    };
    expect((await v.post('/records', look)).json()).to.include({ live: 24 });
    const after = await v.get<SurvivalScores>('/survival');
    expect(after.all.looks).to.equal(before.all.looks + 1);
    expect(after.all.plants).to.equal(before.all.plants + 30);
    const lost = await b
      .db('ledger_entry')
      .where({ recordId: look.id, type: 'lost' })
      .first('count', 'cause');
    expect(lost).to.deep.equal({ count: 6, cause: 'died after work' });
  });

  it('levelled weeks are kept, locked steps stay, and the day stands in its week with the rule named', async () => {
    const stepIn = (y: Year, l: { cohortId: string; key: string }) => {
      const found = y.lines.find((x) => x.cohortId === l.cohortId && x.key === l.key)!;
      return y.problem.steps.find((x) => x.id === found.id);
    };
    const year = await v.get<Year>('/year?weeks=26');
    const line = year.lines.find(
      (l) => l.closes > addDays(year.weeks[2], 6) && l.opens <= year.weeks[1] && !l.locked,
    )!;
    const give = async (week: string) =>
      v.post('/year/weeks', { id: id(), weeks: [{ cohortId: line.cohortId, key: line.key, week }] });
    expect((await give(year.weeks[2])).json()).to.deep.equal({ kept: 1 });
    const s = await step(line.cohortId, line.key);
    expect(s.target! >= year.weeks[2] && s.target! <= addDays(year.weeks[2], 6)).to.equal(true);
    expect(s.reasons.find((r) => r.rule === 'labour')!.text).to.include(`{${year.weeks[2]}}`);
    await v.put('/year/step', { cohortId: line.cohortId, key: line.key, week: year.weeks[1] });
    expect((await give(year.weeks[2])).json(), 'a locked step is not moved').to.deep.equal({ kept: 0 });
    const locked = await v.get<Year>('/year?weeks=26');
    expect(stepIn(locked, line)!.locked).to.equal(1);
    const worker = locked.people.find((p) => p.skilled)!;
    await v.put(`/people/${worker.id}/absence`, { week: year.weeks[3], hours: 0 });
    const away = await v.get<Year>('/year?weeks=26');
    expect(locked.problem.capacity.all[3] - away.problem.capacity.all[3]).to.equal(worker.hours * 60);
    const plan = (await v.post('/calc/level', { weeks: 26 })).json();
    expect(plan.cost).to.be.at.least(plan.bound - 1e-6);
    await v.put('/year/week', { week: year.weeks[4], locked: true });
    const closed = await v.get<Year>('/year?weeks=26');
    const inside = closed.problem.steps.filter((x) => x.locked === 4).reduce((n, x) => n + x.minutes, 0);
    expect(closed.problem.capacity.all[4]).to.equal(inside);
  });

  it('two cohorts want the last baskets: the later waits for the delivery and names who took them', async () => {
    const kind = 'basket-18';
    const rows = (await b.db('container_stock').where({ container: kind }).first('version'))!;
    await v.put('/stock', { container: kind, version: rows.version, counted: 100_000 });
    const one = await ready();
    const two = await ready();
    const earlier = await v.get<{ container: string; wanted: number; version: number }[]>('/stock');
    const row = earlier.find((r) => r.container === kind)!;
    await v.put('/stock', {
      container: kind,
      version: row.version,
      counted: row.wanted - 10,
      arriving: 50,
      arrives: '2037-06-20',
    });
    const short = (
      await b
        .db('course_step')
        .where({ container: kind, status: 'planned' })
        .whereRaw("reasons::text LIKE '%short%'")
    ).length;
    expect(short).to.be.at.least(1);
    const texts = [...(await course(one.id)).steps, ...(await course(two.id)).steps].flatMap((s) =>
      s.reasons.filter((r) => r.rule === 'stock').map((r) => r.text),
    );
    const all = await b.db('course_step').where({ container: kind, status: 'planned' }).select('reasons');
    const told = all
      .flatMap((s: { reasons: { rule: string; text: string }[] }) => s.reasons)
      .filter((r) => r.rule === 'stock');
    expect(told[0].text, texts.join()).to.match(/\d+ of pond basket 18 cm short; .+ takes? them first/);
    await v.put('/stock', { container: kind, version: row.version + 1, counted: 100_000 });
  });
});

import { expect } from 'chai';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import sharp from 'sharp';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { CohortCourse, PlanChange } from '@gonimos/contract/course';
import type { ProgrammeRow, RetargetAnswer } from '@gonimos/contract/library';
import type { BatchLine, MoveAnswer } from '@gonimos/contract/moves';
import type { ObservationOutcome } from '@gonimos/contract/observations';
import type { Round } from '@gonimos/contract/round';
import type { CohortChange } from '@gonimos/contract/schools';
import type { SeasonOfPlace } from '@gonimos/contract/season';
import type { StationNow } from '@gonimos/contract/station';
import type { SurvivalScores, VisitOutcome } from '@gonimos/contract/visits';
import type { Year } from '@gonimos/contract/year';
import { addDays, isIsoDate } from '@gonimos/core/calendar';
import { programme } from '@gonimos/core/programmes';
import { bench, id, seedCohort, type Bench, type Visitor } from './harness.ts';

const TODAY = '2037-03-09';

describe('season and schedule', () => {
  let b: Bench;
  let v: Visitor;
  let owner: Visitor;
  let places: { id: string; name: string; version: number }[];
  before(async () => {
    b = await bench();
    [v, owner] = [await b.visitor('grower'), await b.visitor('owner')];
    places = await v.get('/places');
    // shelves are full but where a test says otherwise
    await b.db('container_stock').update({ counted: 100_000 });
  });
  after(() => b.close());

  const placeId = (name: string) => places.find((p) => p.name === name)!.id;
  const course = (cohortId: string) => v.get<CohortCourse>(`/cohorts/${cohortId}/course`);
  const step = async (cohortId: string, key: string) =>
    (await course(cohortId)).steps.find((s) => s.key === key)!;
  /** Stock that stands before its first root correction, open this spring. */
  async function ready(more: Record<string, unknown> = {}) {
    const c = await seedCohort(v, 30, {
      standsAt: 'correct',
      started: 'spring 2035',
      container: 'cell-60',
      ...more,
    });
    expect((await v.post('/cohorts', c)).statusCode).to.equal(200);
    return c;
  }

  it('white tips seen move the opening at that place, are kept as the cause, and can be taken back', async () => {
    const c = await ready({ placeId: placeId('South bench'), taxonId: 'tilia-cordata' });
    const elsewhere = await ready({ placeId: placeId('North bench'), taxonId: 'tilia-cordata' });
    const [before, there] = [await step(c.id, 'correct'), await step(elsewhere.id, 'correct')];
    const seen = {
      id: id(),
      placeId: c.placeId,
      taxonId: 'tilia-cordata',
      kind: 'white-tips',
      on: '2037-03-08',
    };
    const answer = (await v.post('/observations', seen)).json<ObservationOutcome>();
    expect(answer.cohorts).to.be.at.least(1);
    expect(isIsoDate(answer.observation.expected)).to.equal(true);
    const after = await step(c.id, 'correct');
    // tips run twelve days ahead of bud swell; root work closes five days after bud break
    expect(after.reasons[0].text).to.match(/white root tips seen \{2037-03-08\}/);
    expect(after.closes).not.to.equal(before.closes);
    expect((await step(elsewhere.id, 'correct')).closes).to.equal(there.closes);
    const changes = await v.get<PlanChange[]>(`/cohorts/${c.id}/changes`);
    expect(changes[0].cause).to.equal('white root tips seen');
    const season = await v.get<SeasonOfPlace>(`/places/${c.placeId}/season`);
    expect(season.seen.map((s) => s.id)).to.include(seen.id);
    expect((await v.post('/observations', seen)).statusCode, 'sent twice counts once').to.equal(200);
    expect((await v.post(`/observations/${seen.id}/withdraw`, { id: id() })).statusCode).to.equal(200);
    expect((await step(c.id, 'correct')).closes).to.equal(before.closes);
  });

  it('a surprise on opening: causes ranked, one change, a check date; put back, stepped back, undone', async () => {
    const c = await ready({ container: 'basket-32', started: 'autumn 2036' });
    const was = await step(c.id, 'correct');
    const visit = {
      ...{ id: id(), cohortId: c.id, stepKey: 'correct', on: TODAY, found: ['few-roots'] },
      ...{ decision: 'put-back', note: 'stood wet all winter' },
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
    const before = await b.db('course_step').where('status', 'planned').select('cohort_id', 'key', 'opens');
    const schools = { opening: 'dormant' };
    const told = (await v.post('/calc/schools', { schools })).json<CohortChange[]>();
    expect(told.length).to.be.at.least(3);
    const unchanged = await b
      .db('course_step')
      .where('status', 'planned')
      .select('cohort_id', 'key', 'opens');
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
      container: 'basket-18',
      sure: 0.9,
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
      container: 'basket-18',
      sure: 0.5,
    });
    const look = { id: id(), cohortId: c.id, stepKey: 'correct.survival-look', on: '2037-03-08', alive: 24 };
    expect((await v.post('/records', look)).json()).to.include({ live: 24 });
    const after = await v.get<SurvivalScores>('/survival');
    expect(after.all.looks).to.equal(before.all.looks + 1);
    expect(after.all.plants).to.equal(before.all.plants + 30);
    const lost = await b
      .db('ledger_entry')
      .where({ record_id: look.id, type: 'lost' })
      .first('count', 'cause');
    expect(lost).to.deep.equal({ count: 6, cause: 'died after work' });
  });

  it('levelled weeks are kept, locked steps stay, and the day stands in its week with the rule named', async () => {
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
    expect(locked.problem.steps.find((x) => x.id === line.id)!.locked).to.equal(1);
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
    const rows = await b.db('container_stock').where({ container: kind }).first('version');
    await v.put('/stock', { container: kind, version: rows.version, counted: 100_000 });
    const [one, two] = [await ready(), await ready()];
    const earlier = await v.get<{ container: string; wanted: number; version: number }[]>('/stock');
    const row = earlier.find((r) => r.container === kind)!;
    await v.put('/stock', {
      container: kind,
      version: row.version,
      counted: row.wanted - 10,
      arriving: 50,
      arrives: '2037-04-02',
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

  it('takes in a daily record: faults by line, nothing before it is confirmed, then every course is planned again', async () => {
    const csv =
      'date,tmin,tmax,rain\n2037-03-07,-1,6,0\n2037-03-08,9,4,0\n2037-02-30,1,2,0\n2037-03-07,0,1,0\n2037-03-09,cold,3,0\n';
    const look = (await v.post('/weather/import', { id: id(), csv })).json();
    expect(look).to.include({ days: 1, written: 0 });
    expect(look.faults.map((f: { line: number; field: string }) => `${f.line} ${f.field}`)).to.deep.equal([
      '3 tmax',
      '4 date',
      '5 date',
      '6 tmin',
    ]);
    const days = Array.from({ length: 40 }, (_, i) => `${addDays('2037-01-29', i)},9,17`).join('\n');
    const south = placeId('North bench');
    const before = await v.get<SeasonOfPlace>(`/places/${south}/season`);
    const body = { id: id(), csv: `date,tmin,tmax\n${days}\n`, confirm: true };
    expect((await v.post('/weather/import', body)).json()).to.include({ written: 40 });
    expect((await v.post('/weather/import', body)).json()).to.include({ written: 40 });
    const after = await v.get<SeasonOfPlace>(`/places/${south}/season`);
    const swell = (s: SeasonOfPlace) => s.markers['bud-swell'] as { p50: number };
    expect(swell(after).p50).to.be.lessThan(swell(before).p50);
    expect(after.sums[0].degreeDays.at(-1)!).to.be.greaterThan(before.sums[0].degreeDays.at(-1)!);
  });

  it('keeps pictures by what they are: resized, stripped, thumbnailed; refuses what only says it is one', async () => {
    const c = await ready();
    const send = async (bytes: Buffer, name: string, picture = id()) => {
      const edge = 'xx-edge-xx';
      const head = `--${edge}\r\ncontent-disposition: form-data; name="picture"; filename="${name}"\r\ncontent-type: image/jpeg\r\n\r\n`;
      return b.app.inject({
        method: 'POST',
        url: `/api/cohorts/${c.id}/pictures?picture=${picture}`,
        headers: {
          cookie: v.cookie,
          'x-csrf-token': v.csrf,
          'content-type': `multipart/form-data; boundary=${edge}`,
        },
        payload: Buffer.concat([Buffer.from(head), bytes, Buffer.from(`\r\n--${edge}--\r\n`)]),
      });
    };
    const large = await sharp({ create: { width: 2400, height: 1200, channels: 3, background: '#7a5' } })
      .withExif({ IFD0: { Copyright: 'somewhere private' } })
      .png()
      .toBuffer();
    const key = id();
    expect((await send(large, 'tree.png', key)).statusCode).to.equal(200);
    expect((await send(large, 'tree.png', key)).statusCode, 'sent twice is kept once').to.equal(200);
    const list = await v.get<{ id: string; width: number; height: number }[]>(`/cohorts/${c.id}/pictures`);
    expect(list.length).to.equal(1);
    expect(list[0]).to.include({ id: key, width: 1600, height: 800 });
    const back = await v.send('GET', `/api/pictures/${key}`);
    expect(back.headers['content-type']).to.equal('image/jpeg');
    const meta = await sharp(back.rawPayload).metadata();
    expect([meta.format, meta.width, meta.exif]).to.deep.equal(['jpeg', 1600, undefined]);
    expect(
      (await sharp((await v.send('GET', `/api/pictures/${key}?size=thumb`)).rawPayload).metadata()).width,
    ).to.equal(320);
    const fake = await send(Buffer.from('<script>alert(1)</script>'), 'tree.jpg');
    expect(fake.statusCode).to.equal(422);
    expect(fake.json().errors[0].field).to.equal('picture');
    expect((await send(Buffer.alloc(12_600_000, 1), 'huge.jpg')).statusCode).to.equal(413);
  });

  it('asks the simulated station, or a real one at its address; a broken one changes nothing', async () => {
    const own = await v.get<StationNow>('/station');
    expect(own.station).to.equal('Hilltop mast');
    expect(own.readings.length).to.equal(24);
    expect(own.latest!.at.slice(0, 10)).to.equal(TODAY);
    let answer: unknown = {
      station: 'Roof',
      readings: [{ at: `${TODAY}T23:30`, temperature: -7.5, humidity: 80, wind: 3, gust: 18, rain: 0 }],
    };
    const station = createServer((_q, r) => r.end(JSON.stringify(answer))).listen(0, '127.0.0.1');
    await new Promise((go) => station.once('listening', go));
    const port = (station.address() as AddressInfo).port;
    const at = async (url: string) => {
      await b.db('nursery').update({ station_url: url });
      return v.get<StationNow>('/station');
    };
    const real = await at(`http://127.0.0.1:${port}/now`);
    expect(real.station).to.equal('Roof');
    expect(real.latest).to.include({ temperature: -7.5, gust: 18 });
    expect(real.warnings.map((w) => w.kind)).to.include('wind');
    answer = { station: 'Roof', readings: [{ at: 'noon', temperature: 900 }] };
    const broken = await at(`http://127.0.0.1:${port}/broken`);
    expect(broken.latest).to.include({ temperature: -7.5 });
    station.close();
    await b.db('nursery').update({ station_url: null });
  });
});

describe('the demo nursery on its opening day', () => {
  let b: Bench;
  let v: Visitor;
  before(async () => {
    b = await bench();
    v = await b.visitor('owner');
  });
  after(() => b.close());

  it('every date of every course answers why: a deciding rule, in words, with numbers or days', async () => {
    const cohorts = await v.get<{ id: string; code: string }[]>('/cohorts');
    let dates = 0;
    const bases = new Set<string>();
    for (const c of cohorts)
      for (const s of (await v.get<CohortCourse>(`/cohorts/${c.id}/course`)).steps) {
        if (s.status !== 'planned' && s.status !== 'none') continue;
        dates++;
        const where = `${c.code} ${s.key}`;
        expect(s.reasons.filter((r) => r.binding).length, where).to.equal(1);
        for (const r of s.reasons) {
          expect(r.text.length, where).to.be.greaterThan(8);
          for (const [, day] of r.text.matchAll(/\{([^}]*)\}/g))
            expect(isIsoDate(day), `${where}: ${r.text}`).to.equal(true);
          for (const f of r.figures) {
            bases.add(f.basis);
            expect(
              typeof f.value === 'number' ? Number.isFinite(f.value) : isIsoDate(f.value),
              `${where} ${f.label}`,
            ).to.equal(true);
          }
          expect(r.text, where).not.to.match(/NaN|undefined|null/);
        }
        const told = s.reasons.some((r) => r.figures.length > 0 || /\{\d{4}-/.test(r.text));
        expect(told, where).to.equal(true);
        if (s.status === 'planned')
          expect(s.opens! <= s.target! && s.target! <= s.closes!, where).to.equal(true);
      }
    console.log(`      ${dates} steps asked`);
    expect(dates).to.be.at.least(300);
    expect([...bases]).to.include.members(['computed', 'common practice', 'your data']);
  });

  it('shows one of each: closing, put off for weakness, weather, a moved marker, a levelled week, a surprise', async () => {
    const round = await v.get<Round>('/round');
    expect(round.closing).to.be.at.least(1);
    expect(round.warnings.some((w) => w.kind === 'frost' && w.cohortIds.length > 0)).to.equal(true);
    expect(round.due.some((s) => s.reasons.some((r) => /Found on opening/.test(r.text)))).to.equal(true);
    expect(round.short.length).to.be.at.least(1);
    const weak = await b.db('course_step').where('status', 'planned').select('reasons');
    const rules = weak.flatMap((s: { reasons: { rule: string; binding: boolean }[] }) =>
      s.reasons.filter((r) => r.binding).map((r) => r.rule),
    );
    expect(rules.some((r) => r === 'vigour' || r === 'reserve')).to.equal(true);
    const places = await v.get<{ id: string }[]>('/places');
    const seasons = await Promise.all(places.map((p) => v.get<SeasonOfPlace>(`/places/${p.id}/season`)));
    expect(seasons.some((s) => s.seen.length > 0)).to.equal(true);
    const moved = await b.db('plan_change').where('cause', 'white root tips seen').first('key');
    expect(moved).to.not.equal(undefined);
    const year = await v.get<Year>('/year');
    const { capacity, steps, weeks } = year.problem;
    const alone = Array.from({ length: weeks }, () => 0);
    for (const s of steps) alone[s.ideal] += s.minutes;
    const now = Array.from({ length: weeks }, () => 0);
    for (const l of year.lines)
      now[
        Math.max(
          0,
          year.weeks.findLastIndex((w) => w <= l.target),
        )
      ] += steps.find((s) => s.id === l.id)!.minutes;
    const over = (load: number[]) => load.reduce((n, m, w) => n + Math.max(0, m - capacity.all[w]), 0);
    console.log(`      minutes too many: ${over(alone)} by windows alone, ${over(now)} levelled`);
    expect(over(alone)).to.be.greaterThan(60);
    expect(over(now)).to.be.lessThan(over(alone) / 2);
  });
});

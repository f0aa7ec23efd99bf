import { expect } from 'chai';
import type { CohortCourse } from '@gonimos/contract/course';
import type { Planning } from '@gonimos/contract/planning';
import { addDays, daysBetween } from '@gonimos/core/calendar';
import { isOver } from '@gonimos/core/course';
import { keptSteps, readKept } from '../src/course/kept.ts';
import { noteNewDay, workOff } from '../src/planning/due.ts';
import { compileFor, readyFacts } from '../src/planning/replan.ts';
import { bench, id, must, seedCohort, workshop, type Bench } from './harness.ts';
import { endServer, freePort, serve } from './serve.ts';

const MANY = 70;

describe('planning many courses again', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let placeId: string;
  const state = () => w.v.get<Planning>('/planning');
  const opens = async (cohortId: string) => (await w.step(cohortId, 'emergence')).opens;
  const cohorts: string[] = [];
  before(async function () {
    this.timeout(120_000);
    b = await bench();
    w = await workshop(b);
    const place = {
      id: id(),
      name: 'Tunnel',
      kind: 'frame',
      night: 3,
      day: 3,
      heatedTo: null,
      light: 'full',
    };
    placeId = (await must<{ id: string }>(w.v.post('/places', place))).id;
    for (let i = 0; i < MANY; i++) {
      const c = await seedCohort(w.v, 50, { placeId, code: `TU-${i + 10}` });
      await must(w.v.post('/cohorts', c));
      cohorts.push(c.id);
    }
  });
  after(() => b.close());
  const warmer = async (night: number) => {
    const [place] = (await w.v.get<{ id: string; version: number }[]>('/places')).filter(
      (p) => p.id === placeId,
    );
    const now = { name: 'Tunnel', kind: 'frame', night, day: night, heatedTo: null, light: 'full' };
    return must(w.v.put(`/places/${placeId}`, { ...now, version: place.version }));
  };

  it('is noted with the change itself, worked off in parts, and goes on after a crash where it stood', async () => {
    const before = await opens(cohorts[MANY - 1]);
    await warmer(8);
    expect(await state()).to.include({
      left: MANY,
      of: MANY,
      paused: false,
      cause: 'the place Tunnel was changed',
    });
    expect(await opens(cohorts[0])).to.equal(before);
    // the process ends after the first part
    let parts = 0;
    await workOff(b.app, () => parts++ > 0);
    const { left } = await state();
    expect(left).to.be.within(1, MANY - 1);
    await workOff(b.app);
    expect(await state()).to.include({ left: 0 });
    for (const c of [cohorts[0], cohorts[MANY - 1]]) expect((await opens(c))! < before!).to.equal(true);
  }).timeout(60_000);

  it('stops when asked to and keeps what is left; a helper may not stop it', async () => {
    await warmer(2);
    const helper = await b.visitor('helper');
    expect((await helper.put('/planning', { paused: true })).statusCode).to.equal(403);
    await must(w.v.put('/planning', { paused: true }));
    await workOff(b.app);
    expect(await state()).to.include({ left: MANY, paused: true });
    await must(w.v.put('/planning', { paused: false }));
    // what somebody is writing to just now is left for the next turn
    const holder = await b.db.transaction();
    await holder('cohort').where({ id: cohorts[0] }).forUpdate().select('id');
    await workOff(b.app);
    expect(await state()).to.include({ left: 1 });
    await holder.rollback();
    await workOff(b.app);
    expect(await state()).to.include({ left: 0 });
  }).timeout(60_000);

  it('day by day, what is near is as if planned anew; what lies far ahead lags by a little at most, and no news is made of it', async () => {
    const day = await b.visitor('helper');
    let compared = 0;
    let lagging = 0;
    let month = (await b.app.planning(b.db)).today.slice(0, 7);
    let turned = 0;
    for (const days of [1, 1, 1, 7, 7, 7]) {
      await must(day.post('/demo/calendar', { id: id(), days }));
      await workOff(b.app);
      const planning = await b.app.planning(b.db);
      // with a new month all is brought up to date
      const turns = planning.today.slice(0, 7) !== month;
      month = planning.today.slice(0, 7);
      if (turns) turned++;
      const facts = await readyFacts(b.db, await b.db('cohort').where('growing', true).pluck('id'), planning);
      const kept = await readKept(
        b.db,
        facts.map((f) => f.id),
      );
      for (const f of facts) {
        const fresh = compileFor(f, planning).steps;
        const own = new Map(keptSteps(kept.get(f.id)!).map((s) => [s.key, s]));
        expect([...own.keys()]).to.have.members(fresh.map((s) => s.key));
        for (const s of fresh) {
          const k = own.get(s.key)!;
          const far = s.status === 'planned' && s.opens! > addDays(planning.today, 30);
          const off = far && k.opens ? Math.abs(daysBetween(k.opens, s.opens!)) : 0;
          // more than a year ahead it may wait for the next month; three days from eight months on, else a day
          const ahead = daysBetween(planning.today, s.opens ?? planning.today);
          const may = turns ? 0 : ahead > 400 ? Infinity : ahead > 240 ? 3 : 1;
          if (far) expect(off, `${f.code} ${s.key}`).to.be.at.most(may);
          expect(k.status, `${f.code} ${s.key}`).to.equal(s.status);
          if (!far && !isOver(s))
            expect([k.opens, k.closes], `${f.code} ${s.key}`).to.deep.equal([s.opens, s.closes]);
          compared++;
          lagging += off;
        }
      }
    }
    expect(compared).to.be.above(10_000);
    expect(turned).to.equal(1);
    console.log(`      ${compared} steps compared, ${lagging} a day behind`);
    // a day's shift of what lies far ahead is told to nobody
    const told = await b
      .db('plan_change')
      .where('cause', 'like', 'the calendar went on%')
      .whereNotNull('wasOpens');
    expect(told.length).to.be.above(0);
    for (const t of told)
      if (t.wasOpens! > addDays(t.onDate, 60) && t.nowOpens! > addDays(t.onDate, 60))
        expect(
          Math.max(
            Math.abs(daysBetween(t.wasOpens!, t.nowOpens!)),
            Math.abs(daysBetween(t.wasCloses!, t.nowCloses!)),
          ),
          t.key,
        ).to.be.above(1);
  }).timeout(120_000);

  it('a course that cannot be planned shows its fault and leaves the others, schools and the start alone', async () => {
    const [broken, sound] = cohorts;
    const before = await w.v.get<CohortCourse>(`/cohorts/${broken}/course`);
    await b
      .db('cohort')
      .where({ id: broken })
      .update({ programme: b.db.raw(`programme || '{"cycles": [{"steps": ["nothing"]}], "steps": [7]}'`) });
    const { version } = await w.owner.get<{ version: number }>('/nursery');
    await must(w.owner.put('/nursery/schools', { version, schools: { 'root-ball': 'bare' } }));
    await workOff(b.app);
    const { left, faults } = await state();
    expect([left, faults.map((f) => f.id)]).to.deep.equal([0, [broken]]);
    expect(faults[0].fault).to.be.a('string').and.not.equal('');
    expect((await w.v.get<CohortCourse>(`/cohorts/${broken}/course`)).steps).to.have.length(
      before.steps.length,
    );
    const lost = { id: id(), type: 'lost_before_emergence', on: '2037-03-05', count: 2, cause: 'mice' };
    await must(w.v.post(`/cohorts/${sound}/ledger`, { ...lost, id: id() }));
    await must(w.v.post(`/cohorts/${broken}/ledger`, lost));
    // the server starts, says who it is, and plans the rest on a new day
    await b.db('nursery').update({ plannedOn: null });
    const port = await freePort();
    const server = await serve(b.url, port);
    expect((await fetch(`http://127.0.0.1:${port}/api/health`)).status).to.equal(200);
    await endServer(server);
    await noteNewDay(b.db);
    await workOff(b.app);
    expect((await state()).faults.map((f) => f.id)).to.deep.equal([broken]);
  }).timeout(60_000);
});

import { expect } from 'chai';
import type { CoursePreview } from '@gonimos/contract/cohorts';
import type { Nursery } from '@gonimos/contract/nursery';
import type { Outcome } from '@gonimos/contract/outcome';
import type { Sowing } from '@gonimos/contract/seed';
import { workOn } from '@gonimos/contract/records';
import { migrate, openDatabase } from '../src/db/index.ts';
import { bench, freshDatabase, id, must, refusal, workshop, type Bench } from './harness.ts';

const ON = '2037-03-09';

describe('plans for any climate and kind', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  it('a kind that may be one of several is settled once, from those kinds only, and kept in its story', async () => {
    const { v } = w;
    const c = await w.enter({ maybe: ['acer-palmatum'] });
    const say = (taxonId: string, more = {}) =>
      v.post(`/cohorts/${c.id}/kind`, { id: id(), taxonId, reason: '', ...more });
    expect((await w.cohort(c.id)).maybe).to.deep.equal(['acer-palmatum']);
    await refusal(say('quercus-robur'), 'none of the kinds');
    const twice = { id: id() };
    const first = await must<Outcome>(say('acer-palmatum', twice));
    expect(await must<Outcome>(say('acer-palmatum', twice))).to.deep.equal(first);
    expect(await w.cohort(c.id)).to.deep.include({ taxonId: 'acer-palmatum', maybe: [] });
    await refusal(say('acer-campestre'), 'is known already');
    const helper = await b.visitor('helper');
    expect(
      (await helper.post(`/cohorts/${c.id}/kind`, { id: id(), taxonId: 'acer-campestre' })).statusCode,
    ).to.equal(403);
  });

  it('two who settle a kind at once: one is heard, the other is told that it is known', async () => {
    const c = await w.enter({ maybe: ['acer-palmatum'] });
    const both = await Promise.all(
      ['acer-palmatum', 'acer-campestre'].map((taxonId) =>
        w.v.post(`/cohorts/${c.id}/kind`, { id: id(), taxonId, reason: '' }),
      ),
    );
    expect(both.map((r) => r.statusCode).toSorted((x, y) => x - y)).to.deep.equal([200, 422]);
  });

  it('live growth seen low on a beech lets it be chopped there; none refuses the chop; taken back, it is staged again', async () => {
    const c = await w.enter(
      {
        taxonId: 'fagus-sylvatica',
        programmeId: 'lifted-plant',
        container: 'basket-32',
        started: '2036-03-20',
        origin: { source: 'our own hedge', permission: 'own ground', quarantine: false },
      },
      3,
    );
    const chop = () => w.step(c.id, 'chop');
    const look = (lowGrowth: boolean) => {
      const looks = { lowGrowth, vigour: null, buds: null };
      const r = workOn({ id: id(), cohortId: c.id, stepKey: null, on: ON, details: { looks } });
      return must<Outcome>(w.v.post('/records', r)).then(() => r.id);
    };
    const undo = (recordId: string) => must(w.v.post(`/records/${recordId}/undo`, { id: id() }));
    expect((await chop()).topCut!.take).to.be.at.most(0.3);
    const seen = await look(true);
    expect((await w.cohort(c.id)).lowGrowth).to.deep.equal({ on: ON, seen: true });
    expect((await chop()).topCut?.take ?? 1).to.be.greaterThan(0.5);
    await undo(seen);
    const none = await look(false);
    const half = (await w.course(c.id)).steps.find((s) => s.operation === 'half-chop')!;
    expect(half).to.include({ status: 'none', refusal: 'old-wood', opens: null });
    expect(await chop()).to.include({ status: 'none', refusal: 'follows-refused', opens: null });
    await undo(none);
    expect((await chop()).topCut!.take).to.be.at.most(0.3);
  });

  it('a cover is one thing: put on in the course it is on the tray, off on the tray it is off in the course, and back', async () => {
    const { v } = w;
    const c = await w.enter({ started: ON });
    const covers = async () => (await v.get<Sowing>(`/cohorts/${c.id}/sowing`)).protections;
    const on = (await w.course(c.id)).steps.find((s) => s.operation === 'guard-on')!;
    const off = async () => (await w.course(c.id)).steps.find((s) => s.operation === 'guard-off')!;
    const r = workOn({ id: id(), cohortId: c.id, stepKey: on.key, on: ON });
    await must(v.post('/records', r));
    const [cover] = await covers();
    expect(cover).to.include({ kind: 'mesh', from: ON, ended: null });
    expect(cover.clearance).to.be.greaterThan(0);
    expect((await off()).status).to.equal('planned');

    await must(v.put(`/protections/${cover.id}/end`, { version: cover.version, ended: ON }));
    expect((await off()).status).to.equal('done');
    expect((await covers())[0].ended).to.equal(ON);
    await must(v.post(`/records/${(await off()).recordId}/undo`, { id: id() }));
    expect([(await off()).status, (await covers())[0].ended]).to.deep.equal(['planned', null]);
    await must(v.post(`/records/${r.id}/undo`, { id: id() }));
    expect(await covers()).to.deep.equal([]);
  });

  it('says before a start is entered what speaks against it, and refuses warm months in the wrong half of the year', async () => {
    const owner = w.owner;
    const ask = (more: object) =>
      must<CoursePreview>(
        owner.post('/calc/course', {
          taxonId: 'acer-campestre',
          programmeId: 'seed-broadleaf',
          placeId: w.placeId('South bench'),
          started: ON,
          count: 50,
          container: 'seed-flat',
          standsAt: null,
          schools: {},
          maybe: [],
          lotId: null,
          ...more,
        }),
      );
    expect((await ask({})).remarks.map((r) => r.code)).to.not.include('unsuited');
    const { version, name, stationUrl, timeZone, latitude, longitude, elevation, tmin, tmax, ...rest } =
      await owner.get<Nursery>('/nursery');
    const { spreadWinter, spreadSummer, wetFrom } = rest;
    const now = { version, name, stationUrl, timeZone, latitude, longitude, elevation, tmin, tmax };
    const site = (more: object) =>
      owner.put('/nursery', { ...now, spreadWinter, spreadSummer, wetFrom, ...more });
    await refusal(site({ latitude: -latitude }), 'latitude');
    const flat = { tmin: Array(12).fill(22), tmax: Array(12).fill(31), latitude: 2 };
    await must(site(flat));
    const { remarks, steps } = await ask({});
    expect(remarks.find((r) => r.code === 'unsuited')).to.include({ grave: true });
    expect(steps.length).to.be.greaterThan(5);
  });
});

describe('a database of the release before', () => {
  it('is brought forward: half of a parted step is two quarters, and what was planned is planned anew', async () => {
    const made = await freshDatabase();
    const db = openDatabase(made.url, 2);
    try {
      for (let i = 0; i < 4; i++) await db.migrate.up();
      await db.transaction(async (trx) => {
        // the week alone is under test, not the cohort it belongs to
        await trx.raw(`SET LOCAL session_replication_role = replica`);
        await trx<Record<string, unknown>>('year_week').insert([
          { cohortId: id(), key: 'whole', week: '2037-03-09', split: false },
          { cohortId: id(), key: 'parted', week: '2037-03-09', split: true },
        ]);
      });
      await migrate(made.url);
      expect(await db('year_week').orderBy('key').select('key', 'later')).to.deep.equal([
        { key: 'parted', later: 0.5 },
        { key: 'whole', later: 0 },
      ]);
    } finally {
      await db.destroy();
      await made.drop();
    }
  });
});

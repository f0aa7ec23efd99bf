import { expect } from 'chai';
import type { Cohort } from '@gonimos/contract/cohorts';
import type { ParentLayers } from '@gonimos/contract/layers';
import type { Problem } from '@gonimos/contract/problem';
import type { SeedLot } from '@gonimos/contract/seed';
import type { Trays } from '@gonimos/contract/trays';
import {
  bench,
  drawnLayer,
  id,
  must,
  PROPAGATION_TABLES,
  seedCohort,
  workshop,
  type Bench,
  type Visitor,
} from './harness.ts';

describe('propagation, sent twice and at once', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let [v, other]: Visitor[] = [];
  before(async () => {
    b = await bench();
    w = await workshop(b);
    [v, other] = [w.v, await b.visitor('grower')];
  });
  after(() => b.close());

  const rows = async () => {
    const n: Record<string, number> = {};
    for (const t of PROPAGATION_TABLES) n[t] = Number((await b.db(t).count('* as n').first())!.n);
    return n;
  };
  const live = async (...ids: string[]) => {
    const all: number[] = [];
    for (const x of ids) all.push((await v.get<Cohort>(`/cohorts/${x}`)).live);
    return all;
  };
  const enter: typeof w.enter = (...a) => w.enter(...a);
  /** Sends a write three times at once and once more later: one answer, written once; another body is refused. */
  const repeated = async (url: string, said: Record<string, unknown>, else_: Record<string, unknown>) => {
    const before = await rows();
    const answers = await Promise.all([v, v, v].map((x) => x.post(url, said)));
    for (const a of answers) expect(a.statusCode, `${url} ${a.body}`).to.equal(200);
    const written = await rows();
    expect(written, `${url} writes something`).to.not.deep.equal(before);
    const again = await v.post(url, said);
    for (const a of [...answers, again]) expect(a.json()).to.deep.equal(answers[0].json());
    const differing = await v.post(url, { ...said, ...else_ });
    expect([differing.statusCode, differing.json<Problem>().detail]).to.deep.equal([
      409,
      'This id was used before for something else.',
    ]);
    expect(await rows(), `${url} once`).to.deep.equal(written);
    return Object.fromEntries(
      PROPAGATION_TABLES.map((t) => [t, written[t] - before[t]]).filter(([, n]) => n !== 0),
    );
  };

  it('every write of propagation is made once, however often it is sent', async () => {
    const place = w.placeId('Cold frame');
    const goal = {
      id: id(),
      note: '',
      taxonId: 'acer-campestre',
      programmeId: 'seed-broadleaf',
      placeId: place,
      stage: 'single',
      wanted: 30,
      byYear: 2040,
      confidence: 0.9,
      most: 900,
      cost: { centsEach: 5, wage: 1500 },
    };
    expect(await repeated('/goals', goal, { wanted: 31 })).to.deep.equal({ start_goal: 1 });
    const lot = {
      id: id(),
      name: 'Mill hedge 36',
      taxonId: 'acer-campestre',
      source: 'the mill hedge',
      harvested: 'autumn 2036',
      seeds: 800,
      storage: 'cool and dry',
      price: null,
    };
    expect(await repeated('/seed-lots', lot, { seeds: 900 })).to.deep.equal({ seed_lot: 1 });
    const test = { id: id(), kind: 'test', on: '2037-01-05', tested: 40, sound: 31, note: '' };
    expect(await repeated(`/seed-lots/${lot.id}/events`, test, { sound: 30 })).to.deep.equal({
      seed_event: 1,
    });

    const sown = await enter({ lotId: lot.id, goalId: goal.id }, 40);
    const cover = { id: id(), kind: 'mesh', clearance: 60, from: '2037-03-02', note: '' };
    // a cover put on is work done on the course as well
    expect(await repeated(`/cohorts/${sown.id}/protections`, cover, { kind: 'cage' })).to.deep.equal({
      protection: 1,
      record: 1,
    });
    const tray = { id: id(), name: 'A', rows: 5, columns: 8, fill: 40 };
    expect(await repeated(`/cohorts/${sown.id}/trays`, tray, { name: 'B' })).to.deep.equal({
      tray: 1,
      tray_cell: 40,
    });
    const marks = [0, 1, 2, 3].map((cell) => ({ cell, was: 'sown', now: cell < 3 ? 'up' : 'eaten' }));
    const mark = { id: id(), on: '2037-03-08', cause: null, marks };
    // three up and one eaten: four marks of cells, an entry for each kind
    expect(await repeated(`/trays/${tray.id}/marks`, mark, { on: '2037-03-07' })).to.deep.equal({
      tray_mark: 4,
      ledger_entry: 2,
      tray_cell_entry: 4,
    });

    const cut = await w.stuck();
    const check = {
      id: id(),
      cohortId: cut.id,
      stepKey: 'check',
      on: '2037-03-05',
      note: '',
      minutes: null,
      batches: [{ name: '1', rooted: 50, callus: 30, dead: 20 }],
      potNow: true,
      part: { newId: id(), newCode: 'CALLUS-2' },
    };
    const made = await repeated('/checks', check, { minutes: 12 });
    expect([made.cohort, await live(cut.id, check.part.newId)]).to.deep.equal([1, [50, 30]]);

    const p = await w.parent();
    const two = [drawnLayer(), { ...drawnLayer(), stem: 'side stem' }];
    const ringed = { id: id(), on: '2036-06-01', layers: two };
    expect(await repeated(`/parents/${p.id}/layers`, ringed, { on: '2036-06-02' })).to.include({
      layer: 2,
      layer_event: 2,
      cohort: 2,
    });
    const look = { id: id(), kind: 'looked', on: '2036-08-01', found: 'full', note: '' };
    expect(await repeated(`/layers/${two[0].id}/events`, look, { found: 'few' })).to.include({
      layer_event: 1,
    });

    const c = await w.ready();
    const into = await w.ready();
    const merge = { id: id(), intoId: into.id, count: 7 };
    expect(await repeated(`/cohorts/${c.id}/merge`, merge, { count: 8 })).to.include({ ledger_entry: 2 });
    expect(await live(c.id, into.id)).to.deep.equal([23, 37]);
    const fuse = { id: id(), stems: 6, into: 2, note: '' };
    expect(await repeated(`/cohorts/${c.id}/fuse`, fuse, { into: 3 })).to.include({ ledger_entry: 1 });
    expect(await live(c.id)).to.deep.equal([19]);
    const tally = { id: id(), kind: 'grade', on: '2037-03-08', counts: { A: 9, B: 10 } };
    expect(await repeated(`/cohorts/${c.id}/tallies`, tally, { counts: { A: 8 } })).to.deep.equal({
      tally: 1,
    });
    const named = { id: id(), newCode: `${c.code}X`, reason: 'the old label was of another row' };
    expect(await repeated(`/cohorts/${c.id}/identify`, named, { reason: 'else' })).to.deep.equal({
      identity: 1,
    });
  }).timeout(90_000);

  it('merges that cross at once both go through, and no plant is lost between them', async () => {
    const x = await w.ready();
    const y = await w.ready();
    for (let i = 0; i < 6; i++) {
      const crossing = [
        v.post(`/cohorts/${x.id}/merge`, { id: id(), intoId: y.id, count: 3 }),
        other.post(`/cohorts/${y.id}/merge`, { id: id(), intoId: x.id, count: 2 }),
      ];
      for (const r of await Promise.all(crossing)) expect(r.statusCode, r.body).to.equal(200);
    }
    // each gave three and took two, six times
    expect(await live(x.id, y.id)).to.deep.equal([24, 36]);
  });

  it('of two who would do what can be done once, one does and the other is told', async () => {
    const told = async (sent: ReturnType<Visitor['post']>[], why: RegExp) => {
      const answers = await Promise.all(sent);
      expect(answers.filter((r) => r.statusCode === 200).length, answers.map((r) => r.body).join()).to.equal(
        1,
      );
      const refused = answers.find((r) => r.statusCode !== 200)!;
      expect(refused.statusCode).to.be.within(400, 422);
      expect(refused.body).to.match(why);
    };
    // the same check by two
    const cut = await w.stuck();
    const check = (rooted: number) => ({
      id: id(),
      cohortId: cut.id,
      stepKey: 'check',
      on: '2037-03-05',
      note: '',
      minutes: null,
      batches: [{ name: '', rooted, callus: 0, dead: 100 - rooted }],
    });
    await told(
      [v.post('/checks', check(80)), other.post('/checks', check(70))],
      /recorded meanwhile|there are/,
    );
    expect([[80], [70]]).to.deep.include(await live(cut.id));
    // the same layer severed by two
    const p = await w.parent();
    const l = drawnLayer();
    await must(v.post(`/parents/${p.id}/layers`, { id: id(), on: '2036-06-01', layers: [l] }));
    const placeId = w.placeId('North bench');
    const off = () => ({
      id: id(),
      placeId,
      kind: 'severed',
      on: '2036-09-20',
      found: 'full',
      container: 'basket-25',
      note: '',
    });
    await told(
      [v.post(`/layers/${l.id}/events`, off()), other.post(`/layers/${l.id}/events`, off())],
      /cannot be|severed/,
    );
    expect(await live(l.id)).to.deep.equal([1]);
    const { layers } = await v.get<ParentLayers>(`/parents/${p.id}/layers`);
    expect(layers[0].events.filter((e) => e.kind === 'severed').length).to.equal(1);
    // the same goal closed by two, the same cover lifted by two
    const goal = {
      id: id(),
      note: '',
      taxonId: 'acer-campestre',
      programmeId: 'seed-broadleaf',
      placeId: w.placeId('Cold frame'),
      stage: 'single',
      wanted: 3,
      byYear: 2040,
      confidence: 0.9,
      most: 90,
      cost: { centsEach: 5, wage: 1500 },
    };
    await must(v.post('/goals', goal));
    await told(
      [v, other].map((x) => x.put(`/goals/${goal.id}/close`, { version: 1 })),
      /meanwhile|version|closed/,
    );
    const sown = await enter({}, 40);
    const cover = { id: id(), kind: 'mesh', clearance: 60, from: '2037-03-02', note: '' };
    await must(v.post(`/cohorts/${sown.id}/protections`, cover));
    await told(
      [v, other].map((x) => x.put(`/protections/${cover.id}/end`, { version: 1, ended: '2037-03-08' })),
      /meanwhile|version|ended/,
    );
    // the last plants of a cohort taken out by two
    const few = await w.ready();
    await told(
      [20, 15].map((stems, i) => [v, other][i].post(`/cohorts/${few.id}/fuse`, { id: id(), stems, into: 1 })),
      /count|stems/,
    );
    expect([11, 16]).to.include((await live(few.id))[0]);
  }).timeout(90_000);

  it('a lot sown by two beyond what was counted says by how much the count was short', async () => {
    const lot = {
      id: id(),
      name: 'A handful',
      taxonId: 'acer-campestre',
      source: 'one tree',
      harvested: '2036',
      seeds: 100,
      storage: 'warm',
      price: null,
    };
    await must(v.post('/seed-lots', lot));
    const sowing = () => seedCohort(v, 70, { lotId: lot.id });
    for (const r of await Promise.all([
      v.post('/cohorts', await sowing()),
      other.post('/cohorts', await sowing()),
    ]))
      expect(r.statusCode, r.body).to.equal(200);
    const found = (await v.get<SeedLot[]>('/seed-lots')).find((x) => x.id === lot.id)!;
    expect([found.left, found.over, found.sown.length]).to.deep.equal([0, 40, 2]);
  });

  it('two trays filled at once hold no more seed than was sown', async () => {
    const sown = await enter({}, 60);
    const tray = (name: string) => ({ id: id(), name, rows: 5, columns: 8, fill: 40 });
    const answers = await Promise.all([
      v.post(`/cohorts/${sown.id}/trays`, tray('A')),
      other.post(`/cohorts/${sown.id}/trays`, tray('B')),
    ]);
    expect(answers.map((r) => r.statusCode).sort()).to.deep.equal([200, 422]);
    const { trays, outside } = await v.get<Trays>(`/cohorts/${sown.id}/trays`);
    expect([trays.length, outside.seed]).to.deep.equal([1, 20]);
  });
});

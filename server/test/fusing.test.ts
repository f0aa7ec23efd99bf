import { expect } from 'chai';
import type { PlantGroups } from '@gonimos/contract/fusing';
import type { Lineage } from '@gonimos/contract/lineage';
import type { Round } from '@gonimos/contract/round';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('stems set together', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const stem = (name: string, cohortId: string, more: object = {}) => ({
    id: name,
    cohortId,
    base: 9,
    height: 300,
    curve: 40,
    roots: [{ azimuth: 90, reach: 40, diameter: 3, height: 0 }],
    branches: [],
    ...more,
  });
  /** Stems set together between two steps; what is told of the group, and of the record around it. */
  const setting = (own: string, other: string, more: object = {}, around: object = {}) => ({
    id: id(),
    cohortId: own,
    stepKey: null,
    on: '2037-03-09',
    note: 'curves agree',
    ...around,
    details: {
      group: {
        id: id(),
        method: 'bound',
        members: [stem('a', own), stem('b', own, { base: 7 }), stem('c', other, { base: 6 })],
        stood: [
          { id: 'a', place: 0, turn: 0 },
          { id: 'b', place: 1, turn: 120 },
          { id: 'c', place: 2, turn: 250 },
        ],
        ...more,
      },
    },
  });
  const live = async (cohortId: string) => (await w.cohort(cohortId)).live;
  const groups = (cohortId: string) => w.v.get<PlantGroups>(`/cohorts/${cohortId}/groups`);

  it('out of two cohorts become one plant, once; lineage knows both; a reversal has it never been', async () => {
    const own = await w.ready();
    const other = await w.ready();
    const [n, m] = [await live(own.id), await live(other.id)];
    const told = setting(own.id, other.id);
    const [outcome] = await Promise.all([1, 2, 3].map(() => must(w.v.post('/records', told))));
    expect(outcome).to.have.property('recordId');
    // three stems are one plant: one came in, three went
    expect([await live(own.id), await live(other.id)]).to.deep.equal([n - 1, m - 1]);
    const { groups: kept } = await groups(own.id);
    expect(kept).to.have.length(1);
    expect(kept[0].joint.seasons.p10).to.be.below(kept[0].joint.seasons.p90);
    expect(kept[0].lookOn > kept[0].madeOn).to.equal(true);
    const { family } = await w.v.get<Lineage>(`/cohorts/${own.id}/lineage`);
    expect(family.placed.map((p) => p.node.id)).to.include(other.id);
    await must(w.v.post(`/records/${told.id}/undo`, { id: id() }));
    expect((await groups(own.id)).groups).to.deep.equal([]);
    // each is back where it came from
    expect([await live(own.id), await live(other.id)]).to.deep.equal([n, m]);
  });

  it('the joint is asked for before it bites; what is seen is kept once and counted by method', async () => {
    const own = await w.ready();
    const told = setting(own.id, own.id, { method: 'overlapped' });
    await must(w.v.post('/records', told));
    const [group] = (await groups(own.id)).groups;
    const watched = async () =>
      (await w.v.get<Round>('/round')).watch.filter((x) => x.cohortId === own.id && x.text.includes('joint'));
    expect(await watched()).to.deep.equal([]);
    for (let week = 0; week < 12 && (await watched()).length === 0; week++)
      await must(w.v.post('/demo/calendar', { id: id(), days: 7 }));
    expect(await watched()).to.have.length(1);
    const look = (more: object = {}) => ({
      id: id(),
      groupId: group.id,
      version: 1,
      outcome: 'joined',
      ...more,
    });
    await refusal(w.v.post('/groups/look', look({ outcome: 'maybe' })), 'outcome');
    await refusal(w.v.post('/groups/look', look({ again: '2037-01-01' })), 'again');
    const both = await Promise.all([look(), look()].map((l) => w.v.post('/groups/look', l)));
    expect(both.map((r) => r.statusCode).sort()).to.deep.equal([200, 409]);
    expect(await watched()).to.deep.equal([]);
    const { results } = await groups(own.id);
    expect(results.find((r) => r.method === 'overlapped')).to.include({ made: 2, joined: 1, failed: 0 });
    expect((await w.v.post('/groups/look', look({ groupId: id() }))).statusCode).to.equal(404);
  });

  it('what cannot be set together is refused by field and reason, and nothing is kept', async () => {
    const own = await w.ready();
    const pine = await w.ready({ taxonId: 'pinus-sylvestris' });
    const n = await live(own.id);
    const bad: [object, string][] = [
      [{ members: [stem('a', own.id)] }, 'fewer than two'],
      [{ members: [stem('a', own.id), stem('a', own.id)], stood: [] }, 'name one stem twice'],
      [{ stood: [] }, 'where each of them stands'],
      [{ stood: ['a', 'b', 'c'].map((x) => ({ id: x, place: 0, turn: 0 })) }, 'two on one place'],
      [{ stood: ['a', 'b', 'c'].map((x, place) => ({ id: x, place, turn: 7 })) }, 'no step of 10'],
      [{ members: 'all' }, 'members'],
      [{ members: [null, null] }, 'members[0]'],
      [
        { members: [stem('a', own.id, { base: 0 }), stem('b', own.id), stem('c', own.id)] },
        'members[0].base',
      ],
      [{ members: [stem('a', own.id), stem('b', own.id), stem('c', pine.id)] }, 'another kind'],
      [{ method: 'glued' }, 'method'],
      [{ join: { lacks: 'root', height: 0, azimuth: 90 } }, 'is of two'],
    ];
    for (const [more, why] of bad) await refusal(w.v.post('/records', setting(own.id, own.id, more)), why);
    await refusal(w.v.post('/records', setting(own.id, own.id, {}, { on: '2039-01-01' })), 'on');
    expect(await live(own.id)).to.equal(n);
    expect((await groups(own.id)).groups).to.deep.equal([]);
    const helper = await b.visitor('helper');
    expect((await helper.post('/records', setting(own.id, own.id))).statusCode).to.equal(403);
  });

  it('a thin stem is joined to a tree where it is said, its joint told by how thick both are there', async () => {
    const tree = await w.ready();
    const whips = await w.ready();
    const join = (more: object = {}, thin: object = {}) =>
      setting(tree.id, whips.id, {
        members: [
          stem('tree', tree.id, { base: 30, height: 800 }),
          stem('thin', whips.id, { base: 7, height: 420, ...thin }),
        ],
        stood: [
          { id: 'tree', place: 0, turn: 0 },
          { id: 'thin', place: 1, turn: 90 },
        ],
        join: { lacks: 'branch', height: 180, azimuth: 100, ...more },
      });
    await refusal(w.v.post('/records', join({ height: 900 })), 'is above the tip, 800 mm');
    await refusal(w.v.post('/records', join({ lacks: 'leaf' })), 'join.lacks');
    await refusal(w.v.post('/records', join({ azimuth: 400 })), 'join.azimuth');
    await refusal(w.v.post('/records', join({}, { height: 200 })), 'is out of reach: 180 mm');
    expect((await groups(tree.id)).groups).to.deep.equal([]);
    await must(w.v.post('/records', join()));
    const [kept] = (await groups(tree.id)).groups;
    expect(kept.join).to.deep.equal({ lacks: 'branch', height: 180, azimuth: 100 });
    expect(await live(whips.id)).to.equal(29);
    expect(await live(tree.id)).to.equal(30);
    // thinner up there than at its base, it has less to grow through
    const low = join({ height: 20 });
    await must(w.v.post('/records', low));
    const [, lower] = (await groups(tree.id)).groups;
    expect(kept.joint.seasons.p50).to.be.below(lower.joint.seasons.p50);
  });

  it('with the step of the course: a plant at a time, open until all are set; undone, the step is as it was', async () => {
    const own = await w.enter(
      { programmeId: 'clump-fused', standsAt: 'fuse', started: 'spring 2036', container: 'cell-60' },
      7,
    );
    const step = await w.step(own.id, 'fuse');
    expect(step.ready).to.equal(true);
    const put = { details: { potting: { container: 'basket-18' } } };
    const told = (finished: boolean) => {
      const sent = setting(own.id, own.id, {}, { stepKey: step.key, done: 1, finished });
      return { ...sent, details: { ...sent.details, ...put.details } };
    };
    const first = told(false);
    await must(w.v.post('/records', first));
    expect(await live(own.id)).to.equal(5);
    expect(await w.step(own.id, 'fuse')).to.include({ status: 'planned', part: 1 });
    const last = told(true);
    await must(w.v.post('/records', last));
    expect(await live(own.id)).to.equal(3);
    const done = await w.step(own.id, 'fuse');
    expect(done.status).to.equal('done');
    // what binds them is looked at before it bites
    const course = await w.course(own.id);
    expect(course.steps.some((s) => s.operation === 'binding-check' && s.chain === 'fuse')).to.equal(true);
    await must(w.v.post(`/records/${last.id}/undo`, { id: id() }));
    expect(await w.step(own.id, 'fuse')).to.include({ status: 'planned', part: 1 });
    expect([await live(own.id), (await groups(own.id)).groups.length]).to.deep.equal([5, 1]);
    // work that sets no stems together takes none
    const other = await w.ready();
    const correct = setting(other.id, other.id, {}, { stepKey: 'correct' });
    await refusal(w.v.post('/records', correct), 'sets no stems together');
  });

  it('many at once out of one batch: no stem is in two groups, and the ledger is their sum', async () => {
    const own = await w.ready();
    const other = await w.ready();
    const sent = Array.from({ length: 12 }, () => setting(own.id, other.id));
    const answers = await Promise.all(sent.map((s) => w.v.post('/records', s)));
    const made = answers.filter((r) => r.statusCode === 200).length;
    expect(made).to.equal(12);
    expect([await live(own.id), await live(other.id)]).to.deep.equal([30 - 12, 30 - 12]);
    for (const s of sent.slice(0, 4)) await must(w.v.post(`/records/${s.id}/undo`, { id: id() }));
    expect([await live(own.id), await live(other.id)]).to.deep.equal([30 - 8, 30 - 8]);
    expect((await groups(own.id)).groups).to.have.length(8);
  });
});

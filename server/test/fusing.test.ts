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
  const setting = (own: string, other: string, more: object = {}) => ({
    id: id(),
    on: '2037-03-09',
    method: 'bound',
    members: [stem('a', own), stem('b', own, { base: 7 }), stem('c', other, { base: 6 })],
    stood: [
      { id: 'a', place: 0, turn: 0 },
      { id: 'b', place: 1, turn: 120 },
      { id: 'c', place: 2, turn: 250 },
    ],
    note: 'curves agree',
    ...more,
  });
  const live = async (cohortId: string) => (await w.cohort(cohortId)).live;
  const groups = (cohortId: string) => w.v.get<PlantGroups>(`/cohorts/${cohortId}/groups`);

  it('out of two cohorts become one plant, once; lineage knows both; a reversal has it never been', async () => {
    const own = await w.ready();
    const other = await w.ready();
    const [n, m] = [await live(own.id), await live(other.id)];
    const told = setting(own.id, other.id);
    const [outcome] = await Promise.all(
      [1, 2, 3].map(() => must(w.v.post(`/cohorts/${own.id}/groups`, told))),
    );
    expect(outcome).to.have.property('recordId');
    // three stems are one plant: one came in, three went
    expect([await live(own.id), await live(other.id)]).to.deep.equal([n - 1, m - 1]);
    const { groups: kept } = await groups(own.id);
    expect(kept).to.have.length(1);
    expect(kept[0].joint.seasons.p10).to.be.below(kept[0].joint.seasons.p90);
    expect(kept[0].lookOn > kept[0].madeOn).to.equal(true);
    const { family } = await w.v.get<Lineage>(`/cohorts/${own.id}/lineage`);
    expect(family.placed.map((p) => p.node.id)).to.include(other.id);
    await must(w.v.post(`/ledger/${told.id}/reverse`, { id: id(), note: 'mistaken' }));
    expect((await groups(own.id)).groups).to.deep.equal([]);
    expect(await live(own.id)).to.equal(n + 1);
  });

  it('the joint is asked for before it bites; what is seen is kept once and counted by method', async () => {
    const own = await w.ready();
    const told = setting(own.id, own.id, { method: 'overlapped' });
    await must(w.v.post(`/cohorts/${own.id}/groups`, told));
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
      [{ on: '2039-01-01' }, 'on'],
    ];
    for (const [more, why] of bad)
      await refusal(w.v.post(`/cohorts/${own.id}/groups`, setting(own.id, own.id, more)), why);
    expect(await live(own.id)).to.equal(n);
    expect((await groups(own.id)).groups).to.deep.equal([]);
    const helper = await b.visitor('helper');
    expect((await helper.post(`/cohorts/${own.id}/groups`, setting(own.id, own.id))).statusCode).to.equal(
      403,
    );
  });
});

import { expect } from 'chai';
import type { CoursePreview } from '@gonimos/contract/cohorts';
import type { Outcome } from '@gonimos/contract/outcome';
import type { SharedPot } from '@gonimos/contract/pots';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('pots that several share', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const pot = (cohortId: string) => w.v.get<SharedPot>(`/cohorts/${cohortId}/pot`);
  /** A host with two guests, all before their first root correction. */
  const tub = async () => {
    const host = await w.ready();
    const guests = [await w.ready({ hostId: host.id }), await w.ready({ hostId: host.id })];
    return { host, guests, all: [host, ...guests] };
  };
  const opened = (cohortId: string, more: object = {}) => ({
    id: id(),
    cohortId,
    stepKey: 'correct',
    on: '2037-03-09',
    ...more,
    details: { potting: { container: 'basket-25' }, ...(more as { details?: object }).details },
  });
  const standing = (ids: string[]) =>
    Promise.all(
      ids.map(async (cohortId) => {
        const c = await w.cohort(cohortId);
        return [c.container, c.host?.id ?? null, (await w.step(cohortId, 'correct')).status];
      }),
    );

  it('says who stands in it, and when one opening does for all', async () => {
    const { host, guests } = await tub();
    const said = await pot(guests[0].id);
    expect(said.members.map((m) => [m.id, m.host])).to.deep.equal([
      [host.id, true],
      ...said.members.slice(1).map((m) => [m.id, false]),
    ]);
    expect(said.members.map((m) => m.id)).to.have.members([host.id, ...guests.map((g) => g.id)]);
    expect(said.opening.kind).to.equal('together');
    expect(said.clump).to.equal(null);
    expect((await pot((await w.ready()).id)).opening).to.deep.equal({ kind: 'none' });
  });

  it('one opening is the opening of all: what each wanted is done, all are in the new pot, all is taken back at once', async () => {
    const { host, guests, all } = await tub();
    const before = await standing(all.map((c) => c.id));
    const record = opened(guests[0].id);
    const out = await must<Outcome>(w.v.post('/records', record));
    expect(await standing(all.map((c) => c.id))).to.deep.equal([
      ['basket-25', null, 'done'],
      ['basket-25', host.id, 'done'],
      ['basket-25', host.id, 'done'],
    ]);
    await must(w.v.post(`/records/${out.recordId}/undo`, { id: id() }));
    expect(await standing(all.map((c) => c.id))).to.deep.equal(before);
  });

  it('parted at the opening each stands in its own, and stands together again when it is taken back', async () => {
    const { host, guests, all } = await tub();
    const record = opened(host.id, { details: { pot: { outcome: 'parted' } } });
    await must(w.v.post('/records', record));
    expect((await standing(all.map((c) => c.id))).map(([, h]) => h)).to.deep.equal([null, null, null]);
    expect((await pot(host.id)).members).to.have.length(1);
    await must(w.v.post(`/records/${record.id}/undo`, { id: id() }));
    expect((await standing(guests.map((c) => c.id))).map(([, h]) => h)).to.deep.equal([host.id, host.id]);
  });

  it('what has grown together is not parted any more', async () => {
    const { host, guests } = await tub();
    await must(w.v.post('/records', opened(guests[1].id, { details: { pot: { outcome: 'clump' } } })));
    expect((await pot(host.id)).clump).to.equal('2037-03-09');
    const other = await w.ready({ hostId: host.id });
    await refusal(
      w.v.post('/records', opened(other.id, { details: { pot: { outcome: 'parted' } } })),
      'they have grown together',
    );
    await refusal(
      w.v.post('/records', opened(other.id, { details: { pot: { outcome: 'thrown away' } } })),
      'details.pot.outcome',
    );
  });

  it('a part of a batch opens nobody else’s pot', async () => {
    const { host, guests } = await tub();
    await must(w.v.post('/records', opened(host.id, { done: 10, finished: false })));
    expect((await w.step(guests[0].id, 'correct')).status).to.equal('planned');
  });

  it('plants that no day suits are told before they are put together', async () => {
    const host = await w.ready();
    const preview = (hostId: string | null) =>
      must<CoursePreview>(
        w.v.post('/calc/course', {
          taxonId: 'acer-campestre',
          programmeId: 'seed-broadleaf',
          placeId: w.placeId('North bench'),
          started: 'spring 2035',
          count: 5,
          standsAt: 'correct',
          // one in spring, the other in autumn in leaf
          schools: { opening: 'autumn' },
          hostId,
        }),
      );
    const codes = async (hostId: string | null) => (await preview(hostId)).remarks.map((r) => r.code);
    expect(await codes(null)).to.not.include('no-common-opening');
    const told = (await preview(host.id)).remarks.find((r) => r.code === 'no-common-opening');
    expect(told?.text).to.match(/this one not before/);
  });
});

import { expect } from 'chai';
import type { BedRoom, FullBed, WinterPlan } from '@gonimos/contract/beds';
import type { CohortRow, CoursePreview } from '@gonimos/contract/cohorts';
import type { CohortCourse } from '@gonimos/contract/course';
import type { PotsProposed } from '@gonimos/contract/fit';
import type { Place } from '@gonimos/contract/nursery';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('room on the benches', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());
  const rooms = () => w.v.get<BedRoom[]>('/beds/room');
  const room = async (name: string) => (await rooms()).find((r) => r.name === name)!;
  const place = async (name: string) => (await w.v.get<Place[]>('/places')).find((p) => p.name === name)!;
  const measured = async (name: string, size: object) => {
    const { cohorts: _, id: placeId, ...p } = await place(name);
    return w.v.put(`/places/${placeId}`, { ...p, id: id(), ...size });
  };

  it('a full bench is told with its months ahead; what nobody measured has no share', async () => {
    const north = await room('North bench');
    expect(north.months).to.have.length(12);
    expect(north.months[0].month).to.equal('2037-03');
    expect(north.cohorts.length).to.be.above(3);
    expect(Math.max(...north.months.slice(0, 4).map((m) => m.share!))).to.be.above(1.05);
    const full = await w.v.get<FullBed[]>('/beds/full');
    expect(full.map((f) => f.name)).to.deep.equal(['North bench']);
    expect(full[0].share).to.equal(north.months.find((m) => m.month === full[0].month)!.share);
    await must(measured('South bench', { length: null, width: null }));
    expect((await room('South bench')).months.every((m) => m.share === null && m.taken > 0)).to.equal(true);
    await refusal(measured('South bench', { length: 5, width: 900 }), 'length');
    await refusal(measured('South bench', { length: 5000, width: 'wide' }), 'width');
    await must(measured('South bench', { length: 9000, width: 1400 }));
  });

  it('potted on, a cohort takes a pot for each plant that is alive, and none for seed that never came up', async () => {
    const rows = await w.v.get<CohortRow[]>('/cohorts');
    const late = rows.filter((r) => r.live > 0 && r.pending > 0 && r.container !== 'seed-flat');
    expect(late.some((r) => r.pending > r.live)).to.equal(true);
    const stand = new Map((await rooms()).flatMap((r) => r.cohorts.map((c) => [c.id, c.plants])));
    expect(late.map((r) => [r.code, stand.get(r.id)])).to.deep.equal(late.map((r) => [r.code, r.live]));
    const flat = rows.find((r) => r.live > 0 && r.pending > 0 && r.container === 'seed-flat')!;
    expect(stand.get(flat.id)).to.equal(flat.live + flat.pending);
  });

  it('a tender kind is not carried out into March by a look either, unless it is meant', async () => {
    const c = await w.ready({ placeId: (await place('Heated house')).id });
    const standing = { placeId: (await place('North bench')).id };
    const out = { id: id(), cohortId: c.id, stepKey: null, on: '2037-03-09', details: { standing } };
    await refusal(w.v.post('/records', out), 'exposure');
    expect((await room('Heated house')).cohorts.map((x) => x.id)).to.include(c.id);
    await must(w.v.post('/records', { ...out, id: id(), meant: true }));
    expect((await room('North bench')).cohorts.map((x) => x.id)).to.include(c.id);
  });

  it('what is moved takes its room along, and gives it back when that is undone', async () => {
    const c = await w.ready({ placeId: (await place('South bench')).id });
    const taken = async (name: string) => (await room(name)).months[0].taken;
    const both = async () => [await taken('South bench'), await taken('North bench')];
    const before = await both();
    const move = {
      id: id(),
      cohortId: c.id,
      stepKey: null,
      on: '2037-03-09',
      details: { standing: { placeId: (await place('North bench')).id } },
    };
    await must(w.v.post('/records', move));
    const after = await both();
    expect(after[0]).to.be.below(before[0]);
    expect(after[1]).to.be.above(before[1]);
    expect((await room('North bench')).cohorts.map((x) => x.id)).to.include(c.id);
    await must(w.v.post(`/records/${move.id}/undo`, { id: id() }));
    expect(await both()).to.deep.equal(before);
  });

  it('before the cold every tender cohort is told where it goes and by when, or that nowhere has room', async () => {
    const tender = await w.ready({ taxonId: 'murraya-paniculata', placeId: (await place('South bench')).id });
    const { moves } = await w.v.get<WinterPlan>('/beds/winter');
    const own = moves.find((m) => m.cohortId === tender.id)!;
    const house = await place('Heated house');
    expect(own.to).to.equal(house.id);
    const { steps } = await w.v.get<CohortCourse>(`/cohorts/${tender.id}/course`);
    expect(steps.some((s) => s.status === 'planned' && s.closes === own.by)).to.equal(true);
    for (let i = 1; i < moves.length; i++) expect(moves[i].by >= moves[i - 1].by).to.equal(true);
    // a house as small as a stool has no room for it
    await must(measured('Heated house', { length: 300, width: 300 }));
    const after = (await w.v.get<WinterPlan>('/beds/winter')).moves.find((m) => m.cohortId === tender.id)!;
    expect(after.to).to.equal(null);
    expect(after.why).to.contain('no room');
  });

  it('a cohort is told which pots suit it next, and what stands for years is asked before it is entered', async () => {
    const c = await w.ready();
    const { pots } = await w.v.get<PotsProposed>(`/cohorts/${c.id}/pots`);
    expect(pots).to.have.length(3);
    expect(pots.every((p) => p.verdict !== 'refused' && p.reasons.length > 0)).to.equal(true);
    expect((await w.v.send('GET', `/api/cohorts/${id()}/pots`)).statusCode).to.equal(404);
    const asked = {
      taxonId: 'acer-campestre',
      programmeId: 'seed-broadleaf',
      placeId: c.placeId,
      started: 'spring 2035',
      count: 30,
      container: 'seed-flat',
      standsAt: 'correct',
      schools: {},
    };
    const { remarks } = await must<CoursePreview>(w.v.post('/calc/course', asked));
    expect(remarks.map((r) => r.code)).to.include('pot-proposed');
  });
});

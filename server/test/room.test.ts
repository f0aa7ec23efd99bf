import { expect } from 'chai';
import type { BedRoom, FullBed } from '@gonimos/contract/beds';
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
});

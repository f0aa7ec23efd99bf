import { expect } from 'chai';
import type { StemBench } from '@gonimos/contract/stem-records';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

const part = (name: string, height: number, more: object = {}) => ({
  id: name,
  kind: 'branch',
  height,
  azimuth: 90,
  diameter: 6,
  ...more,
});
const record = (more: object = {}) => ({
  base: 24,
  height: 700,
  front: 180,
  parts: [part('a', 120), part('b', 200, { kind: 'bud', diameter: 0 })],
  ...more,
});

describe('stem records', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let cohortId: string;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    cohortId = (await w.ready()).id;
  });
  after(() => b.close());

  const drawn = (more: object = {}) => ({
    id: id(),
    cohortId,
    on: '2037-03-09',
    record: record(),
    decided: {},
    ...more,
  });
  const read = () => w.v.get<StemBench>(`/cohorts/${cohortId}/stem`);

  it('keeps a stem once however often it is sent, changes it for whoever saw it last, takes it back', async () => {
    const first = drawn({ label: 'third of tray 2', decided: { finished: 300, cutAt: 124 } });
    await Promise.all([1, 2, 3].map(() => must(w.v.post('/stem-records', first))));
    const { records, start, way, wounds } = await read();
    expect(records).to.have.length(1);
    expect(records[0]).to.include({ label: 'third of tray 2', version: 1 });
    expect(records[0].decided).to.include({ finished: 300, style: 'usual', way: null, cutAt: 124 });
    expect(records[0].record.parts[1]).to.include({ kind: 'bud', since: null, foliage: null, note: '' });
    expect([way, wounds]).to.deep.equal(['staged', 'by-kind']);
    expect(start.caliper).to.be.above(0);
    const change = (version: number) => {
      const { cohortId: _c, ...sent } = drawn({ label: 'seen again' });
      return w.v.put(`/stem-records/${first.id}`, { ...sent, version });
    };
    // two at once: one of them is first, the other is told
    const both = await Promise.all([change(1), change(1)]);
    expect(both.map((r) => r.statusCode).toSorted()).to.deep.equal([200, 409]);
    await must(w.v.post(`/stem-records/${first.id}/withdraw`, { id: id(), version: 2 }));
    expect((await read()).records).to.deep.equal([]);
    expect((await change(3)).statusCode).to.equal(404);
  });

  it('refuses what cannot be a stem, by field and reason, and keeps nothing', async () => {
    const faults: [object, string][] = [
      [{ base: 0 }, 'record.base'],
      [{ height: 9_000_000 }, 'record.height'],
      [{ front: 400 }, 'record.front'],
      [{ parts: [part('a', 900)] }, 'parts[0].height'],
      [{ parts: [part('a', -3)] }, 'parts[0].height'],
      [{ parts: [part('a', 100, { kind: 'toString' })] }, 'parts[0].kind'],
      [{ parts: [part('a', 100, { kind: 'bud' })] }, 'is 0 for a bud'],
      [{ parts: [part('a', 100, { diameter: 0 })] }, 'parts[0].diameter'],
      [{ parts: [part('a', 100, { foliage: 0.5 })] }, 'sacrifices alone'],
      [{ parts: [part('a', 100), part('a', 120)] }, 'name one part twice'],
      [{ parts: [null] }, 'parts[0]'],
      [{ parts: 'all' }, 'record.parts'],
      [{ girths: [{ at: 700, mm: 4 }] }, 'girths[0].at'],
      [{ girths: [{ at: 100, mm: 90 }] }, 'girths[0].mm'],
      [{ parts: Array.from({ length: 90 }, (_, i) => part(`p${i}`, i + 1)) }, 'at most 80 parts'],
    ];
    for (const [more, why] of faults)
      await refusal(w.v.post('/stem-records', drawn({ record: record(more) })), why);
    await refusal(w.v.post('/stem-records', drawn({ on: '2099-01-01' })), 'on');
    await refusal(w.v.post('/stem-records', drawn({ decided: { finished: 3 } })), 'decided.finished');
    await refusal(w.v.post('/stem-records', drawn({ decided: { way: 'axe' } })), 'decided.way');
    expect((await w.v.post('/stem-records', drawn({ cohortId: id() }))).statusCode).to.equal(404);
    expect((await read()).records).to.deep.equal([]);
  });
});

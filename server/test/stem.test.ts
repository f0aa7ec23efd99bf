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

  it('an old drawing without what is asked today is read, changed, and stands beside the roots of its plant', async () => {
    const old = drawn({
      label: 'no. 1',
      record: record({ parts: [part('s', 60, { kind: 'sacrifice', since: '2036-05-01', foliage: 0.5 })] }),
    });
    await must(w.v.post('/stem-records', old));
    // as it was kept before whom it feeds was asked
    await b.db.raw(`UPDATE stem_record SET record = record #- '{parts,0,feeds}' WHERE id = '${old.id}'`);
    const before = await read();
    expect(before.records[0].record.parts[0]).not.to.have.property('feeds');
    expect(before.roots).to.deep.equal([]);
    const root = (name: string, azimuth: number) => ({
      id: name,
      azimuth,
      diameter: 5,
      height: 0,
      angle: 5,
      path: [{ azimuth, out: 40 }],
    });
    const roots = {
      id: id(),
      cohortId,
      label: 'no. 1',
      on: '2037-03-08',
      record: { trunk: 24, front: 180, roots: [root('a', 90), root('b', 250)] },
      decided: {},
    };
    await must(w.v.post('/root-records', roots));
    const [change] = before.records;
    const parts = [{ ...change.record.parts[0], feeds: 'roots' }];
    const sent = {
      version: change.version,
      label: change.label,
      on: change.on,
      decided: change.decided,
      note: '',
    };
    await must(w.v.put(`/stem-records/${old.id}`, { ...sent, record: { ...change.record, parts } }));
    const after = await read();
    expect(after.records[0].record.parts[0].feeds).to.equal('roots');
    const [{ label, on, record: of, lean }] = after.roots;
    expect([after.roots.length, label, on, lean]).to.deep.equal([1, 'no. 1', '2037-03-08', null]);
    expect(of.roots.map((r) => [r.azimuth, r.diameter])).to.deep.equal([
      [90, 5],
      [250, 5],
    ]);
    await refusal(
      w.v.post('/stem-records', drawn({ record: record({ parts: [part('a', 60, { feeds: 'roots' })] }) })),
      'sacrifices alone',
    );
  });

  it('what broke after a cut is counted, learned by kind, refused where it cannot be, and taken back', async () => {
    const elms = () =>
      w.enter(
        { taxonId: 'ulmus-minor', standsAt: 'chop', started: 'spring 2031', container: 'basket-25' },
        12,
      );
    const [cut, other] = [await elms(), await elms()];
    const maple = await w.ready({ taxonId: 'acer-campestre' });
    const maples = (await w.v.get<StemBench>(`/cohorts/${maple.id}/stem`)).sprouts;
    const bench = (of: string) => w.v.get<StemBench>(`/cohorts/${of}/stem`);
    expect((await bench(other.id)).sprouts).to.include({ own: null, stems: 0 });
    await must(w.v.post('/records', { id: id(), cohortId: cut.id, stepKey: 'chop', on: '2037-03-08' }));
    const choice = (await w.course(cut.id)).steps.find((s) => s.operation === 'shoot-choice')!;
    const look = (sprouts: object) => ({
      id: id(),
      cohortId: cut.id,
      stepKey: choice.key,
      on: '2037-03-09',
      details: { sprouts },
    });
    await refusal(w.v.post('/records', look({ cut: 13, broke: 4 })), 'details.sprouts.cut');
    await refusal(w.v.post('/records', look({ cut: 10, broke: 11 })), 'more that broke than were cut');
    await refusal(w.v.post('/records', look({ cut: 10, broke: 5, shoots: 4 })), 'fewer shoots');
    await refusal(w.v.post('/records', look({ broke: 5 })), 'details.sprouts.cut');
    await refusal(w.v.post('/records', look({ cut: 0, broke: 0 })), 'below 1');
    const told = look({ cut: 10, broke: 4, shoots: 12 });
    const [first, again] = await Promise.all([1, 2].map(() => must(w.v.post('/records', told))));
    expect(again).to.deep.equal(first);
    // by hand: (12 · 0.9 + 5.263 · 0.4) ÷ 17.263, for every cohort of the kind and no other
    const { sprouts } = await bench(other.id);
    expect(sprouts.mean).to.be.closeTo(0.7476, 1e-4);
    expect(sprouts).to.include({ shoots: 3, stems: 10, batches: 1 });
    expect((await bench(maple.id)).sprouts).to.deep.equal(maples);
    await must(w.v.post(`/records/${told.id}/undo`, { id: id() }));
    expect((await bench(other.id)).sprouts.mean).to.be.closeTo(0.9, 1e-9);
  });
});

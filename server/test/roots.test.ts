import { execFileSync } from 'node:child_process';
import { expect } from 'chai';
import type { Outcome } from '@gonimos/contract/outcome';
import type { RootBench } from '@gonimos/contract/root-records';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

const root = (name: string, azimuth: number, more: object = {}) => ({
  id: name,
  azimuth,
  diameter: 4,
  height: 0,
  angle: 5,
  path: [{ azimuth, out: 60 }],
  ...more,
});
const record = (more: object = {}) => ({
  trunk: 30,
  front: 180,
  roots: [root('a', 10), root('b', 130), root('c', 250)],
  ...more,
});

describe('root records', () => {
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
  const read = (of = cohortId) => w.v.get<RootBench>(`/cohorts/${of}/roots`);
  const change = (of: string, version: number, more: object = {}) => {
    const { cohortId: _c, ...sent } = drawn(more);
    return w.v.put(`/root-records/${of}`, { ...sent, version });
  };

  it('keeps a drawing once however often it is sent, changes it for whoever saw it last, takes it back', async () => {
    const first = drawn({ label: 'tray 2, third' });
    await Promise.all([1, 2, 3].map(() => must(w.v.post('/root-records', first))));
    const [row] = (await read()).records;
    expect(row).to.include({ label: 'tray 2, third', on: '2037-03-09', version: 1 });
    // what was left out stands as it is meant
    expect(row.record.roots[0]).to.deep.include({ fibre: null, forks: [], faults: [], note: '' });
    await must(change(first.id, 1, { label: 'seen again', record: record({ trunk: 33 }) }));
    const late = await change(first.id, 1, { label: 'too late' });
    expect(late.statusCode).to.equal(409);
    expect(late.body).to.contain('seen again');
    const [now] = (await read()).records;
    expect([now.label, now.record.trunk, now.version]).to.deep.equal(['seen again', 33, 2]);
    await must(w.v.post(`/root-records/${first.id}/withdraw`, { id: id(), version: 2 }));
    expect((await read()).records).to.have.length(0);
    expect((await change(first.id, 3)).statusCode).to.equal(404);
  });

  it('a kept drawing has its card on paper, which says what the plan says, in the reader’s units', async () => {
    const roots = [root('a', 0, { faults: ['dead'] }), root('b', 120), root('c', 240, { diameter: 9 })];
    const kept = drawn({ label: 'Łódź tray', record: record({ roots }) });
    await must(w.v.post('/root-records', kept));
    const card = (more = '') => w.v.send('GET', `/api/cohorts/${cohortId}/roots/${kept.id}/card${more}`);
    const answer = await card();
    expect([answer.statusCode, answer.headers['content-type']]).to.deep.equal([200, 'application/pdf']);
    // read by poppler, which knows nothing of how it was made
    const said = (pdf: Buffer) =>
      execFileSync('pdftotext', ['-layout', '-', '-'], { input: pdf, encoding: 'utf8' });
    const text = said(answer.rawPayload);
    for (const words of ['Łódź tray', '9 Mar 2037', 'a: Remove the root at 0°, 4 mm', 'dead', 'Local rules'])
      expect(text).to.contain(words);
    expect(text.indexOf('a: Remove')).to.be.above(text.indexOf('In this order'));
    await must(w.v.put('/session/units', { id: id(), units: 'US' }));
    expect(said((await card()).rawPayload)).to.match(/root at 0°, 0\.1\d* in/);
    await must(w.v.put('/session/units', { id: id(), units: 'metric' }));
    expect((await card('?paper=A0')).statusCode).to.equal(400);
    expect((await w.v.send('GET', `/api/cohorts/${id()}/roots/${kept.id}/card`)).statusCode).to.equal(404);
    await must(w.v.post(`/root-records/${kept.id}/withdraw`, { id: id(), version: 1 }));
    expect((await card()).statusCode).to.equal(404);
  });

  it('refuses what cannot be a root, by field and reason, and keeps nothing', async () => {
    const faults: [object, string][] = [
      [{ trunk: 0 }, 'record.trunk'],
      [{ trunk: 'NaN' }, 'record.trunk'],
      [{ front: 400 }, 'record.front'],
      [{ roots: [root('a', 400)] }, 'roots[0].azimuth'],
      [{ roots: [root('a', 10, { diameter: -3 })] }, 'roots[0].diameter'],
      [{ roots: [root('a', 10, { diameter: 0 })] }, 'roots[0].diameter'],
      [{ roots: [root('a', 10, { path: [] })] }, 'roots[0].path'],
      [{ roots: [null] }, 'roots[0]'],
      [{ roots: [root('a', 10, { path: [null] })] }, 'roots[0].path[0]'],
      [{ roots: 'all of them' }, 'record.roots'],
      [{ roots: [root('a', 10, { path: [{ azimuth: 10, out: 9 }] })] }, 'inside of the trunk'],
      [{ roots: [root('a', 10, { faults: ['toString'] })] }, 'roots[0].faults'],
      [{ roots: [root('a', 10), root('a', 90)] }, 'name one root twice'],
      [{ roots: Array.from({ length: 500 }, (_, i) => root(`r${i}`, i % 360)) }, 'at most 60 roots'],
      [
        {
          roots: [
            root('a', 0, {
              path: [
                { azimuth: 0, out: 60 },
                { azimuth: 60, out: 60 },
                { azimuth: 350, out: 30 },
                { azimuth: 340, out: 50 },
              ],
            }),
          ],
        },
        'runs over itself',
      ],
    ];
    for (const [more, why] of faults)
      await refusal(w.v.post('/root-records', drawn({ record: record(more) })), why);
    await refusal(w.v.post('/root-records', drawn({ on: '2099-01-01' })), 'on');
    const decided = { overruled: [{ root: 'a', action: 'burn' }] };
    await refusal(w.v.post('/root-records', drawn({ decided })), 'decided.overruled[0].action');
    expect((await w.v.post('/root-records', drawn({ cohortId: id() }))).statusCode).to.equal(404);
    expect((await read()).records).to.have.length(0);
  });

  it('what went is what the reserve loses, what was left is read at the next opening, all is taken back', async () => {
    const one = await w.ready();
    const other = await w.ready();
    const before = await read(one.id);
    expect(before.step?.key).to.equal('correct');
    expect(before.limit.share).to.be.within(0.2, 0.8);
    const done = (c: { id: string }, took: number) => ({
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      details: {
        potting: { container: 'basket-25' },
        roots: { took, left: ['Shorten the root at 300°, 9 mm'], classes: { A: 3, B: 2, C: 1 } },
      },
    });
    const light = done(one, 0.1);
    await must<Outcome>(w.v.post('/records', light));
    await must<Outcome>(w.v.post('/records', done(other, 0.78)));
    const [little, much] = [await read(one.id), await read(other.id)];
    expect(little.left).to.deep.equal({ on: '2037-03-09', lines: ['Shorten the root at 300°, 9 mm'] });
    expect(little.classed.map((c) => [c.A, c.B, c.C])).to.deep.equal([[3, 2, 1]]);
    expect(little.step!.opens <= much.step!.opens).to.equal(true);
    await must(w.v.post(`/records/${light.id}/undo`, { id: id() }));
    const back = await read(one.id);
    expect([back.left, back.classed, back.limit.share]).to.deep.equal([null, [], before.limit.share]);
  });

  it('is refused where it is no root work, of plants there are not, or by a drawing of others', async () => {
    const c = await w.ready();
    const look = (roots: object, stepKey: string | null = null) => ({
      id: id(),
      cohortId: c.id,
      stepKey,
      on: '2037-03-09',
      details: { roots },
    });
    await refusal(w.v.post('/records', look({ took: 0.4 })), 'details.roots.took');
    await refusal(w.v.post('/records', look({ took: 1.4 })), 'details.roots.took');
    await refusal(w.v.post('/records', look({ classes: { A: 90_000 } })), 'details.roots.classes');
    await refusal(w.v.post('/records', look({ drawnId: id() })), 'details.roots.drawnId');
  });
});

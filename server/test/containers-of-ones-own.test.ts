import { expect } from 'chai';
import type { OwnLibrary } from '@gonimos/contract/own';
import type { StockRow } from '@gonimos/contract/stock';
import { container, holdContainers } from '@gonimos/core/containers';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('containers of one’s own', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => {
    holdContainers([]);
    return b.close();
  });
  const crock = (more: object = {}, edit: object = {}) => ({
    id: id(),
    ownId: 'own-crock',
    like: 'clay-15',
    basedOn: 0,
    edit: {
      name: 'old crock',
      wall: 'porous',
      shape: 'round',
      rim: [240, 240],
      base: [180, 180],
      depth: 200,
      shared: false,
      ...edit,
    },
    ...more,
  });

  it('kept once, counted on the shelf, potted into and taken back; a next version holds other litres', async () => {
    const first = crock();
    await Promise.all([1, 2, 3].map(() => must(w.v.post('/own-containers', first))));
    const own = (await w.v.get<OwnLibrary>('/own-library')).own.filter((o) => o.kind === 'container');
    expect(own.map((o) => [o.id, o.version])).to.deep.equal([['own-crock', 1]]);
    await must(w.v.put('/stock', { id: id(), container: 'own-crock', version: 0, counted: 40 }));
    const have = async () =>
      (await w.v.get<StockRow[]>('/stock')).find((s) => s.container === 'own-crock')!.have;
    const c = await w.ready();
    const potted = {
      id: id(),
      cohortId: c.id,
      stepKey: 'correct',
      on: '2037-03-09',
      details: { potting: { container: 'own-crock' } },
    };
    await must(w.v.post('/records', potted));
    expect((await w.cohort(c.id)).container).to.equal('own-crock');
    expect(await have()).to.equal(10);
    await must(w.v.post(`/records/${potted.id}/undo`, { id: id() }));
    expect(await have()).to.equal(40);
    const litres = container('own-crock').litres;
    const both = await Promise.all(
      [1, 2].map(() => w.v.post('/own-containers', crock({ id: id(), basedOn: 1 }, { depth: 260 }))),
    );
    expect(both.map((r) => r.statusCode).toSorted()).to.deep.equal([200, 409]);
    await w.v.get('/stock');
    expect(container('own-crock').litres).to.be.above(litres);
  });

  it('what cannot be a container is refused by field and reason, and nothing is kept', async () => {
    const faults: [object, object, string][] = [
      [{}, { base: [900, 900] }, 'base[0] is more than three times the rim'],
      [{}, { depth: 0 }, 'edit.depth'],
      [{}, { rim: [240] }, 'edit.rim'],
      [{}, { rim: [240, -3] }, 'edit.rim[1]'],
      [{}, { rim: [240, 200] }, 'edit.rim[1]'],
      [{}, { rim: 'wide' }, 'edit.rim'],
      [{}, { wall: 'ground' }, 'edit.wall'],
      [{}, { wall: 'toString' }, 'edit.wall'],
      [{}, { name: 'pot 13 cm' }, 'name is the name of another'],
      [{ ownId: 'basket-18' }, {}, 'ownId'],
      [{ ownId: '../up' }, {}, 'ownId'],
    ];
    for (const [more, edit, why] of faults)
      await refusal(w.v.post('/own-containers', crock({ ownId: 'own-bad', ...more }, edit)), why);
    const helper = await b.visitor('helper');
    expect((await helper.post('/own-containers', crock({ ownId: 'own-bad' }))).statusCode).to.equal(403);
    const own = (await w.v.get<OwnLibrary>('/own-library')).own;
    expect(own.filter((o) => o.kind === 'container')).to.have.length(1);
    expect(
      (
        await w.v.post('/records', {
          id: id(),
          cohortId: (await w.ready()).id,
          stepKey: 'correct',
          on: '2037-03-09',
          details: { potting: { container: 'own-bad' } },
        })
      ).statusCode,
    ).to.equal(400);
  });

  it('colour and finish are kept with it, asked for in words that are known', async () => {
    const bowl = (look: unknown, basedOn = 0) =>
      crock({ ownId: 'own-bowl', basedOn }, { name: 'blue bowl', depth: 50, look });
    await refusal(w.v.post('/own-containers', bowl({ colour: '', finish: 'glazed' })), 'edit.look.colour');
    await refusal(w.v.post('/own-containers', bowl({ colour: 'blue', finish: 'shiny' })), 'edit.look.finish');
    await refusal(w.v.post('/own-containers', bowl('blue')), 'edit.look');
    await must(w.v.post('/own-containers', bowl({ colour: 'deep blue', finish: 'glazed' })));
    await w.v.get('/stock');
    expect(container('own-bowl').look).to.deep.equal({ colour: 'deep blue', finish: 'glazed' });
  });
});

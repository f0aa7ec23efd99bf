import { expect } from 'chai';
import type { LayerPlan, ParentLayers } from '@gonimos/contract/layers';
import type { CohortCourse, PlanChange } from '@gonimos/contract/course';
import type { Meanwhile } from '@gonimos/contract/meanwhile';
import type { PutOffAnswer } from '@gonimos/contract/moves';
import type { Lineage } from '@gonimos/contract/lineage';
import type { Outcome } from '@gonimos/contract/outcome';
import { bench, id, must, drawnLayer, refusal, workshop, type Bench, type Visitor } from './harness.ts';

describe('air layers', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  let v: Visitor;
  before(async () => {
    b = await bench();
    w = await workshop(b);
    v = w.v;
  });
  after(() => b.close());

  const cohort: typeof w.cohort = (...a) => w.cohort(...a);
  const event = (layerId: string, kind: string, on: string, more = {}) =>
    v.post(`/layers/${layerId}/events`, { id: id(), kind, on, note: '', ...more });

  it('plans what to cut, and says what is wrong before anything is cut', async () => {
    const p = (await w.parent()).id;
    const bad = [drawnLayer({ keeps: 0 }), drawnLayer({ height: 1360, diameter: 22, branches: 0 })];
    const plan = await must<LayerPlan>(v.post(`/parents/${p}/plan`, { on: '2036-06-05', layers: bad }));
    // 20 mm through: girth 62.8 mm by hand, ring one and a quarter stems
    expect(plan.cuts[0]).to.include({ girth: 63, ring: 25 });
    expect(plan.faults.map((f) => f.text).join(' ')).to.match(/no live branch above.*|only 40 mm below/);
    expect(plan.cuts[0].decision.text).to.match(/Not full yet|One filling only/);
  });

  it('goes from ring to pot with its own ledger: short roots wrapped again, opened once, severed, wound sealed', async () => {
    const p = (await w.parent()).id;
    const top = drawnLayer();
    const low = drawnLayer({ height: 700, diameter: 26 });
    await must(v.post(`/parents/${p}/layers`, { id: id(), on: '2036-06-01', layers: [top, low] }));
    expect(await cohort(top.id)).to.include({ live: 0, pending: 1, parentId: p });
    await refusal(event(top.id, 'wound-sealed', '2036-07-01'), 'kind');
    await must(event(top.id, 'looked', '2036-07-15', { found: 'few' }));
    await must(event(top.id, 'looked', '2036-08-01', { found: 'full' }));
    await must(event(top.id, 'opened', '2036-08-02'));
    // opened and wrapped again, nobody has seen the second filling
    const unseen = event(top.id, 'severed', '2036-09-20', { container: 'basket-25' });
    await refusal(unseen, 'look under the film first');
    await refusal(event(top.id, 'severed', '2036-09-20', { found: 'full' }), 'container');
    const out = await must<Outcome>(
      event(top.id, 'severed', '2036-09-20', {
        container: 'basket-25',
        placeId: w.placeId('North bench'),
        found: 'filling',
      }),
    );
    expect([out.live, out.pending]).to.deep.equal([1, 0]);
    expect(await cohort(top.id)).to.include({
      container: 'basket-25',
      placeId: w.placeId('North bench'),
    });
    expect((await w.step(top.id, 'sever')).status).to.equal('done');
    await must(event(top.id, 'wound-sealed', '2036-10-01'));
    // recorded from the course instead, where one filling is the school, and taken back: the layer hangs again
    await w.schools({ layer: 'single' });
    const cut = {
      id: id(),
      cohortId: low.id,
      stepKey: 'sever',
      on: '2036-10-01',
      details: { potting: { container: 'basket-25' } },
    };
    await refusal(v.post('/records', cut), 'details.layer.found');
    await must(
      v.post('/records', {
        ...cut,
        details: {
          ...cut.details,
          layer: { found: 'few' },
          standing: { placeId: w.placeId('North bench') },
        },
      }),
    );
    const stage = async () =>
      (await v.get<ParentLayers>(`/parents/${p}/layers`)).layers.find((x) => x.cohortId === low.id)!.state
        .stage;
    expect([await stage(), (await cohort(low.id)).live]).to.deep.equal(['severed', 1]);
    await must(v.post(`/records/${cut.id}/undo`, { id: id() }));
    expect([await stage(), (await cohort(low.id)).pending]).to.deep.equal(['rooting', 1]);
    await must(event(low.id, 'failed', '2036-10-02', { found: 'dry' }));
    expect(await cohort(low.id)).to.include({ live: 0, pending: 0 });
    const page = await v.get<ParentLayers>(`/parents/${p}/layers`);
    expect(page.layers.map((l) => l.state.stage)).to.deep.equal(['severed', 'failed']);
    expect(page.layers[0].decision!.text).to.not.equal('');
    const family = (await v.get<Lineage>(`/cohorts/${p}/lineage`)).family;
    expect(family.edges.map((e) => [e.kind, e.k, e.n])).to.have.deep.members([
      ['layer', 1, 1],
      ['layer', 0, 1],
    ]);
  });

  it('whose opening is put off past its cut-off: told before, told with it, kept among what moved; severed as a single one', async () => {
    await w.schools({ layer: 'by-date' });
    const p = (await w.parent()).id;
    const one = drawnLayer();
    await must(v.post(`/parents/${p}/layers`, { id: id(), on: '2036-08-12', layers: [one] }));
    await must(event(one.id, 'looked', '2036-10-20', { found: 'few' }));
    await must(w.owner.put('/meanwhile', {}));
    await must(w.owner.post('/demo/calendar', { id: id(), days: 1 }));
    const open = await w.step(one.id, 'open');
    expect(open.opens).to.match(/^2037-0[45]/);
    const ask = { cohortId: one.id, stepKey: 'open', until: '2037-09-20' };
    const cost = await must<PutOffAnswer>(v.post('/calc/put-off', ask));
    expect([cost.past, cost.lands, cost.change.removed.map((s) => s.key)]).to.deep.equal([
      true,
      null,
      ['open'],
    ]);
    const { moved } = await must<Outcome>(v.post('/put-offs', { ...ask, id: id(), reason: 'no time' }));
    const fell = moved.find((m) => m.key === 'open')!;
    expect(fell.was).to.deep.equal({ opens: open.opens, closes: open.closes });
    expect([fell.now.opens, fell.because?.rule]).to.deep.equal([null, 'layer cut-off']);
    expect(fell.because!.text).to.match(/2037-09-20.*sever it as a single layer/);
    const [kept] = (await v.get<PlanChange[]>(`/cohorts/${one.id}/changes`)).filter((c) => c.key === 'open');
    expect([kept.wasOpens, kept.nowOpens, kept.because!.rule]).to.deep.equal([
      open.opens,
      null,
      'layer cut-off',
    ]);
    const { moved: meanwhile } = await w.owner.get<Meanwhile>('/meanwhile');
    const told = meanwhile.find((m) => m.cohortId === one.id && m.key === 'open');
    expect(told).to.include({ title: open.title, was: open.opens, now: null });
    const { steps } = await v.get<CohortCourse>(`/cohorts/${one.id}/course`);
    expect(steps.map((s) => s.key))
      .to.include('sever')
      .and.not.include('open');
    // told once, not with everything that is said of it afterwards
    const again = await must<Outcome>(event(one.id, 'looked', '2037-03-01', { found: 'few' }));
    expect(again.moved.filter((m) => m.key === 'open')).to.deep.equal([]);
  });

  it('when its base is split goes with the severing, and comes back with it', async () => {
    const p = (await w.parent()).id;
    const one = drawnLayer();
    await must(v.post(`/parents/${p}/layers`, { id: id(), on: '2036-06-01', layers: [one] }));
    const sever = (split: boolean) =>
      must<Outcome>(
        event(one.id, 'severed', '2036-09-20', {
          container: 'basket-25',
          placeId: w.placeId('North bench'),
          found: 'full',
          split,
        }),
      );
    const splits = async () =>
      (await w.course(one.id)).steps.filter((s) => s.operation === 'base-split').map((s) => s.key);
    const before = await splits();
    expect(before).to.deep.equal(['split']);
    const { recordId } = await sever(true);
    expect(await splits()).to.deep.equal(['split-now']);
    await must(v.post(`/records/${recordId}/undo`, { id: id() }));
    expect(await splits()).to.deep.equal(before);
    await sever(false);
    expect(await splits()).to.deep.equal(['split']);
  });

  it('a severing under a wound that was sealed since is not taken back before it; one that was, in an old database, breaks nothing', async () => {
    const p = (await w.parent()).id;
    const one = drawnLayer();
    await must(v.post(`/parents/${p}/layers`, { id: id(), on: '2036-06-01', layers: [one] }));
    const severed = await must<Outcome>(
      event(one.id, 'severed', '2036-09-20', {
        container: 'basket-25',
        placeId: w.placeId('North bench'),
        found: 'full',
      }),
    );
    const sealed = await must<Outcome>(event(one.id, 'wound-sealed', '2036-10-01'));
    const undo = (recordId: string) => v.post(`/records/${recordId}/undo`, { id: id() });
    await refusal(undo(severed.recordId), 'wound-sealed');
    const readable = async () => {
      for (const url of [`/cohorts/${one.id}/course`, `/cohorts/${one.id}/trunk`, `/parents/${p}/layers`])
        expect((await v.send('GET', `/api${url}`)).statusCode, url).to.equal(200);
      expect((await v.post('/calc/schools', {})).statusCode).to.equal(200);
    };
    await readable();
    // in an order that holds it goes
    await must(undo(sealed.recordId));
    await must(undo(severed.recordId));
    await readable();
    // as it could be written before this was refused
    await b
      .db('layer_event')
      .insert({ id: id(), cohortId: one.id, kind: 'wound-sealed', onDate: '2036-10-02' });
    await readable();
    await must(event(one.id, 'looked', '2036-10-03', { found: 'full' }));
  });
});

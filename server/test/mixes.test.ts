import { expect } from 'chai';
import fc from 'fast-check';
import type { Mixes } from '@gonimos/contract/mixes';
import { blendOf, libraryRecipe } from '@gonimos/core/mixes';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('mixes and their bins', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const shed = () => w.v.get<Mixes>('/mixes');
  const have = async (component: string) => (await shed()).stock.find((s) => s.component === component)!.have;
  const count = async (component: string, counted: number) => {
    const { version } = (await shed()).stock.find((s) => s.component === component)!;
    await must(w.v.put('/mix-stock', { id: id(), component, version, counted }));
  };
  const own = (more: object = {}) => ({
    id: id(),
    mixId: 'gravel-mix',
    version: 0,
    name: 'gravel mix',
    parts: [
      { component: 'grit', parts: 3 },
      { component: 'lava', parts: 1 },
    ],
    ...more,
  });
  const correcting = (cohortId: string, more: object = {}) => ({
    id: id(),
    cohortId,
    stepKey: 'correct',
    on: '2037-03-09',
    details: { potting: { container: 'pot-9' }, mix: { mix: 'gravel-mix', litres: 40 } },
    ...more,
  });

  it('a mix of one’s own is kept once, changed by whoever saw it last, and stands among the library’s', async () => {
    const first = own();
    await Promise.all([1, 2, 3].map(() => must(w.v.put('/mixes', first))));
    const mine = async () => (await shed()).mixes.find((m) => m.id === 'gravel-mix')!;
    expect(await mine()).to.include({ name: 'gravel mix', own: true, version: 1, drain: null });
    const tested = { drain: { depth: 120, air: 0.3 }, version: 1 };
    const both = await Promise.all([own(tested), own(tested)].map((m) => w.v.put('/mixes', m)));
    expect(both.map((r) => r.statusCode).toSorted()).to.deep.equal([200, 409]);
    expect((await mine()).drain).to.deep.equal({ depth: 120, air: 0.3 });
    // of one of the library, what was found here is kept beside it
    const lean = (await shed()).mixes.find((m) => m.id === 'lean')!;
    expect(lean.own).to.equal(false);
    const { name, parts, version } = lean;
    const found = { id: id(), mixId: 'lean', name, parts, version, drain: { depth: 150, air: 0.2 } };
    await must(w.v.put('/mixes', found));
    expect((await shed()).mixes.filter((m) => m.id === 'lean')).to.have.length(1);
    const helper = await b.visitor('helper');
    expect((await helper.put('/mixes', own({ mixId: 'x' }))).statusCode).to.equal(403);
  });

  it('what cannot be a mix or a count is refused by field and reason', async () => {
    const faults: [object, string][] = [
      [{ parts: [] }, 'sum to 0'],
      [{ parts: [{ component: 'grit', parts: 0 }] }, 'parts[0].parts'],
      [{ parts: [{ component: 'toString', parts: 1 }] }, 'parts[0].component'],
      [
        {
          parts: [
            { component: 'grit', parts: 1 },
            { component: 'grit', parts: 2 },
          ],
        },
        'named twice',
      ],
      [{ parts: 'all' }, 'parts'],
      [{ parts: [null] }, 'parts[0]'],
      [{ drain: { depth: 0, air: 0.2 } }, 'drain.depth'],
      [{ drain: { depth: 120, air: 20 } }, 'drain.air'],
      [{ mixId: '../x' }, 'mixId'],
      [{ name: '' }, 'name'],
    ];
    for (const [more, why] of faults) await refusal(w.v.put('/mixes', own({ mixId: 'bad', ...more })), why);
    const counting = { id: id(), component: 'grit', version: 0, counted: 10 };
    await refusal(w.v.put('/mix-stock', { ...counting, component: 'gold' }), 'component');
    await refusal(w.v.put('/mix-stock', { ...counting, counted: -1 }), 'counted');
    const c = await w.ready();
    const told = (mix: object) => correcting(c.id, { details: { potting: { container: 'pot-9' }, mix } });
    await refusal(w.v.post('/records', told({ mix: 'nobody-knows', litres: 3 })), 'details.mix.mix');
    await refusal(w.v.post('/records', told({ mix: 'gravel-mix', litres: 0 })), 'details.mix.litres');
    expect(await b.db('mix_use').where({ component: 'grit' })).to.deep.equal([]);
  });

  it('work takes its mix from the bins by components, in the write of the record, and gives it back', async () => {
    await count('grit', 200);
    await count('lava', 50);
    const c = await w.ready();
    const told = correcting(c.id);
    await Promise.all([1, 2, 3].map(() => must(w.v.post('/records', told))));
    // three quarters of what is mixed, more for what shrinks, and a twentieth of grit, a twelfth of lava through the sieve
    const { shrinks } = blendOf([
      { component: 'grit', parts: 3 },
      { component: 'lava', parts: 1 },
    ]);
    expect(await have('grit')).to.be.closeTo(200 - ((40 / shrinks) * 0.75) / 0.95, 1e-6);
    expect(await have('lava')).to.be.closeTo(50 - ((40 / shrinks) * 0.25) / 0.92, 1e-6);
    // what the mix is made of later does not change what was taken
    const { version } = (await shed()).mixes.find((m) => m.id === 'gravel-mix')!;
    await must(w.v.put('/mixes', own({ version, parts: [{ component: 'lava', parts: 1 }] })));
    expect(await have('lava')).to.be.closeTo(50 - ((40 / shrinks) * 0.25) / 0.92, 1e-6);
    await must(w.v.post(`/records/${told.id}/undo`, { id: id() }));
    expect([await have('grit'), await have('lava')]).to.deep.equal([200, 50]);
    // more than there was: the bin is empty, not below that
    await must(
      w.v.post('/records', correcting(c.id, { details: { mix: { mix: 'gravel-mix', litres: 900 } } })),
    );
    expect(await have('lava')).to.equal(0);
  });

  it('fifty at once: what the bins lack is what all of them took', async () => {
    await count('grit', 5000);
    const cohorts = await Promise.all(Array.from({ length: 10 }, () => w.ready()));
    const looks = cohorts.flatMap((c) =>
      [1, 2, 3, 4, 5].map((litres) => ({
        id: id(),
        cohortId: c.id,
        stepKey: null,
        on: '2037-03-09',
        note: 'topped up',
        details: { mix: { mix: 'draining', litres } },
      })),
    );
    await Promise.all(looks.map((l) => must(w.v.post('/records', l))));
    const parts = libraryRecipe('draining').parts;
    const each = 1 / blendOf(parts).shrinks / 3 / 0.95;
    expect(await have('grit')).to.be.closeTo(5000 - 10 * 15 * each, 1e-6);
  }).timeout(60_000);

  it('property: whatever is recorded and taken back, the bins lack what stands', async () => {
    const c = await w.ready();
    const each = 1 / blendOf(libraryRecipe('draining').parts).shrinks / 3 / 0.95;
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ litres: fc.integer({ min: 1, max: 30 }), back: fc.boolean() }), {
          minLength: 1,
          maxLength: 5,
        }),
        async (acts) => {
          await count('grit', 1000);
          let stands = 0;
          for (const { litres, back } of acts) {
            const look = {
              id: id(),
              cohortId: c.id,
              stepKey: null,
              on: '2037-03-09',
              details: { mix: { mix: 'draining', litres } },
            };
            await must(w.v.post('/records', look));
            if (back) await must(w.v.post(`/records/${look.id}/undo`, { id: id() }));
            else stands += litres;
          }
          expect(await have('grit')).to.be.closeTo(1000 - stands * each, 1e-6);
        },
      ),
      { numRuns: 6 },
    );
  }).timeout(60_000);

  it('what steps of the next weeks want is told in components, against what is there', async () => {
    const { stock } = await shed();
    const bark = stock.find((s) => s.component === 'bark')!;
    expect(bark.wanted).to.be.above(0);
    expect(stock.map((s) => s.wanted).every((n) => n >= 0)).to.equal(true);
  });

  const batch = (more: object = {}) => ({
    id: id(),
    mix: 'bark-third',
    on: '2037-03-09',
    litres: 50,
    ...more,
  });
  const left = async (batchId: string) => (await shed()).batches.find((x) => x.id === batchId)?.left;
  const taking = (cohortId: string, batchId: string, litres: number) =>
    correcting(cohortId, {
      done: 1,
      finished: false,
      details: { potting: { container: 'pot-9' }, mix: { mix: 'bark-third', litres, batch: batchId } },
    });

  it('a batch made ahead leaves the bins once, work takes from it and not from them, and it is never overdrawn', async () => {
    await count('pumice', 400);
    await count('clay', 400);
    const made = batch();
    await Promise.all([1, 2, 3].map(() => must(w.v.post('/mix-batches', made))));
    const after = await have('pumice');
    expect(after).to.be.below(400 - 50 / 3);
    const c = await w.ready();
    const taken = Array.from({ length: 12 }, () => taking(c.id, made.id, 10));
    const answers = await Promise.all(taken.map((t) => w.v.post('/records', t)));
    expect(answers.filter((a) => a.statusCode === 200)).to.have.length(5);
    expect(answers.filter((a) => a.statusCode === 422 || a.statusCode === 400)).to.have.length(7);
    expect([await left(made.id), await have('pumice')]).to.deep.equal([undefined, after]);
    // one taken back, and it stands there again
    const [one] = taken.filter((_, i) => answers[i].statusCode === 200);
    await must(w.v.post(`/records/${one.id}/undo`, { id: id() }));
    expect(await left(made.id)).to.be.closeTo(10, 1e-9);
    // what was taken from cannot be told to be an error
    const back = await w.v.post('/mix-batches/withdraw', { id: id(), batchId: made.id });
    expect(back.statusCode).to.equal(409);
    const error = batch({ litres: 20 });
    await must(w.v.post('/mix-batches', error));
    await must(w.v.post('/mix-batches/withdraw', { id: id(), batchId: error.id }));
    expect([await left(error.id), await have('pumice')]).to.deep.equal([undefined, after]);
    // a fresh count knows of what was made before it
    await count('pumice', 300);
    expect(await have('pumice')).to.equal(300);
    await refusal(w.v.post('/mix-batches', batch({ on: '2037-03-10' })), 'on');
    await refusal(w.v.post('/mix-batches', batch({ mix: 'nobody-knows' })), 'mix');
    await refusal(w.v.post('/mix-batches', batch({ litres: 0 })), 'litres');
    await refusal(w.v.post('/records', taking(c.id, id(), 1)), 'details.mix.batch');
    const other = correcting(c.id, { details: { mix: { mix: 'lean', litres: 1, batch: made.id } } });
    await refusal(w.v.post('/records', other), 'another mix');
  });

  it('old mix goes back into its bin only once it was looked through, never from plants held apart, and out again when undone', async () => {
    await count('old-mix', 20);
    const c = await w.ready();
    const put = (mix: object) =>
      correcting(c.id, {
        done: 1,
        finished: false,
        details: { potting: { container: 'pot-9' }, mix: { mix: 'lean', litres: 2, back: 6, ...mix } },
      });
    await refusal(w.v.post('/records', put({})), 'details.mix.healthy');
    const told = put({ healthy: true });
    await must(w.v.post('/records', told));
    expect(await have('old-mix')).to.equal(26);
    await must(w.v.post(`/records/${told.id}/undo`, { id: id() }));
    expect(await have('old-mix')).to.equal(20);
    const apart = { id: id(), cohortId: c.id, on: '2037-03-09', found: ['rot'], decision: 'quarantine' };
    await must(w.v.post('/visits', apart));
    await refusal(w.v.post('/records', put({ healthy: true })), 'details.mix.back');
  });

  it('a coarse zone and prices are kept, and refused by field where they cannot be', async () => {
    const under = { share: 0.2, parts: [{ component: 'pumice-coarse', parts: 1 }] };
    const zoned = own({ mixId: 'in-zones', name: 'in zones', under });
    await must(w.v.put('/mixes', zoned));
    expect((await shed()).mixes.find((m) => m.id === 'in-zones')!.under).to.deep.equal(under);
    const bad: [object, string][] = [
      [{ ...under, share: 0.9 }, 'under.share'],
      [{ ...under, parts: [] }, 'under.parts'],
      [{ ...under, parts: [{ component: 'gold', parts: 1 }] }, 'under.parts[0].component'],
    ];
    for (const [u, why] of bad)
      await refusal(w.v.put('/mixes', own({ mixId: 'in-zones', version: 1, under: u })), why);
    const { version } = (await shed()).stock.find((s) => s.component === 'coir')!;
    await must(w.v.put('/mix-stock', { id: id(), component: 'coir', version, counted: 5, cents: 31 }));
    expect((await shed()).stock.find((s) => s.component === 'coir')!.cents).to.equal(31);
  });
});

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
});

import { expect } from 'chai';
import type { BiteAnswer, PartHeld } from '@gonimos/contract/fittings';
import { bench, id, refusal, workshop, type Bench } from './harness.ts';

describe('what is put around a plant', () => {
  let b: Bench;
  let w: Awaited<ReturnType<typeof workshop>>;
  before(async () => {
    b = await bench();
    w = await workshop(b);
  });
  after(() => b.close());

  const asked = async (cohortId: string, part: PartHeld) =>
    (await w.v.post('/calc/bite', { cohortId, part })).json<BiteAnswer>();

  it('bites when that very part has swollen: the thinner stem sooner than the base, both after growth begins', async () => {
    const { id: cohortId } = await w.ready();
    const base = await asked(cohortId, 'base');
    const stem = await asked(cohortId, 'stem');
    expect(stem.thick).to.be.below(base.thick);
    expect(base.bites && stem.bites).to.equal(true);
    expect(stem.due <= base.due).to.equal(true);
    // it is 9 March: nothing swells before the first flush, and the season is not over when it bites
    expect(stem.due > '2037-04-01' && base.due < '2037-10-15').to.equal(true);
  });

  it('is refused for a part there is not, and not found for a cohort there is not', async () => {
    const { id: cohortId } = await w.ready();
    await refusal(w.v.post('/calc/bite', { cohortId, part: 'crown' }), 'part');
    await refusal(w.v.post('/calc/bite', { part: 'base' }), 'cohortId');
    expect((await w.v.post('/calc/bite', { cohortId: id(), part: 'base' })).statusCode).to.equal(404);
  });

  it('cage wire goes into the register like all that has a day to go', async () => {
    const { id: cohortId } = await w.ready();
    const { due } = await asked(cohortId, 'base');
    const on = [{ id: id(), what: 'cage wire', note: '2 mm aluminium, 6 uprights', due }];
    const sent = {
      id: id(),
      cohortId,
      stepKey: null,
      on: '2037-03-09',
      details: { fittings: { on, off: [] } },
    };
    const kept = await w.v.post('/records', sent);
    expect(kept.statusCode, kept.body).to.equal(200);
    const lines = await w.v.get<{ what: string; due: string; cohortId: string }[]>('/fittings');
    const mine = lines.filter((l) => l.cohortId === cohortId && l.what === 'cage wire');
    expect(mine.map((l) => l.due)).to.deep.equal([due]);
  });
});

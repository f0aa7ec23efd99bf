import { expect } from 'chai';
import type { AdoptAnswer, TrunkLab } from '@gonimos/contract/trunk';
import type { Wish } from '@gonimos/core/lab';
import { caliperBefore } from '@gonimos/core/trunk';
import { bench, id, must, refusal, workshop, type Bench } from './harness.ts';

describe('the trunk lab', () => {
  let b: Bench;
  before(async () => {
    b = await bench();
  });
  after(() => b.close());

  it('begins with the plant of the section, from the next season it can grow in', async () => {
    const v = await b.visitor('helper');
    const rows = await b.db('cohort').where('growing', true).where('live', '>', 0).select('*');
    let outdoors = 0;
    for (const c of rows) {
      const lab = await v.get<TrunkLab>(`/cohorts/${c.id}/trunk`);
      expect(lab.container).to.equal(c.container);
      // no reading of the demo says that a cohort grows at half the pace of its kind, or at twice
      expect(lab.growth.mean, c.code).to.be.within(0.5, 2);
      expect(lab.start.litres === null).to.equal(lab.start.wall === 'ground');
      // in a heated house this season's growth has begun: it is grown to its end first
      const grown = caliperBefore(c.rings, lab.start.year);
      expect(lab.start.year, c.code).to.be.within(2037, 2038);
      if (lab.start.year > 2037 || grown === 0) continue;
      // it opens in March: it begins with what last season left, or with what was measured since
      const seen = lab.measured.at(-1);
      const wanted = seen && seen.on > '2036-11-30' ? seen.caliper : grown;
      expect(lab.start.caliper, c.code).to.be.closeTo(wanted, 0.06 + 0.02 * wanted);
      outdoors++;
    }
    expect(outdoors).to.be.above(15);
    expect((await v.send('GET', `/api/cohorts/${id()}/trunk`)).statusCode).to.equal(404);
  });
});

describe('a course of the lab taken into the plan', () => {
  const wish = (more: Partial<Wish> = {}): Wish => ({
    name: 'Baskets, low sacrifice',
    pots: [
      { year: 2038, container: 'basket-25' },
      { year: 2041, container: 'basket-32' },
    ],
    prune: 'lightly',
    sacrifice: { from: 2038, to: 2042, height: 60, foliage: 0.5 },
    chop: { year: 2043, height: 200 },
    methods: ['wind'],
    ...more,
  });

  it('its difference is shown, it is followed, and another one after it; what cannot be is refused by field', async () => {
    const b = await bench();
    const w = await workshop(b);
    const c = await w.ready();
    const ask = { cohortId: c.id, wish: wish(), goal: 40 };
    const shown: AdoptAnswer = (await w.v.post('/calc/adopt', { id: id(), ...ask })).json();
    expect(shown.byHand).to.deep.equal(['Free in the wind']);
    expect(shown.kept.length).to.be.above(1);
    expect(shown.change.added.some((s) => s.title === 'Chop at 200 mm')).to.equal(true);
    expect(shown.change.removed.length).to.be.above(0);
    // looking wrote nothing, and a helper may only look
    const before = await w.cohort(c.id);
    expect(before.programmeId).to.equal('seed-broadleaf');
    const helper = await b.visitor('helper');
    expect((await helper.post('/adoptions', { id: id(), ...ask })).statusCode).to.equal(403);
    const twice = { id: id(), ...ask };
    await must(w.v.post('/adoptions', twice));
    await must(w.v.post('/adoptions', twice));
    const after = await w.cohort(c.id);
    expect(after).to.include({ programmeVersion: 1, goalCaliper: 40 });
    const step = (key: string) => w.step(c.id, key);
    expect((await step('lab1-move-1')).container).to.equal('basket-25');
    expect((await step('lab1-move-1')).target!.slice(0, 4)).to.equal('2038');
    expect((await step('lab1-move-2')).target! > (await step('lab1-move-1')).target!).to.equal(true);
    expect((await step('lab1-chop')).title).to.equal('Chop at 200 mm');
    expect((await step('cells')).status, 'from before the record').to.equal('dropped');
    // another mind: what was taken over and not done yet gives way
    await must(w.v.post('/adoptions', { id: id(), ...ask, wish: wish({ chop: null }), goal: null }));
    expect(await w.cohort(c.id)).to.include({ programmeVersion: 2, goalCaliper: 40 });
    expect(await step('lab1-chop')).to.equal(undefined);
    const refused = (wrong: Partial<Wish>, why: string) =>
      refusal(w.v.post('/adoptions', { id: id(), ...ask, wish: wish(wrong) }), why);
    await refused({ chop: { year: 2030, height: 200 } }, 'wish.chop.year');
    await refused({ chop: { year: 2043, height: 0 } }, 'wish.chop.height');
    await refused({ pots: [{ year: 2038, container: 'hat' }] }, 'container');
    await refused({ methods: ['prayer'] }, 'prayer');
    await b.close();
  });
});

import { expect } from 'chai';
import type { TrunkLab } from '@gonimos/contract/trunk';
import { caliperBefore } from '@gonimos/core/trunk';
import { bench, id, type Bench } from './harness.ts';

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

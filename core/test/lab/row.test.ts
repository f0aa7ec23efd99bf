import { expect } from 'chai';
import { faultsOf, rowPlan, rowWish, type LabStart } from '@gonimos/core/lab';
import { FREE_RING, taxa, toleranceOf } from '@gonimos/core/taxa';

const startOf = (pace: keyof typeof FREE_RING, group = taxa().find((t) => t.pace === pace)!): LabStart => ({
  year: 2037,
  ring: FREE_RING[pace].value,
  tolerance: toleranceOf(group),
  vigour: 3,
  caliper: 6,
  height: null,
  litres: 1,
  wall: 'air-pruning',
});
const LEFT = { lift: 'left', cut: 'left' };

describe('a row in the ground (common practice, no source)', () => {
  it('each school is another course, and each is one that can be followed', () => {
    const start = startOf('vigorous');
    const said = new Set<string>();
    for (const lift of ['left', 'second-year'])
      for (const cut of ['left', 'yearly']) {
        const wish = rowWish(start, { lift, cut });
        expect(faultsOf(wish, start, 10)).to.deep.equal([]);
        expect(wish.pots.at(-1)!.container).to.equal('basket-32');
        said.add(JSON.stringify(wish));
      }
    expect(said.size).to.equal(4);
    expect(rowWish(start, { lift: 'second-year', cut: 'left' }).pots.map((p) => p.year)).to.deep.equal([
      2037, 2039, 2041, 2043,
    ]);
  });

  it('left alone it is thicker, and stands wider; cut back it stands closer; lifting costs girth', () => {
    for (const pace of ['very-vigorous', 'vigorous', 'medium'] as const) {
      const start = startOf(pace);
      const left = rowPlan(start, LEFT, 10);
      const cut = rowPlan(start, { lift: 'left', cut: 'yearly' }, 10);
      expect(left.lifted.p50, pace).to.be.above(cut.lifted.p50);
      expect(left.spacing, pace).to.be.above(cut.spacing);
      expect(left.plants, pace).to.be.below(cut.plants);
      const often = rowPlan(start, { lift: 'second-year', cut: 'left' }, 10);
      const yearly = (p: typeof left) => (p.lifted.p50 - start.caliper) / (p.lifted.year - start.year + 1);
      expect(yearly(often), pace).to.be.below(yearly(left));
    }
  });

  it('for every pace: the band is one, plants fit the row, and a slow kind is never crowded under a hand', () => {
    for (const pace of Object.keys(FREE_RING) as (keyof typeof FREE_RING)[]) {
      const plan = rowPlan(startOf(pace), { lift: 'left', cut: 'yearly' }, 12);
      const { p10, p50, p90 } = plan.lifted;
      expect(p10 < p50 && p50 < p90, pace).to.equal(true);
      expect((plan.plants - 1) * plan.spacing, pace).to.be.at.most(12_000);
      expect(plan.plants * plan.spacing, pace).to.be.above(12_000 - plan.spacing);
      expect(plan.spacing, pace).to.be.at.least(250);
      expect(plan.tile.wide, pace).to.be.at.least(p50);
    }
  });
});

import { expect } from 'chai';
import { courseOf, difference, forecast, outcomeOf, type LabStart, type Wish } from '@gonimos/core/lab';
import { GROWTH_GROUPS } from '@gonimos/core/taxa';

const start: LabStart = {
  year: 2037,
  ring: 7.7,
  tolerance: GROWTH_GROUPS['deciduous-broadleaf'],
  vigour: 4,
  caliper: 10,
  height: 600,
  litres: 3,
  wall: 'air-pruning',
};
const STILL: Wish = { name: '', pots: [], prune: 'none', sacrifice: null, chop: null, methods: [] };
const outcome = (more: Partial<Wish>) =>
  outcomeOf(forecast(start, courseOf('x', { ...STILL, ...more }, start, 10), 10, 30, 40));

describe('what a course costs', () => {
  it('minutes by hand: 15 a move, 25 into the ground, 12 a chop, 6 for a sacrifice off, 4 a winter of shears', () => {
    expect(outcome({}).minutes).to.equal(0);
    expect(outcome({ pots: [{ year: 2037, container: 'basket-25' }] }).minutes).to.equal(15);
    expect(
      outcome({
        pots: [
          { year: 2037, container: 'ground' },
          { year: 2041, container: 'basket-32' },
        ],
        chop: { year: 2041, height: 150 },
      }).minutes,
    ).to.equal(25 + 15 + 12);
    expect(outcome({ sacrifice: { from: 2037, to: 2040, height: 50, foliage: 0.5 } }).minutes).to.equal(6);
    expect(outcome({ prune: 'lightly' }).minutes).to.equal(40);
  });

  it('is part of the difference where it is more than a few minutes', () => {
    const [still, shears, moved] = [outcome({}), outcome({ prune: 'hard' }), outcome({ chop: null })];
    expect(difference('A', still, 'B', shears)).to.contain('B takes 40 minutes more work');
    expect(difference('A', still, 'B', moved)).not.to.contain('minutes');
  });
});

import { expect } from 'chai';
import type { Year } from '@gonimos/contract/year';
import { headOf, place, placeLevelled, viewOf, weeksToKeep } from '../src/year/view.ts';

const step = (id: string, minutes: number, ideal: number) => ({
  id,
  minutes,
  skilled: id === 'a',
  crew: 1,
  from: 0,
  to: 2,
  ideal,
  priority: 1,
  after: [],
  trail: [],
  locked: null,
});
const line = (id: string, target: string, more: Partial<Year['lines'][number]> = {}) => ({
  id,
  cohortId: `cohort-${id}`,
  key: 'correct',
  code: id.toUpperCase(),
  title: `Work ${id}`,
  opens: '2037-03-09',
  closes: '2037-03-29',
  target,
  week: null,
  later: 0,
  locked: false,
  ...more,
});
/** Three steps of two hours where two hours can be done a week; all are planned for the first. */
const year: Year = {
  today: '2037-03-09',
  weeks: ['2037-03-09', '2037-03-16', '2037-03-23'],
  shown: 2,
  lockedWeeks: [],
  problem: {
    weeks: 3,
    capacity: { all: [120, 120, 120], skilled: [120, 120, 120] },
    hands: [1, 1, 1],
    steps: [step('a', 120, 0), step('b', 120, 1), step('c', 120, 2)],
  },
  lines: [
    line('a', '2037-03-10', { week: '2037-03-09', later: 0.5 }),
    line('b', '2037-03-12'),
    line('c', '2037-03-09'),
  ],
  people: [],
  routines: [],
  routine: [0, 0, 0],
};

describe('the year as a page shows it', () => {
  it('as planned: half of one step is left for the week after, the rest is too much for the first', () => {
    const view = viewOf(year, place(year, 'now'), 0, 2);
    expect(view.load.map((l) => l.all)).to.deep.equal([300, 60, 0]);
    expect(view).to.include({ steps: 3, minutes: 360, inWeek: 3 });
    expect(view.lines.map((l) => l.code)).to.deep.equal(['A', 'B']);
    expect(view.short.count).to.equal(2);
    expect(view.short.first[0]).to.include({ week: 0, windowLost: false, title: 'Work a' });
    expect(view.lines.find((l) => l.id === 'b')!.short).to.include({ lacks: 'hours', crew: 1 });
  });

  it('each window for itself, and levelled: nothing is short, and weeks beyond those shown do not count', () => {
    const alone = viewOf(year, place(year, 'alone'), 1, 9);
    expect(alone.load.map((l) => l.all)).to.deep.equal([120, 120, 120]);
    expect(alone).to.include({ steps: 2, minutes: 240, inWeek: 1 });
    const plan = {
      placed: [
        { id: 'a', week: 0, later: 0 },
        { id: 'b', week: 2, later: 0 },
        { id: 'c', week: 1, later: 0 },
      ],
      load: alone.load,
      cost: 2,
      overload: 0,
      outOfOrder: [],
    };
    expect(viewOf(year, placeLevelled(year, plan), 1, 9).lines.map((l) => l.id)).to.deep.equal(['c']);
    expect(weeksToKeep(year, plan)[1]).to.deep.equal({
      cohortId: 'cohort-b',
      key: 'correct',
      week: '2037-03-23',
      later: 0,
    });
  });

  it('the head carries no steps, and says whether some have a week that was kept', () => {
    const head = headOf(year, 7);
    expect(head).to.include({ stamp: 7, anyKept: true, shown: 2 });
    expect(head).to.not.have.any.keys('problem', 'lines');
  });
});

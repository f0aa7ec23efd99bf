import { expect } from 'chai';
import type { PlannedStep } from '@gonimos/core/course';
import { inOrder, LANES, standing, STANDING_WORDS } from '../src/course/lanes.ts';

const TODAY = '2037-03-09';
const step = (more: Partial<PlannedStep> = {}) =>
  ({
    key: 'a',
    status: 'planned',
    ready: true,
    opens: '2037-03-20',
    closes: '2037-04-10',
    ...more,
  }) as PlannedStep;

describe('how a step stands', () => {
  it('by its window against today, to the day', () => {
    for (const [opens, closes, wanted] of [
      ['2037-03-10', '2037-04-10', 'soon'],
      ['2037-03-30', '2037-04-10', 'soon'],
      ['2037-03-31', '2037-04-10', 'later'],
      ['2037-03-09', '2037-04-10', 'due'],
      ['2037-02-01', '2037-03-09', 'due'],
      ['2037-02-01', '2037-03-08', 'late'],
    ] as const)
      expect(standing(step({ opens, closes }), TODAY), `${opens} to ${closes}`).to.equal(wanted);
  });

  it('what was done or left out stands so whatever its window; what was missed comes before what waits', () => {
    expect(standing(step({ status: 'done', opens: '2030-01-01', closes: '2030-02-01' }), TODAY)).to.equal(
      'done',
    );
    expect(standing(step({ status: 'dropped' }), TODAY)).to.equal('dropped');
    const missed = { opens: '2036-03-01', closes: '2036-04-01' };
    expect(standing(step({ missed, ready: false }), TODAY)).to.equal('missed');
    expect(standing(step({ ready: false }), TODAY)).to.equal('waiting');
  });

  it('every standing has words, and every lane a name', () => {
    for (const words of Object.values(STANDING_WORDS)) expect(words).to.match(/^[a-z]/);
    expect(new Set(LANES.map((l) => l.name)).size).to.equal(LANES.length);
  });

  it('order: what is to be answered, then by the day it opens, what has no date at the end; none is lost', () => {
    const steps = [
      step({ key: 'none', opens: null, closes: null }),
      step({ key: 'late', opens: '2038-01-01' }),
      step({ key: 'missed', missed: { opens: '2036-03-01', closes: '2036-04-01' }, opens: '2039-01-01' }),
      step({ key: 'first', opens: '2037-03-01' }),
    ];
    expect(inOrder(steps).map((s) => s.key)).to.deep.equal(['missed', 'first', 'late', 'none']);
    expect(steps[0].key, 'what was given is as it was').to.equal('none');
  });
});

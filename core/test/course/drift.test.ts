import { expect } from 'chai';
import { onlyDrifted, type Drifting } from '@gonimos/core/course';

const TODAY = '2037-03-09';
/** A step a season ahead, waiting for another. */
const step = (more: Partial<Drifting> = {}): Drifting => ({
  key: 'correct',
  title: 'First root correction',
  status: 'planned',
  chain: null,
  container: 'pot-18',
  ready: false,
  minutes: 120,
  opens: '2037-06-01',
  closes: '2037-06-30',
  target: '2037-06-11',
  waits: [{ key: 'sow', days: 80 }],
  ...more,
});
const drifts = (was: Partial<Drifting>, now: Partial<Drifting>) => onlyDrifted(step(was), step(now), TODAY);
const opening = (opens: string, closes: string, target: string) => ({ opens, closes, target });

describe('what a day’s weather does to a course', () => {
  it('far ahead a day is no news, and near at hand it is', () => {
    expect(drifts({}, opening('2037-06-02', '2037-07-01', '2037-06-12'))).to.equal(true);
    expect(drifts({}, opening('2037-06-03', '2037-07-02', '2037-06-13'))).to.equal(false);
    const soon = opening('2037-04-01', '2037-04-20', '2037-04-08');
    expect(drifts(soon, opening('2037-04-02', '2037-04-21', '2037-04-09'))).to.equal(false);
    expect(drifts(soon, soon)).to.equal(false);
  });

  it('the farther, the more; beyond a year the season itself is an estimate', () => {
    const year = opening('2038-01-10', '2038-02-10', '2038-01-21');
    expect(drifts(year, opening('2038-01-13', '2038-02-13', '2038-01-24'))).to.equal(true);
    expect(drifts(year, opening('2038-01-14', '2038-02-14', '2038-01-25'))).to.equal(false);
    expect(
      drifts(
        opening('2039-02-01', '2039-03-01', '2039-02-11'),
        opening('2040-02-01', '2040-03-01', '2040-02-11'),
      ),
    ).to.equal(true);
  });

  it('another title, container, crew of minutes or step to wait for is news however far', () => {
    const changes: Partial<Drifting>[] = [
      { title: 'Second root correction' },
      { container: 'pot-25' },
      { minutes: 121 },
      { ready: true },
      { waits: [{ key: 'grade', days: 80 }] },
      { waits: [{ key: 'sow', days: 90 }] },
    ];
    for (const change of changes) expect(drifts({}, change), JSON.stringify(change)).to.equal(false);
  });

  it('what has no date and gets none is no news; a date, or another work, is', () => {
    const none: Partial<Drifting> = { status: 'none', opens: null, closes: null, target: null };
    expect(drifts(none, none)).to.equal(true);
    expect(drifts(none, { ...none, waits: [{ key: 'sow', days: 300 }] })).to.equal(true);
    expect(drifts(none, { ...none, waits: [{ key: 'grade', days: 80 }] })).to.equal(false);
    expect(drifts(none, { ...none, title: 'Second root correction' })).to.equal(false);
    expect(drifts(none, {})).to.equal(false);
    expect(drifts({}, none)).to.equal(false);
  });

  it('what is over stays over without a word, and is told when it becomes so', () => {
    expect(drifts({ status: 'done' }, { status: 'done', opens: '2036-01-01' })).to.equal(true);
    expect(drifts({}, { status: 'lapsed' })).to.equal(false);
  });
});

import { expect } from 'chai';
import { readDay } from '../src/common/read-day.ts';

/** A Monday. */
const TODAY = '2037-03-09';
const past = (text: string) => readDay(text, TODAY);
const ahead = (text: string) => readDay(text, TODAY, { lean: 1 });

describe('days as people type them', () => {
  it('by name, by distance, by day and month', () => {
    expect(past('today')).to.equal('2037-03-09');
    expect(past('yesterday')).to.equal('2037-03-08');
    expect(past('tue')).to.equal('2037-03-03');
    expect(past('mon')).to.equal('2037-03-09');
    expect(ahead('mon')).to.equal('2037-03-16');
    expect(ahead('tue')).to.equal('2037-03-10');
    expect(ahead('+10d')).to.equal('2037-03-19');
    expect(past('-2w')).to.equal('2037-02-23');
    expect(past('15 6')).to.equal('2036-06-15');
    expect(ahead('15 6')).to.equal('2037-06-15');
    expect(past('jun 15')).to.equal('2036-06-15');
    expect(past('15.6.35')).to.equal('2035-06-15');
    expect(past('Mon, 2 March 2037')).to.equal('2037-03-02');
    expect(past('2037-03-01')).to.equal('2037-03-01');
  });

  it('month first for those who write so', () => {
    expect(readDay('6/15', TODAY, { order: 'month first' })).to.equal('2036-06-15');
    expect(readDay('15 6', TODAY, { order: 'month first' })).to.equal(null);
  });

  it('what is no day is none', () => {
    for (const text of ['', '31 2', '15', 'soon', '15 13', '1 2 3 4', 'toString', '+d'])
      expect(past(text), text).to.equal(null);
  });
});

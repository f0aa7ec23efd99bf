import { expect } from 'chai';
import fc from 'fast-check';
import { addDays, toDay, toIso } from '@gonimos/core/calendar';
import { dateSpan, duration, fromNow, readable, saidDate, shortDate, yearsOld } from '../src/common/dates';
import { countWords } from '../src/common/words';

const TODAY = '2037-03-09';
const day = fc.integer({ min: toDay('2030-01-01'), max: toDay('2045-12-31') }).map(toIso);

describe('words on the screen', () => {
  it('dates: the year only when it is not this one', () => {
    expect(shortDate('2037-03-18', TODAY)).to.equal('18 Mar');
    expect(shortDate('2038-03-18', TODAY)).to.equal('18 Mar 2038');
    expect(shortDate('2037-03-18')).to.equal('18 Mar 2037');
    expect(dateSpan('2037-03-18', '2037-04-06', TODAY)).to.equal('18 Mar – 6 Apr');
    expect(dateSpan('2038-03-18', '2038-04-06', TODAY)).to.equal('18 Mar – 6 Apr 2038');
    expect(dateSpan('2037-12-20', '2038-01-06', TODAY)).to.equal('20 Dec 2037 – 6 Jan 2038');
    expect(saidDate('2036-06-28', TODAY)).to.equal('28 Jun 2036');
    expect(saidDate('spring 2035', TODAY)).to.equal('spring 2035');
  });

  it('how far off: days, then months, before and after', () => {
    expect(fromNow(TODAY, TODAY)).to.equal('today');
    expect(fromNow('2037-03-10', TODAY)).to.equal('in 1 day');
    expect(fromNow('2037-03-06', TODAY)).to.equal('3 days ago');
    expect(fromNow('2037-06-09', TODAY)).to.equal('in 3 months');
    fc.assert(
      fc.property(day, (iso) => {
        const said = fromNow(iso, TODAY);
        expect(said.startsWith('in ')).to.equal(iso > TODAY);
        expect(said.endsWith(' ago')).to.equal(iso < TODAY);
      }),
    );
  });

  it('reasons: every date inside is written for the reader, everything else is left as it is', () => {
    expect(readable('since the look of {2036-08-10}: callus only', TODAY)).to.equal(
      'since the look of 10 Aug 2036: callus only',
    );
    expect(readable('{2037-03-09} to {2037-04-01}', TODAY)).to.equal('9 Mar to 1 Apr');
    expect(readable('no {date} here, {2037-3-9} neither', TODAY)).to.equal(
      'no {date} here, {2037-3-9} neither',
    );
    fc.assert(
      fc.property(fc.array(day, { maxLength: 4 }), (days) => {
        const text = readable(days.map((d) => `a {${d}}`).join(' '), TODAY);
        expect(text).to.not.match(/[{}]/);
        expect(text.split('a ').length - 1).to.equal(days.length);
      }),
    );
  });

  it('minutes and ages', () => {
    expect([duration(0), duration(35), duration(59.6), duration(130), duration(605)]).to.deep.equal([
      '0 min',
      '35 min',
      '1 h 00',
      '2 h 10',
      '10 h 05',
    ]);
    expect([
      yearsOld('2034-03-14', TODAY),
      yearsOld('2034-03-01', TODAY),
      yearsOld('2038-01-01', TODAY),
    ]).to.deep.equal([2, 3, 0]);
    fc.assert(
      fc.property(day, fc.integer({ min: 0, max: 40 }), (start, years) => {
        // a day past so many years of 365 and a quarter days
        expect(yearsOld(start, addDays(start, Math.ceil(years * 365.25)))).to.equal(years);
      }),
    );
  });

  it('counts: alive, still to show, on the parent, or none left', () => {
    expect(countWords({ live: 84, pending: 12 })).to.equal('84 alive');
    expect(countWords({ live: 0, pending: 120 })).to.equal('120 sown');
    expect(countWords({ live: 0, pending: 1, method: 'layer' })).to.equal('on its parent');
    expect(countWords({ live: 0, pending: 0 })).to.equal('none left');
    expect(countWords({ live: 0, pending: 30, growing: false })).to.equal('none left');
  });
});

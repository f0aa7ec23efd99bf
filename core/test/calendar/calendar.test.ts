import { expect } from 'chai';
import fc from 'fast-check';
import {
  addDays,
  dayOf,
  daysBetween,
  isIsoDate,
  placeInYear,
  seasonOf,
  seasonSpan,
  toDay,
  toIso,
  yearOf,
} from '@gonimos/core/calendar';
import { readUncertainDate } from '@gonimos/core/calendar/uncertain';

/**
 * Julian day number of a Gregorian date in whole-number arithmetic: Fliegel & Van Flandern 1968,
 * Comm. ACM 11:657 (from memory). 1970-01-01 is 2,440,588.
 */
function julian(y: number, m: number, d: number): number {
  const a = Math.trunc((m - 14) / 12);
  return (
    d -
    32_075 +
    Math.trunc((1461 * (y + 4800 + a)) / 4) +
    Math.trunc((367 * (m - 2 - a * 12)) / 12) -
    Math.trunc((3 * Math.trunc((y + 4900 + a) / 100)) / 4)
  );
}

const year = fc.integer({ min: 1900, max: 2199 });
const anyDay = fc.integer({ min: dayOf(1900, 1, 1), max: dayOf(2199, 12, 31) });

describe('calendar', () => {
  it('property: days are those of Fliegel & Van Flandern’s formula, and come back as the same date', () => {
    fc.assert(
      fc.property(year, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 28 }), (y, m, d) => {
        const iso = `${y}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`;
        expect(toDay(iso)).to.equal(julian(y, m, d) - 2_440_588);
        expect(toIso(toDay(iso))).to.equal(iso);
        expect(dayOf(y, m, d)).to.equal(toDay(iso));
        expect(yearOf(toDay(iso))).to.equal(y);
      }),
      { numRuns: 2000 },
    );
  });

  it('knows which dates there are: leap years by the Gregorian rule', () => {
    // divisible by four, not by a hundred, but by four hundred: 1900 and 2100 were and will be none
    const leap = [1904, 2000, 2036, 2096];
    const plain = [1900, 1999, 2037, 2100];
    for (const y of leap) expect(isIsoDate(`${y}-02-29`), `${y}`).to.equal(true);
    for (const y of plain) expect(isIsoDate(`${y}-02-29`), `${y}`).to.equal(false);
    for (const bad of [
      '2037-04-31',
      '2037-13-01',
      '2037-00-10',
      '2037-1-1',
      '37-01-01',
      '1899-12-31',
      '2200-01-01',
    ])
      expect(isIsoDate(bad), bad).to.equal(false);
    for (const none of [null, undefined, 20370101, '', '2037-03-09T00:00:00Z', ' 2037-03-09'])
      expect(isIsoDate(none)).to.equal(false);
    expect(() => toDay('not a day')).to.throw(RangeError);
  });

  it('property: adding and counting days are each other’s undoing', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: -400, max: 400 }), (day, n) => {
        const iso = toIso(day);
        expect(daysBetween(iso, addDays(iso, n))).to.equal(n);
        expect(addDays(addDays(iso, n), -n)).to.equal(iso);
      }),
    );
  });

  it('property: the place in a year runs from 0 to 364, the leap day beside the 28th of February', () => {
    fc.assert(
      fc.property(anyDay, (day) => {
        const place = placeInYear(day);
        expect(place).to.be.within(0, 364);
        const next = placeInYear(day + 1);
        const leapDay = toIso(day + 1).endsWith('-02-29');
        expect(next).to.equal(leapDay ? place : (place + 1) % 365);
      }),
    );
    expect([placeInYear(toDay('2037-01-01')), placeInYear(toDay('2036-12-31'))]).to.deep.equal([0, 364]);
    // 9 March: 31 + 28 + 9 = the 68th day, counted from 0
    expect(placeInYear(toDay('2037-03-09'))).to.equal(67);
    expect(placeInYear(toDay('2036-03-09'))).to.equal(67);
  });

  it('property: every day stands in one season, which begins in midwinter', () => {
    fc.assert(
      fc.property(anyDay, fc.constantFrom('north' as const, 'south' as const), (day, hemisphere) => {
        const span = seasonSpan(seasonOf(day, hemisphere), hemisphere);
        expect(day).to.be.within(span.from, span.to);
        expect(seasonSpan(span.year + 1, hemisphere).from).to.equal(span.to + 1);
        // chilling is counted from two months before
        expect(span.from - span.chillFrom).to.be.within(60, 62);
      }),
    );
    expect(seasonOf(toDay('2037-06-30'), 'south')).to.equal(2036);
    expect(seasonOf(toDay('2037-07-01'), 'south')).to.equal(2037);
    expect(seasonOf(toDay('2037-06-30'), 'north')).to.equal(2037);
  });
});

describe('a start as well as it is known', () => {
  const read = (said: string, hemisphere: 'north' | 'south' = 'north') => {
    const d = readUncertainDate(said, hemisphere);
    return d && `${d.from} ${d.to}`;
  };

  it('reads days, months, years, spans and seasons', () => {
    expect(read('2034-03-14')).to.equal('2034-03-14 2034-03-14');
    expect(read('2036-02')).to.equal('2036-02-01 2036-02-29');
    expect(read('2037-12')).to.equal('2037-12-01 2037-12-31');
    expect(read('2035')).to.equal('2035-01-01 2035-12-31');
    for (const said of ['2033-2035', '2033 or 2035', '2033 to 2035', ' 2033  or  2035 '])
      expect(read(said), said).to.equal('2033-01-01 2035-12-31');
    expect(read('2034-11-01..2035-02-28')).to.equal('2034-11-01 2035-02-28');
    expect(read('2034-11-01 to 2035-02-28')).to.equal('2034-11-01 2035-02-28');
  });

  it('seasons follow the hemisphere: a southern spring is in September', () => {
    const months = (said: string, hemisphere: 'north' | 'south') => {
      const d = readUncertainDate(said, hemisphere)!;
      // the middle of it
      return toIso((toDay(d.from) + toDay(d.to)) / 2).slice(5, 7);
    };
    expect(['winter', 'spring', 'summer', 'autumn'].map((s) => months(`${s} 2035`, 'north'))).to.deep.equal([
      '01',
      '04',
      '07',
      '10',
    ]);
    expect(['winter', 'spring', 'summer', 'autumn'].map((s) => months(`${s} 2035`, 'south'))).to.deep.equal([
      '07',
      '10',
      '01',
      '04',
    ]);
    expect(read('Fall 2035')).to.equal(read('autumn 2035'));
    expect(read('SPRING 2035')).to.equal(read('spring 2035'));
  });

  it('takes nothing for a date that is none, and no span that runs backwards', () => {
    for (const said of [
      '',
      'soon',
      'last spring',
      'spring',
      'spring 35',
      '2035-13',
      '2035-02-30',
      '35',
      '1850',
      '2300',
      '2035-2033',
      '2035-02-28..2034-11-01',
      '2035-02-30..2035-03-01',
      'spring 2250',
      '2035/03/01',
    ])
      expect(read(said), said).to.equal(null);
  });

  it('property: whatever is read holds together, and what was said is kept', () => {
    const said = fc.oneof(
      year.map(String),
      fc.tuple(year, fc.integer({ min: 1, max: 12 })).map(([y, m]) => `${y}-${String(m).padStart(2, '0')}`),
      fc.tuple(fc.constantFrom('winter', 'spring', 'summer', 'autumn'), year).map(([s, y]) => `${s} ${y}`),
      fc.tuple(year, year).map(([a, b]) => `${a}-${b}`),
      fc.string(),
    );
    fc.assert(
      fc.property(said, fc.constantFrom('north' as const, 'south' as const), (text, hemisphere) => {
        const d = readUncertainDate(text, hemisphere);
        if (d === null) return;
        // the winter of 1900 begins in the year before
        expect(d.from >= '1899-12-01' && isIsoDate(d.to)).to.equal(true);
        expect(d.from <= d.to).to.equal(true);
        expect(d.said).to.equal(text.trim().toLowerCase().replace(/\s+/g, ' '));
      }),
      { numRuns: 1000 },
    );
  });
});

import { expect } from 'chai';
import { toDay } from '@gonimos/core/calendar';
import { climateOf, seasonBook, simulate } from '@gonimos/core/season';
import { lastDay, temperatureAt, warningsFor, type Exposed } from '@gonimos/core/station';
import { maritime } from '../sites.ts';

const climate = climateOf(maritime);
const record = (days: number, change: (i: number, run: ReturnType<typeof simulate>) => void) => {
  const run = simulate(climate, 31, toDay('2029-11-01'), days);
  for (let i = 0; i < days; i++) change(i, run);
  return run;
};

describe('weather station', () => {
  it('passes through the night’s low and the day’s high, and repeats with its seed', () => {
    expect(temperatureAt(5, -2, 9, 1)).to.be.closeTo(-2, 1e-9);
    expect(temperatureAt(14, -2, 9, 1)).to.be.closeTo(9, 1e-9);
    const dayOf = () => ({ tmin: -2, tmax: 9 });
    const hours = lastDay(dayOf, '2030-03-01', 10, 7);
    expect(hours.length).to.equal(24);
    expect(hours[0].at).to.equal('2030-02-28T11:00');
    expect(hours[23].at).to.equal('2030-03-01T10:00');
    expect(Math.min(...hours.map((h) => h.temperature))).to.be.closeTo(-2, 0.11);
    expect(Math.max(...hours.map((h) => h.temperature))).to.be.closeTo(9, 0.11);
    expect(hours).to.deep.equal(lastDay(dayOf, '2030-03-01', 10, 7));
    expect(hours.every((h) => h.humidity >= 25 && h.humidity <= 100 && h.wind >= 0)).to.equal(true);
  });

  it('tells what to bring in before the night, by place; nothing for what bears it', () => {
    const cold = record(120, (i, run) => {
      if (i > 112) [run.tmin[i], run.tmax[i]] = [-6, 1];
    });
    const book = seasonBook(climate, cold);
    const today = cold.from + 119;
    const c = (id: string, bears: number): Exposed => ({
      id,
      code: id.toUpperCase(),
      bears,
      because: 'tender kind',
      book,
      fixed: false,
      placeName: 'Cold frame',
      pieces: '3 trays',
      plants: 180,
    });
    const told = warningsFor([c('oj', 5), c('hb', -25)], book, today, null);
    expect(told.length).to.equal(1);
    expect(told[0]).to.include({ kind: 'frost', ahead: 0, sure: 'expected', plants: 180, carried: true });
    expect(told[0].text).to.match(
      /°C expected tonight at Cold frame: bring in 3 trays of OJ \(tender kind\)/,
    );
    expect(told[0].cohortIds).to.deep.equal(['oj']);
  });

  it('warns of heat ahead and of wind at the station', () => {
    const hot = record(270, (i, run) => {
      if (i > 260) [run.tmin[i], run.tmax[i]] = [21, 38];
    });
    const book = seasonBook(climate, hot);
    const gale = { at: '', temperature: 30, humidity: 40, wind: 11, gust: 19, rain: 0 };
    const kinds = warningsFor([], book, hot.from + 269, gale).map((w) => w.kind);
    expect(kinds).to.have.members(['heat', 'wind']);
    expect(warningsFor([], seasonBook(climate), toDay('2030-03-01'), null)).to.deep.equal([]);
  });
});

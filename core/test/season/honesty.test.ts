import { expect } from 'chai';
import { seasonSpan, toDay } from '@gonimos/core/calendar';
import {
  climateOf,
  exposureBetween,
  frostClass,
  seasonBook,
  seasonMarkers,
  simulate,
  type MarkerDays,
} from '@gonimos/core/season';
import { maritime } from '../sites.ts';

const climate = climateOf(maritime);
const YEAR = 2030;

/** A year that really happened, unknown to the forecast: seeds far from the forecaster's own. */
function truth(seed: number) {
  const { chillFrom, to } = seasonSpan(YEAR, 'north');
  return simulate(climate, 50_000 + seed, chillFrom, to - chillFrom + 1);
}

describe('season: honest forecasts', () => {
  it('the P10–P90 band of bud swell holds eight truths in ten, and narrows from January to March', () => {
    const years = 60;
    const truths = Array.from({ length: years }, (_, y) => {
      const real = truth(y);
      return { real, came: (seasonMarkers(climate, YEAR, real)['bud-swell'] as MarkerDays).p50 };
    });
    const on = (iso: string) => {
      let held = 0;
      const widths: number[] = [];
      for (const { real, came } of truths) {
        const n = toDay(iso) - real.from + 1;
        const known = { from: real.from, tmin: real.tmin.slice(0, n), tmax: real.tmax.slice(0, n) };
        const said = seasonMarkers(climate, YEAR, known)['bud-swell'] as MarkerDays;
        if (came >= said.p10 && came <= said.p90) held++;
        widths.push(said.p90 - said.p10);
      }
      widths.sort((a, b) => a - b);
      return { held: held / years, width: widths[years / 2] };
    };
    const january = on('2030-01-01');
    const march = on('2030-03-01');
    console.log(
      `      1 January holds ${(january.held * 100).toFixed(0)} %, width ${january.width} d; 1 March ${(march.held * 100).toFixed(0)} %, ${march.width} d`,
    );
    expect(january.held).to.be.within(0.72, 0.88);
    expect(march.held).to.be.within(0.72, 0.88);
    expect(march.width).to.be.lessThan(january.width);
    // nothing but arithmetic, and long on a busy machine
  }).timeout(180_000);

  it('the outlook of a day holds its share of what then comes', () => {
    // four nights ahead: one in ten below P10, half below P50, over 400 independent truths
    let below = 0;
    let half = 0;
    const years = 400;
    for (let y = 0; y < years; y++) {
      const real = truth(y);
      const n = 100;
      const known = { from: real.from, tmin: real.tmin.slice(0, n), tmax: real.tmax.slice(0, n) };
      const { low } = seasonBook(climate, known).outlook(real.from + n + 3);
      if (real.tmin[n + 3] < low.p10) below++;
      if (real.tmin[n + 3] < low.p50) half++;
    }
    expect(below / years).to.be.within(0.05, 0.16);
    expect(half / years).to.be.within(0.42, 0.58);
  });
});

describe('season: cold by place', () => {
  const air = seasonBook(climate);
  const glass = seasonBook(climateOf(maritime, { night: 8, day: 8, heatedTo: 15 }), undefined, {
    outside: air,
  });
  const frame = seasonBook(climateOf(maritime, { night: 5, day: 3, heatedTo: null }), undefined, {
    outside: air,
  });

  it('first and last cold nights are counted over all years, dangerous side first', () => {
    const { first, last } = air.coldBelow(-5, YEAR);
    const years = air.years(YEAR);
    const { from } = air.span(YEAR);
    const came = years
      .map((r) => r.tmin.findIndex((t, i) => i >= from - r.from + 171 && t <= -5))
      .filter((i) => i >= 0)
      .map((i) => years[0].from + i)
      .sort((a, b) => a - b);
    // by counting: about one year in ten has had its night by p10
    expect(came.filter((d) => d <= first!.p10).length / years.length).to.be.closeTo(0.1, 0.02);
    expect(came.filter((d) => d <= first!.p02).length / years.length).to.be.within(0.01, 0.05);
    expect(first!.p02).to.be.at.most(first!.p10);
    expect(last!.p02).to.be.at.least(last!.p10);
    expect(glass.coldBelow(-5, YEAR).first).to.equal(null);
  });

  it('classes places by their coldest nights and weighs a move between them', () => {
    expect(frostClass(glass, YEAR).name).to.equal('heated');
    expect(frostClass(air, YEAR).coldest).to.be.lessThan(frostClass(frame, YEAR).coldest);
    const january = toDay('2030-01-20');
    const out = exposureBetween(glass, air, january, -15, false);
    expect(out.safe).to.equal(false);
    expect(out.fall).to.be.greaterThan(10);
    expect(exposureBetween(frame, air, january, -15, false).safe).to.equal(true);
    expect(exposureBetween(glass, air, toDay('2030-07-20'), -15, false).safe).to.equal(true);
  });
});

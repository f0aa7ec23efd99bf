import { expect } from 'chai';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { placeInYear, toDay, toIso } from '@gonimos/core/calendar';
import {
  climateOf,
  dailyNormals,
  dayLength,
  degreeDays,
  MARKERS,
  seasonBook,
  seasonMarkers,
  simulate,
  type MarkerDays,
  type Site,
} from '@gonimos/core/season';
import { CHILL_NEED } from '@gonimos/core/taxa';
import { maritime, mirrored, warmer } from '../sites.ts';

const require = createRequire(import.meta.url);
const MONTHS = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];

/** Real daily weather: the open Seattle record 2012–2015 shipped in the vega-datasets package. */
function seattle(): { date: string; tmax: number; tmin: number }[] {
  const path = require.resolve('vega-datasets').replace(/vega-datasets.*/, 'vega-datasets/data/');
  const rows = readFileSync(`${path}seattle-weather.csv`, 'utf8').trim().split('\n').slice(1);
  return rows.map((r) => {
    const [date, , tmax, tmin] = r.split(',');
    return { date, tmax: Number(tmax), tmin: Number(tmin) };
  });
}

const STANDARD = { id: 'acer-campestre', phenology: 'standard' } as const;
const WARM = { id: 'murraya-paniculata', phenology: 'warm-season' } as const;

const days = (site: Site, name: (typeof MARKERS)[number], year = 2027) =>
  seasonMarkers(climateOf(site), year)[name] as MarkerDays;

describe('season: daily normals', () => {
  it('keeps every monthly mean exactly', () => {
    const monthly = [3.1, 4, 7.2, 9.9, 13.4, 17, 19.1, 18.8, 15.9, 12, 7.3, 4.2];
    const daily = dailyNormals(monthly);
    let at = 0;
    MONTHS.forEach((n, m) => {
      const mean = daily.slice(at, at + n).reduce((a, b) => a + b, 0) / n;
      expect(mean).to.be.closeTo(monthly[m], 1e-6);
      at += n;
    });
  });

  it('gives back a sinusoid from its analytic monthly means', () => {
    // outside check: monthly means of 10 − 8·cos(2π(t − 20)/365) integrated by hand
    const w = (2 * Math.PI) / 365;
    let start = 0;
    const monthly = MONTHS.map((n) => {
      const area = (8 / w) * (Math.sin(w * (start + n - 20)) - Math.sin(w * (start - 20)));
      start += n;
      return 10 - area / n;
    });
    dailyNormals(monthly).forEach((v, d) =>
      expect(v).to.be.closeTo(10 - 8 * Math.cos(w * (d + 0.5 - 20)), 0.06),
    );
  });
});

describe('season: degree days and day length against outside references', () => {
  it('equals numerical integration of the sine on four years of real weather', () => {
    for (const { tmin, tmax } of seattle()) {
      const steps = 2000;
      let sum = 0;
      for (let i = 0; i < steps; i++) {
        const t = ((i + 0.5) / steps) * 2 * Math.PI;
        sum += Math.max(0, (tmin + tmax) / 2 + ((tmax - tmin) / 2) * Math.sin(t) - 5);
      }
      expect(degreeDays(tmin, tmax, 5)).to.be.closeTo(sum / steps, 1e-3);
    }
    expect(() => degreeDays(10, 4, 5)).to.throw(RangeError);
  });

  it('has polar day and polar night', () => {
    expect(dayLength(75, toDay('2027-06-21'))).to.equal(24);
    expect(dayLength(75, toDay('2027-12-21'))).to.equal(0);
  });
});

describe('season: weather years', () => {
  it('repeats with its seed and has the spread and persistence asked for', () => {
    const c = climateOf({ ...maritime, spreadWinter: 2.5, spreadSummer: 2.5 });
    expect(simulate(c, 7, 20000, 50)).to.deep.equal(simulate(c, 7, 20000, 50));
    const run = simulate(c, 3, 20000, 60_000);
    const anomaly = Array.from(run.tmin, (v, i) => v - c.tmin[placeInYear(20000 + i)]);
    const variance = anomaly.reduce((s, x) => s + x * x, 0) / anomaly.length;
    const lag1 = anomaly.slice(1).reduce((s, x, i) => s + x * anomaly[i], 0) / anomaly.length;
    // AR(1) theory: var = 2.5² + 1², lag-one covariance = 0.7·2.5² + e^(−1/45)·1²
    expect(variance).to.be.closeTo(7.25, 0.25);
    expect(lag1).to.be.closeTo(0.7 * 6.25 + Math.exp(-1 / 45), 0.25);
  });

  it('keeps the known days and continues from them', () => {
    const c = climateOf(maritime);
    const known = simulate(c, 99, toDay('2026-11-01'), 100);
    const run = simulate(c, 1, toDay('2026-11-01'), 200, known);
    expect([...run.tmin.slice(0, 100)]).to.deep.equal([...known.tmin]);
    const other = simulate(c, 2, toDay('2026-11-01'), 200, known);
    expect(run.tmin[150]).not.to.equal(other.tmin[150]);
  });
});

describe('season: markers', () => {
  it('moves every marker by half a year when the normals are turned round', () => {
    const north = seasonMarkers(climateOf(maritime), 2027);
    const south = seasonMarkers(climateOf(mirrored(maritime)), 2027);
    const moved: Record<string, number> = {};
    for (const name of MARKERS) {
      const n = north[name];
      const s = south[name];
      expect(n.kind, name).to.equal(s.kind);
      if (n.kind === 'no-marker' || s.kind === 'no-marker') continue;
      for (const q of ['p10', 'p50', 'p90'] as const) {
        moved[`${name} ${q}`] = s[q] - n[q];
        expect(s[q] - n[q], `${name} ${q}`).to.be.within(179, 189);
      }
    }
    console.log('      moved by', Object.values(moved).join(' '), 'days');
  });

  it('opens earlier where it is 3 °C warmer and chill is met, later for beech, later where colder', () => {
    const at = (site: Site, name: 'bud-swell' | 'bud-swell-late') => days(site, name);
    const rows = [-3, 0, 3].map((d) => {
      const site = warmer(maritime, d);
      const early = at(site, 'bud-swell');
      const late = at(site, 'bud-swell-late');
      console.log(
        `      ${d} °C: bud swell ${toIso(early.p50)} (chill P10 ${early.chill!.p10.toFixed(0)} d),`,
        `beech ${toIso(late.p50)} (chill P10 ${late.chill!.p10.toFixed(0)} d)`,
      );
      return { early: early.p50, late: late.p50, chill: early.chill!.p10 };
    });
    const [cold, here, warm] = rows;
    expect(warm.chill, 'chill of ordinary kinds is met nine years in ten').to.be.at.least(
      CHILL_NEED.standard.value,
    );
    expect(here.early - warm.early).to.be.at.least(4);
    expect(cold.early - here.early).to.be.at.least(10);
    expect(warm.late).to.be.greaterThan(here.late);
    expect(cold.late).to.be.greaterThan(here.late);
  });

  it('narrows as the record grows and calls a passed marker passed', () => {
    const c = climateOf(maritime);
    const truth = simulate(c, 4321, toDay('2026-11-01'), 400);
    const upTo = (iso: string) => {
      const n = toDay(iso) - truth.from + 1;
      const known = { from: truth.from, tmin: truth.tmin.slice(0, n), tmax: truth.tmax.slice(0, n) };
      return seasonBook(c, known).marker('bud-swell', 2027, STANDARD) as MarkerDays;
    };
    const jan = upTo('2027-01-01');
    const march = upTo('2027-03-05');
    const june = upTo('2027-06-01');
    expect(march.p90 - march.p10).to.be.lessThan(jan.p90 - jan.p10);
    expect(june.passed).to.equal(true);
    expect(june.p10).to.equal(june.p90);
  });

  it('gives tropical kinds no bud marker, and says why', () => {
    const book = seasonBook(climateOf(maritime, { night: 8, day: 8, heatedTo: 17 }));
    const swell = book.marker('bud-swell', 2027, WARM);
    expect(swell.kind).to.equal('no-marker');
    expect(book.marker('warm-season', 2027, WARM).kind).to.equal('days');
    expect(book.marker('first-frost', 2027, STANDARD))
      .to.have.property('why')
      .match(/no frost/);
  });
});

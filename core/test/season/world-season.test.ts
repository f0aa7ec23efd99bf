import { Body, Observer, SearchRiseSet } from 'astronomy-engine';
import { expect } from 'chai';
import { dayOf, toIso } from '@gonimos/core/calendar';
import { TYPICAL_CLIMATES, wrongHemisphere } from '@gonimos/core/climates';
import {
  climateOf,
  coldestMonth,
  dayLength,
  LEAST_SAFE,
  seasonBook,
  staysIn,
  unsuited,
  type MarkerDays,
  type Site,
} from '@gonimos/core/season';
import { taxon } from '@gonimos/core/taxa';
import { worldOf } from '../matrix/world.ts';
import { maritime, mirrored } from '../sites.ts';

const ZONE = { longitude: 0, timeZone: 'UTC' };

/**
 * Mean monthly air temperature at Nottingham Castle, °F, means over 1920–1939: R’s `nottem` (Anderson 1976, Time
 * Series Analysis and Forecasting; means from memory, to half a degree). The daily range is assumed: 6 °C in midwinter,
 * 10 °C in midsummer.
 */
const NOTTEM_F = [39.7, 39.2, 42.2, 46.3, 52.6, 58.0, 61.9, 60.5, 56.5, 49.5, 42.6, 39.5];
const RANGE_C = [6, 6.5, 7.5, 8.5, 9.5, 10, 10, 9.5, 9, 7.5, 6.5, 6];
const nottingham: Site = {
  ...ZONE,
  latitude: 52.95,
  elevation: 60,
  spreadWinter: 3,
  spreadSummer: 2.3,
  tmin: NOTTEM_F.map((f, i) => ((f - 32) * 5) / 9 - RANGE_C[i] / 2),
  tmax: NOTTEM_F.map((f, i) => ((f - 32) * 5) / 9 + RANGE_C[i] / 2),
};

describe('the season all over the world', () => {
  it('a real monthly climate (nottem) gives plausible days', () => {
    const markers = seasonBook(climateOf(nottingham)).season(2028);
    const p50 = (name: keyof typeof markers) => toIso((markers[name] as MarkerDays).p50);
    for (const name of [
      'bud-swell',
      'bud-break',
      'flush-hard',
      'last-frost',
      'first-frost',
      'leaf-fall-done',
    ] as const)
      console.log(`      ${name.padEnd(15)} ${p50(name)}`);
    const between = (name: keyof typeof markers, from: string, to: string) =>
      expect(p50(name) >= from && p50(name) <= to, `${name} ${p50(name)}`).to.equal(true);
    // what gardens of the English Midlands are like; common practice, no source
    between('bud-swell', '2028-03-10', '2028-04-20');
    between('bud-break', '2028-04-01', '2028-05-10');
    between('flush-hard', '2028-05-25', '2028-07-10');
    between('last-frost', '2028-03-25', '2028-05-10');
    between('first-frost', '2028-10-15', '2028-11-25');
    between('leaf-fall-done', '2028-10-20', '2028-11-20');
  });

  it('day length agrees with the astronomy-engine library within one minute below 60°, for decades', () => {
    let worst = 0;
    for (const lat of [-59.5, -38, -12, 0, 19, 34, 43.2, 52, 59.5])
      for (let day = dayOf(2026, 1, 1); day < dayOf(2050, 1, 1); day += 97) {
        const where = new Observer(lat, 0, 0);
        const rise = SearchRiseSet(Body.Sun, where, +1, new Date(day * 86_400_000), 1)!;
        const set = SearchRiseSet(Body.Sun, where, -1, rise.date, 1)!;
        const minutes = (set.date.getTime() - rise.date.getTime()) / 60_000;
        worst = Math.max(worst, Math.abs(60 * dayLength(lat, day) - minutes));
      }
    console.log(`      largest difference ${worst.toFixed(2)} min`);
    expect(worst).to.be.below(1);
  });

  it('early and late kinds differ by five to six weeks at the buds, their leaves by half of it', () => {
    const book = seasonBook(climateOf(maritime));
    const day = (name: 'bud-swell' | 'bud-break' | 'roots-active' | 'leaf-fall-done', id: string) =>
      (book.marker(name, 2030, taxon(id)) as MarkerDays).p50;
    // hawthorn is early, English oak late, field maple between
    const apart = (name: Parameters<typeof day>[0]) =>
      day(name, 'quercus-robur') - day(name, 'crataegus-monogyna');
    expect(apart('bud-break')).to.be.within(35, 42);
    expect(apart('bud-swell')).to.equal(apart('bud-break'));
    expect(apart('roots-active')).to.equal(apart('bud-break'));
    expect(apart('leaf-fall-done')).to.be.within(17, 21);
    const between = day('bud-swell', 'acer-campestre');
    expect(
      day('bud-swell', 'crataegus-monogyna') < between && between < day('bud-swell', 'quercus-robur'),
    ).to.equal(true);
  });

  it('winters too warm for a kind are named, with what would do instead; so is a place too cool for a tropical one', () => {
    const tropics = worldOf('wet-tropics').outdoors;
    const maple = unsuited(taxon('acer-palmatum'), tropics)!;
    expect(maple.code).to.equal('winters-too-warm');
    expect(maple.text).to.match(/coldest month here has a mean of 27\.\d °C/);
    expect(maple.instead).to.match(/fig/);
    expect(tropics.marker('bud-swell', 2030, taxon('acer-palmatum')).kind).to.equal('no-marker');
    expect(unsuited(taxon('ficus-microcarpa'), tropics)).to.equal(null);
    const cool = worldOf('north-maritime');
    expect(unsuited(taxon('ficus-microcarpa'), cool.outdoors)!.code).to.equal('never-warm-enough');
    expect(unsuited(taxon('ficus-microcarpa'), cool.house)).to.equal(null);
    expect(unsuited(taxon('acer-palmatum'), cool.house), 'under glass it rests in the open air').to.equal(
      null,
    );
  });

  it('tender kinds stay in where six weeks of safe nights are not to be had, and why is said', () => {
    const north = worldOf('baltic').outdoors;
    expect(staysIn(north, 10, 2030)).to.match(/in every month here: it stays in|only \d+ days lie between/);
    expect(staysIn(north, -5, 2030)).to.equal(null);
    expect(staysIn(worldOf('wet-tropics').outdoors, 10, 2030)).to.equal(null);
    const { safe, first, last } = worldOf('great-lakes').outdoors.coldBelow(2, 2030);
    expect(safe).to.be.greaterThan(LEAST_SAFE);
    expect(first!.p01 - last!.p01).to.equal(safe);
    expect(first!.p01 <= first!.p02 && first!.p02 <= first!.p10).to.equal(true);
  });
});

describe('typical climates', () => {
  it('are at least two dozen over the world, whole, and on the right side of the equator', () => {
    expect(TYPICAL_CLIMATES.length).to.be.at.least(24);
    expect(TYPICAL_CLIMATES.filter((c) => c.latitude < 0).length).to.be.at.least(6);
    for (const c of TYPICAL_CLIMATES) {
      expect([c.tmin.length, c.tmax.length], c.id).to.deep.equal([12, 12]);
      expect(
        c.tmin.every((t, i) => t < c.tmax[i]),
        c.id,
      ).to.equal(true);
      expect(wrongHemisphere(c), c.id).to.equal(null);
    }
    const means = TYPICAL_CLIMATES.map((c) => coldestMonth(climateOf({ ...c, ...ZONE })));
    expect(Math.min(...means)).to.be.below(-10);
    expect(Math.max(...means)).to.be.above(25);
  });

  it('warm months that do not fit the hemisphere are a fault; near the equator there is nothing to tell it by', () => {
    expect(wrongHemisphere({ ...maritime, latitude: -43.2 })).to.match(/south of the equator, but/);
    expect(wrongHemisphere({ ...mirrored(maritime), latitude: 43.2 })).to.match(/north of the equator, but/);
    expect(wrongHemisphere(mirrored(maritime))).to.equal(null);
    const flat = Array<number>(12).fill(24);
    expect(wrongHemisphere({ latitude: 2, tmin: flat, tmax: flat.map((t) => t + 7) })).to.equal(null);
  });
});

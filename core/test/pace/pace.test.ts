import { expect } from 'chai';
import { dryness, mistAfter, Paces, saturation, type Sittings } from '@gonimos/core/pace';
import { operation } from '@gonimos/core/operations';
import { taxon } from '@gonimos/core/taxa';

const WORK = 'root-correct';
const usual = operation(WORK).minutes.value;
const sat = (minutes: number, sittings: number, more: Partial<Sittings> = {}): Sittings => ({
  operation: WORK,
  taxonId: 'acer-campestre',
  personId: 'a',
  minutes,
  sittings,
  ...more,
});

describe('pace: what the clock teaches', () => {
  it('leaves the library’s minutes until three sittings are known, then moves towards what was seen', () => {
    expect(new Paces([]).of(WORK, 'acer-campestre')).to.deep.equal({ minutes: usual, sittings: 0 });
    expect(new Paces([sat(usual * 2, 2)]).of(WORK, 'acer-campestre').minutes).to.equal(usual);
    const after = (n: number) => new Paces([sat(usual * 2, n)]).of(WORK, 'acer-campestre').minutes / usual;
    expect(after(3)).to.be.within(1.5, 1.75);
    expect(after(60)).to.be.within(1.9, 2.05);
    expect(after(3)).to.be.below(after(12));
  });

  it('another kind learns from the work, and more from sittings of its own', () => {
    const paces = new Paces([sat(usual * 2, 20), sat(usual / 2, 20, { taxonId: 'taxus-baccata' })]);
    const slow = paces.of(WORK, 'acer-campestre').minutes;
    const quick = paces.of(WORK, 'taxus-baccata').minutes;
    const between = paces.of(WORK, 'ginkgo-biloba').minutes;
    expect(quick).to.be.below(between).and.below(usual);
    expect(slow).to.be.above(between).and.above(usual);
    // twice and half as long, equally often: as the library has it
    expect(between / usual).to.be.within(0.95, 1.05);
  });

  it('tells who is quick and who is slow at the same work', () => {
    const paces = new Paces([sat(usual * 1.5, 30), sat(usual / 1.5, 30, { personId: 'b' })]);
    expect(paces.person('a').factor).to.be.within(1.3, 1.55);
    expect(paces.person('b').factor).to.be.within(0.65, 0.77);
    expect(paces.person('nobody')).to.deep.equal({ factor: 1, sittings: 0 });
  });
});

describe('pace: bare roots', () => {
  it('vapour pressure of saturated air as in FAO Irrigation and Drainage Paper 56, table 2.3 (from memory)', () => {
    const table: [celsius: number, kPa: number][] = [
      [1, 0.657],
      [10, 1.228],
      [20, 2.338],
      [25, 3.168],
      [30, 4.243],
      [40, 7.376],
    ];
    for (const [celsius, kPa] of table) expect(saturation(celsius)).to.be.closeTo(kPa, 0.002 * kPa);
    expect(dryness(20, 100)).to.equal(0);
    expect(dryness(20, 50)).to.be.closeTo(1.169, 0.003);
  });

  it('every few minutes in mild air; sooner in hot and dry, later in mist, never for roots that are left dry', () => {
    const maple = taxon('acer-campestre');
    const at = (temperature: number, humidity: number) => mistAfter(maple, { temperature, humidity })!;
    expect(at(18, 60)).to.be.within(4, 6);
    expect(at(30, 30)).to.be.within(1, 2);
    expect(at(8, 95)).to.equal(12);
    expect(mistAfter(taxon('lavandula-angustifolia'), { temperature: 18, humidity: 60 })!).to.be.below(
      at(18, 60),
    );
    expect(mistAfter(taxon('adenium-obesum'), { temperature: 30, humidity: 30 })).to.equal(null);
  });
});

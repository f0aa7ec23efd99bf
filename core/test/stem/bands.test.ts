import { expect } from 'chai';
import fc from 'fast-check';
import { bandFaults, BANDS, layBand, stemAt, type StemBand } from '@gonimos/core/stem';
import { METALS } from '@gonimos/core/wire';
import { part, stem } from './drawn.ts';

const band = (more: Partial<StemBand> = {}): StemBand => ({
  what: 'tourniquet',
  at: 12,
  metal: 'copper',
  ...more,
});

describe('what goes around the base of a stem', () => {
  it('a tourniquet by hand: two turns of 3 mm around 29.6 mm, and its ends twisted; weight by density', () => {
    // a cone of 30 to 1.5 mm over 900: 29.62 mm at 12 mm
    const laid = layBand(stem([]), band());
    expect(laid.gauge).to.equal(3);
    expect(laid.length).to.be.closeTo(2 * Math.PI * (29.62 + 3) + 60, 1e-6);
    // 8.96 g/cm³: CRC Handbook of Chemistry and Physics, from memory
    expect(laid.grams).to.be.closeTo(((Math.PI * 0.15 ** 2 * laid.length) / 10) * 8.96, 1e-6);
    expect(laid.words).to.equal('at 12 mm, 2 turns');
    expect(laid.stretch.of).to.be.closeTo(29.62 / 30, 1e-9);
    expect(laid.stretch.share).to.be.closeTo(1, 1e-9);
  });

  it('a cage stands on the thickest, the base: uprights as high as it is, bound by loops', () => {
    const laid = layBand(stem([]), band({ what: 'cage wire', at: 80 }));
    // 12 mm apart around 32 mm: eight; bound each 40 mm: three
    expect(laid.words).to.equal('from the soil to 80 mm, 8 uprights and 3 loops');
    expect(laid.length).to.be.closeTo(8 * 80 + 3 * (Math.PI * (30 + 6) + 30), 1e-6);
    expect(laid.stretch.of).to.equal(1);
  });

  it('crown below it does not make it bite', () => {
    const low = stem([part('a', 40, { diameter: 9 }), part('b', 500, { diameter: 9 })]);
    const above = layBand(low, band({ at: 100 })).stretch.share;
    const below = layBand(low, band({ at: 20 })).stretch.share;
    expect(above).to.be.below(below);
    expect(below).to.be.closeTo(1, 1e-9);
  });

  it('property: never thicker than what holds such a stem, heavier the farther around, and within the plant', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...BANDS),
        fc.constantFrom(...(Object.keys(METALS) as StemBand['metal'][])),
        fc.double({ min: 4, max: 120, noNaN: true }),
        fc.integer({ min: 20, max: 300 }),
        (what, metal, base, at) => {
          const record = stem([], { base, height: 600 });
          const laid = layBand(record, { what, at, metal });
          const wider = layBand({ ...record, base: base * 1.5 }, { what, at, metal });
          expect(laid.gauge).to.be.within(1, 3);
          expect(wider.length).to.be.above(laid.length);
          expect(laid.stretch.of).to.be.within(stemAt(record, at) / base - 1e-9, 1);
          expect(bandFaults(record, [{ what, at, metal }])).to.deep.equal([]);
        },
      ),
    );
  });

  it('what cannot be is told by its field', () => {
    const fault = (...bands: StemBand[]) =>
      bandFaults({ height: 300 }, bands).map((f) => `${f.field} ${f.text}`);
    expect(fault(band({ at: 300 }))).to.deep.equal(['bands[0].at is above the tip, 300 mm']);
    expect(fault(band({ what: 'cage wire', at: 8 }))[0]).to.contain('it would hold nothing');
    expect(fault(band(), band({ at: 30 }))).to.deep.equal(['bands[1].what is there already']);
    expect(fault(band(), band({ what: 'cage wire', at: 60 }))).to.deep.equal([]);
  });
});

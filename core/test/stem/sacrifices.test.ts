import { expect } from 'chai';
import fc from 'fast-check';
import {
  ENOUGH_LIGHT,
  lightAt,
  sacrificesOf,
  sideBetween,
  stemFaults,
  type StemPart,
} from '@gonimos/core/stem';
import { taxon } from '@gonimos/core/taxa';
import { MAPLE, part, stem } from './drawn.ts';

describe('sacrifices', () => {
  const sac = (id: string, height: number, more: Partial<StemPart> = {}) =>
    part(id, height, { kind: 'sacrifice', since: '2036-04-01', foliage: 0.6, diameter: 5, ...more });

  it('raise the base and not the stem above them, thicken, and have to come off before bark cannot hide it', () => {
    const [look] = sacrificesOf(stem([sac('s', 80)]), MAPLE, taxon('acer-campestre'));
    expect(look.base.with).to.be.above(look.base.without);
    const thick = look.years.map((y) => y.diameter);
    expect(thick.every((d, i) => i === 0 || d > thick[i - 1])).to.equal(true);
    expect(look.offBy).to.be.within(2037, 2046);
    const then = look.years.find((y) => y.year === look.offBy)!;
    expect(then.share).to.be.at.most(0.45);
    expect(then.shut).to.be.at.most(6);
  });

  it('coarse bark hides a wider scar: it may stay at least as long', () => {
    const smooth = taxon('acer-campestre');
    const by = (bark: 'smooth' | 'coarse') =>
      sacrificesOf(stem([sac('s', 80)]), MAPLE, { ...smooth, bark })[0].offBy ?? 0;
    expect(by('coarse')).to.be.at.least(by('smooth'));
  });

  it('are taken in turns, the one that is thickest first; one that is too thick already is late', () => {
    const looks = sacrificesOf(
      stem([sac('young', 80, { diameter: 3, foliage: 0.3 }), sac('fat', 60, { diameter: 22 })]),
      MAPLE,
      taxon('acer-campestre'),
    );
    expect(looks.map((l) => l.part.id)).to.deep.equal(['fat', 'young']);
    expect(looks[0].offBy).to.equal(null);
  });

  it('take the light from what stands below them on their side, not from the other side or above', () => {
    const [look] = sacrificesOf(
      stem([
        sac('s', 200, { azimuth: 90 }),
        part('under', 120, { azimuth: 110 }),
        part('bud', 60, { kind: 'bud', diameter: 0, azimuth: 70 }),
        part('behind', 120, { azimuth: 270 }),
        part('above', 300, { azimuth: 90 }),
      ]),
      MAPLE,
      taxon('acer-campestre'),
    );
    expect(look.keepers.map((k) => k.part.id)).to.have.members(['under', 'bud']);
  });

  it('a keeper is wired by the least turn into enough light; a bud and a stiff branch are only thinned over', () => {
    const [look] = sacrificesOf(
      stem([
        sac('s', 200, { azimuth: 90, foliage: 1 }),
        part('soft', 150, { azimuth: 90, diameter: 3 }),
        part('stiff', 150, { azimuth: 100, diameter: 14 }),
        part('bud', 180, { kind: 'bud', diameter: 0, azimuth: 80 }),
      ]),
      MAPLE,
      taxon('acer-campestre'),
    );
    const by = new Map(look.keepers.map((k) => [k.part.id, k]));
    // right below by 50 of 250 mm, under a full crown: 0.9 · 0.8 of the light is gone, half of that once thinned
    expect(by.get('soft')!.light).to.be.closeTo(0.28, 1e-9);
    expect(by.get('soft')!.thinned).to.be.closeTo(0.64, 1e-9);
    // 0.72 · (1 − turn ÷ 75) ≤ 0.4 from 33.3° on: 35° by steps of five
    expect(sideBetween(by.get('soft')!.wired!.azimuth, 90)).to.equal(35);
    expect(by.get('soft')!.wired!.light).to.be.at.least(ENOUGH_LIGHT);
    expect([by.get('stiff')!.wired, by.get('bud')!.wired]).to.deep.equal([null, null]);
    expect(look.keepers[0].part.id).to.equal('soft');
  });

  it('property: light is a share, least right below, full above and behind; wiring never takes any', () => {
    const many = fc.array(
      fc.tuple(
        fc.integer({ min: 60, max: 600 }),
        fc.integer({ min: 0, max: 359 }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
      ),
      { minLength: 1, maxLength: 4 },
    );
    fc.assert(
      fc.property(
        many,
        fc.integer({ min: 0, max: 590 }),
        fc.integer({ min: 0, max: 359 }),
        (sacs, height, azimuth) => {
          const kept = part('k', height, { azimuth, diameter: 3 });
          const r = stem([
            kept,
            ...sacs.map(([h, a, foliage], i) => sac(`s${i}`, h, { azimuth: a, foliage })),
          ]);
          const light = lightAt(r, height, azimuth);
          expect(light).to.be.within(0, 1);
          expect(lightAt(r, 650, azimuth)).to.equal(1);
          const k = sacrificesOf(r, { ...MAPLE, year: 2037 }, taxon('acer-campestre'))
            .flatMap((l) => l.keepers)
            .find((x) => x.part.id === 'k');
          if (!k) expect(light).to.equal(1);
          else {
            expect(k.thinned).to.be.at.least(k.light);
            if (k.wired) expect(k.wired.light).to.be.above(k.light);
          }
        },
      ),
      { numRuns: 12 },
    );
  });

  it('one that feeds roots gives its wood to the roots of its side first, and none is made from nothing', () => {
    const roots = [
      { azimuth: 90, diameter: 6 },
      { azimuth: 120, diameter: 6 },
      { azimuth: 270, diameter: 6 },
    ];
    const [look] = sacrificesOf(
      stem([sac('s', 80, { feeds: 'roots' })]),
      MAPLE,
      taxon('acer-campestre'),
      roots,
    );
    expect(look.roots.map((r) => r.azimuth)).to.deep.equal([90, 120]);
    const { with: kept, without } = look.base;
    for (const r of look.roots) expect(r.then).to.be.above(r.now);
    // equal roots: cross-section of all three is 108 of the base's 900 (mm², without π ÷ 4)
    const conducts = 108 / 900;
    const each = 36 + ((without ** 2 - 900) * conducts) / 3 + ((kept ** 2 - without ** 2) * conducts) / 2;
    expect(look.roots[0].then).to.be.closeTo(Math.sqrt(each), 1e-9);
    const trunk = sacrificesOf(stem([sac('s', 80)]), MAPLE, taxon('acer-campestre'), roots)[0];
    expect(trunk.roots).to.deep.equal([]);
  });

  it('one kept for the next layer swells the stem where that will be ringed, and is not hurried by its scar', () => {
    const record = stem([sac('s', 300, { feeds: 'layer', diameter: 12 })]);
    const [look] = sacrificesOf(record, MAPLE, taxon('acer-campestre'));
    expect(look.ring!.at).to.equal(275);
    expect(look.ring!.with).to.be.above(look.ring!.without);
    expect(look.offBy).to.equal(2039);
    const [trunk] = sacrificesOf(stem([sac('s', 300, { diameter: 12 })]), MAPLE, taxon('acer-campestre'));
    expect(trunk.offBy === null || trunk.offBy < 2039).to.equal(true);
    expect(trunk.ring).to.equal(null);
  });

  it('whom a sacrifice feeds is told of sacrifices alone', () => {
    expect(stemFaults(stem([part('a', 100, { feeds: 'roots' })])).map((f) => f.field)).to.deep.equal([
      'parts[0].since',
    ]);
  });
});

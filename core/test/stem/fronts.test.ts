import { expect } from 'chai';
import fc from 'fast-check';
import { compareFronts, frontAt } from '@gonimos/core/stem';
import { part, stem } from './drawn.ts';

const root = (azimuth: number, diameter: number) => ({ azimuth, diameter });

// all of it common practice, no source
describe('fronts compared', () => {
  it('by hand: no branch at the viewer, one to the side, one behind, strong roots left and right', () => {
    // the front at 180°: a to the right (90°), b behind (0°), c at the viewer
    const parts = [
      part('a', 90, { azimuth: 90 }),
      part('b', 120, { azimuth: 0 }),
      part('c', 150, { azimuth: 180 }),
    ];
    const roots = [root(90, 6), root(270, 6)];
    const { terms } = frontAt(stem(parts), 180, 300, roots);
    const points = Object.fromEntries(terms.map((t) => [t.label, t.points]));
    expect(points['branches at the viewer low down']).to.equal(-2);
    expect(points['a low branch to the side']).to.equal(1.5);
    expect(points['a branch behind']).to.equal(1);
    // a third of the crown stands straight aside, 1.5 of it
    expect(points['weight to one side']).to.be.closeTo(-0.5, 1e-9);
    // half of the roots on either side
    expect(points['strong roots to both sides']).to.be.closeTo(2, 1e-9);
    expect(points['a root straight at the viewer']).to.equal(undefined);
  });

  it('a stub is turned away from, and a root that comes at the viewer', () => {
    const [best] = compareFronts(
      stem([part('s', 100, { kind: 'stub', diameter: 20, azimuth: 180 })]),
      300,
      [],
    );
    expect(Math.abs(((best.front - 180 + 540) % 360) - 180)).to.be.at.least(60);
    const at = (front: number) => frontAt(stem([]), front, 300, [root(200, 9)]).points;
    expect(at(200)).to.be.below(at(90));
  });

  it('property: candidates stand apart, the best is no worse than any front, and turning the plant turns the answer', () => {
    const someone = fc.record({
      height: fc.integer({ min: 10, max: 280 }),
      azimuth: fc.integer({ min: 0, max: 35 }).map((x) => x * 10),
      diameter: fc.integer({ min: 1, max: 12 }),
    });
    fc.assert(
      fc.property(
        fc.array(someone, { maxLength: 8 }),
        fc.array(someone, { maxLength: 8 }),
        (above, below) => {
          const turned = (by: number) =>
            compareFronts(
              stem(above.map((p, i) => part(`p${i}`, p.height, { ...p, azimuth: (p.azimuth + by) % 360 }))),
              300,
              below.map((r) => root((r.azimuth + by) % 360, r.diameter)),
            );
          const best = turned(0);
          for (const [i, f] of best.entries())
            for (const g of best.slice(0, i))
              expect(Math.abs(((f.front - g.front + 540) % 360) - 180)).to.be.at.least(40);
          expect(turned(90)[0].points).to.be.closeTo(best[0].points, 1e-9);
          expect(best[0].points).to.be.at.least(best.at(-1)!.points);
        },
      ),
    );
  });
});

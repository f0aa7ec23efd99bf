import { expect } from 'chai';
import fc from 'fast-check';
import { bendIn } from '@gonimos/core/bends';
import type { StemPart, StemRecord } from '@gonimos/core/stem';

const shoot = (diameter: number, rise: number | null, more: Partial<StemPart> = {}): StemPart => ({
  id: 'a',
  kind: 'shoot',
  height: 120,
  azimuth: 90,
  diameter,
  since: null,
  foliage: null,
  rise,
  note: '',
  ...more,
});
const record = (parts: StemPart[]): StemRecord => ({ base: 20, height: 500, front: 180, girths: [], parts });
const bent = (p: StemPart) => bendIn(record([p]), p, 'pine');

describe('a shoot bent into the line', () => {
  it('by hand: 4 mm, rising 45°, 160 mm long, turns 30° over 64 mm; pine of one year bears a strain of 0.12', () => {
    const b = bent(shoot(4, 45))!;
    expect(b.turn).to.equal(30);
    expect(b.radius).to.be.closeTo(64 / (Math.PI / 6), 1e-9);
    expect(b.bears).to.be.closeTo(2 / 0.12, 1e-9);
    expect(b.goes).to.equal(true);
  });

  it('older wood bears less, and what is short and thick is too stiff', () => {
    expect(bent(shoot(8, 0, { kind: 'branch' }))!.bears).to.be.above(bent(shoot(8, 0))!.bears);
    expect(bent(shoot(12, -20, { kind: 'branch', long: 120 }))!.goes).to.equal(false);
  });

  it('what is up already need not turn; buds, stubs and sacrifices are not bent in', () => {
    expect(bent(shoot(4, 80))).to.include({ turn: 0, goes: true });
    for (const kind of ['bud', 'stub', 'sacrifice'] as const)
      expect(bent(shoot(4, 45, { kind }))).to.equal(null);
  });

  it('property: the longer or the steeper, never the harder; the thicker at one length, never the easier', () => {
    const mm = fc.double({ min: 1, max: 15, noNaN: true });
    fc.assert(
      fc.property(
        mm,
        fc.integer({ min: -30, max: 74 }),
        fc.integer({ min: 50, max: 900 }),
        (d, rise, long) => {
          const slack = (p: StemPart) => {
            const b = bent(p)!;
            return b.radius / b.bears;
          };
          const now = slack(shoot(d, rise, { long }));
          expect(slack(shoot(d, rise, { long: long * 1.2 }))).to.be.at.least(now);
          expect(slack(shoot(d, rise + 1, { long }))).to.be.at.least(now);
          expect(slack(shoot(d * 1.1, rise, { long }))).to.be.at.most(now);
        },
      ),
    );
  });
});

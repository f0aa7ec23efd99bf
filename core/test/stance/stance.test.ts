import { expect } from 'chai';
import { leanFrom, leanOn, leanSeen, standAlike, type Lean } from '@gonimos/core/stance';

const RAD = Math.PI / 180;
const stance = { front: 180, tilt: 0, towards: 0, aside: 0, behind: 0 };

/** Where the tip of an upright stem of length 1 comes to when it is turned about a level axis by a lean: Rodrigues. */
function turnedBy(v: readonly [number, number, number], { tilt, towards }: Lean): [number, number, number] {
  // the axis lies level, a quarter turn before the direction of the lean; x is east, y north, z up
  const k = [Math.sin((towards - 90) * RAD), Math.cos((towards - 90) * RAD), 0] as const;
  const angle = -tilt * RAD;
  const cross = [k[1] * v[2] - k[2] * v[1], k[2] * v[0] - k[0] * v[2], k[0] * v[1] - k[1] * v[0]] as const;
  const dot = k[0] * v[0] + k[1] * v[1] + k[2] * v[2];
  const part = (i: 0 | 1 | 2) =>
    v[i] * Math.cos(angle) + cross[i] * Math.sin(angle) + k[i] * dot * (1 - Math.cos(angle));
  return [part(0), part(1), part(2)];
}
const apart = (a: readonly number[], b: readonly number[]) =>
  Math.acos(Math.min(1, a[0] * b[0] + a[1] * b[1] + a[2] * b[2])) / RAD;
const tipOf = (lean: Lean) => turnedBy([0, 0, 1], lean);

describe('how a plant stands', () => {
  it('a lean towards the viewer’s right is seen whole, one towards the viewer not at all', () => {
    // the front looks south: who stands there has the east at the right hand
    expect(leanSeen({ front: 180, tilt: 10, towards: 90 })).to.be.closeTo(10, 1e-9);
    expect(leanSeen({ front: 180, tilt: 10, towards: 270 })).to.be.closeTo(-10, 1e-9);
    expect(leanSeen({ front: 180, tilt: 10, towards: 180 })).to.be.closeTo(0, 1e-9);
    // half aside: the tip is seen at tan 10° · sin 45°
    expect(Math.tan(leanSeen({ front: 180, tilt: 10, towards: 45 }) * RAD)).to.be.closeTo(
      0.17632698 * Math.SQRT1_2,
      1e-7,
    );
  });

  it('leans are within two degrees of turning it one after the other (rotation by Rodrigues’ formula)', () => {
    for (let a = 0; a < 360; a += 30)
      for (let b = 0; b < 360; b += 30)
        for (const [one, other] of [
          [5, 5],
          [10, 20],
          [20, 20],
        ]) {
          const first = { tilt: one, towards: a };
          const more = { tilt: other, towards: b };
          const turned = turnedBy(tipOf(first), more);
          expect(apart(tipOf(leanOn(first, more)), turned), `${one}° ${a}, ${other}° ${b}`).to.be.below(2);
        }
  });

  it('what is added to come from one lean to another brings it there, and back upright', () => {
    const from = { tilt: 12, towards: 40 };
    const to = { tilt: 7, towards: 300 };
    const there = leanOn(from, leanFrom(from, to));
    expect(there.tilt).to.be.closeTo(7, 1e-9);
    expect(there.towards).to.be.closeTo(300, 1e-9);
    const upright = leanOn(from, leanFrom(from, { tilt: 0, towards: 123 }));
    expect(upright.tilt).to.be.closeTo(0, 1e-9);
  });

  it('which way an upright plant leans makes no difference; a front is near its own over north', () => {
    expect(standAlike(stance, { ...stance, towards: 200 })).to.equal(true);
    expect(standAlike({ ...stance, front: 359.5 }, { ...stance, front: 0.2 })).to.equal(true);
    expect(standAlike(stance, { ...stance, front: 183 })).to.equal(false);
    expect(standAlike({ ...stance, tilt: 5, towards: 10 }, { ...stance, tilt: 5, towards: 190 })).to.equal(
      false,
    );
    expect(standAlike(stance, { ...stance, behind: 4 })).to.equal(false);
  });
});

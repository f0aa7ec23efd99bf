import { expect } from 'chai';
import fc from 'fast-check';
import { branchesMeet, spotsFor, type Group, type Limb, type Member } from '@gonimos/core/fusing';

const limb = (azimuth: number, height: number, reach: number, diameter = 3): Limb => ({
  azimuth,
  height,
  reach,
  diameter,
});
const member = (id: string, base: number, branches: Limb[]): Member => ({
  id,
  base,
  height: base * 30,
  curve: null,
  roots: [],
  branches,
});
/** Two stems: the thick one in the middle, the other 20 mm to the right, or wherever it is said to stand. */
const group = (more: Partial<Group> = {}): Group => ({
  stood: [
    { id: 'big', place: 0, turn: 0 },
    { id: 'small', place: 1, turn: 0 },
  ],
  spots: [
    { x: 0, y: 0 },
    { x: 20, y: 0 },
  ],
  worth: 0,
  occupied: 0,
  goes: [],
  ...more,
});

/** What growers do: common practice, no source. */
describe('branches of neighbours', () => {
  it('by hand: where two cross at one height the smaller tree’s is shortened before it, or goes if little is left', () => {
    // big's runs north-east to (60, 60); small's from (20, 0) north to (20, 100): they cross at (20, 20)
    const big = member('big', 24, [limb(45, 100, 85)]);
    const small = member('small', 12, [limb(0, 110, 100)]);
    expect(branchesMeet([big, small], group())).to.deep.equal([
      { id: 'small', branch: 0, other: 'big', otherBranch: 0, to: null, why: 'crosses' },
    ]);
    // its stem stands farther off: at (0, −60) to (0, 100) it meets one that runs west to east over (0, 30)
    const far = group({
      spots: [
        { x: -40, y: 30 },
        { x: 0, y: -60 },
      ],
    });
    const over = member('big', 24, [limb(90, 100, 120)]);
    const long = member('small', 12, [limb(0, 100, 160)]);
    // 90 of 160 mm along, less 8 to stay clear
    expect(branchesMeet([over, long], far)[0].to).to.equal(82);
  });

  it('farther apart in height they pass each other; what goes already meets nobody; turned away they do not meet', () => {
    const big = member('big', 24, [limb(45, 100, 85)]);
    const higher = member('small', 12, [limb(0, 160, 100)]);
    expect(branchesMeet([big, higher], group())).to.deep.equal([]);
    const small = member('small', 12, [limb(0, 110, 100)]);
    const gone = group({ goes: [{ id: 'small', what: 'branch', index: 0, into: 'big' }] });
    expect(branchesMeet([big, small], gone)).to.deep.equal([]);
    const turned = group({
      stood: [
        { id: 'big', place: 0, turn: 0 },
        { id: 'small', place: 1, turn: 180 },
      ],
    });
    expect(branchesMeet([big, small], turned)).to.deep.equal([]);
  });

  it('two on one level going one way are rungs of a ladder: one of them goes', () => {
    const big = member('big', 24, [limb(90, 100, 60)]);
    const small = member('small', 12, [limb(100, 108, 60)]);
    const apart = group({
      spots: [
        { x: 0, y: 0 },
        { x: 0, y: 18 },
      ],
    });
    expect(branchesMeet([big, small], apart)[0]).to.include({ id: 'small', to: null, why: 'level' });
    expect(branchesMeet([big, member('small', 12, [limb(100, 130, 60)])], apart)).to.deep.equal([]);
  });

  it('of two as thick the thinner branch gives way, however they are named', () => {
    const a = member('big', 12, [limb(45, 100, 85, 2)]);
    const b = member('small', 12, [limb(0, 100, 100, 4)]);
    for (const both of [
      [a, b],
      [b, a],
    ])
      expect(branchesMeet(both, group())[0]).to.include({ id: 'big', other: 'small' });
  });

  it('property: each gives way once, never to its own tree, and keeps no more than it has', () => {
    const limbs = fc.array(
      fc.record({
        azimuth: fc.integer({ min: 0, max: 359 }),
        height: fc.integer({ min: 40, max: 200 }),
        reach: fc.integer({ min: 20, max: 200 }),
        diameter: fc.integer({ min: 1, max: 6 }),
      }),
      { maxLength: 8 },
    );
    fc.assert(
      fc.property(limbs, limbs, limbs, (x, y, z) => {
        const members = [member('a', 20, x), member('b', 14, y), member('c', 9, z)];
        const stood = members.map((m, place) => ({ id: m.id, place, turn: place * 70 }));
        const meets = branchesMeet(members, group({ stood, spots: spotsFor([20, 14, 9]) }));
        expect(new Set(meets.map((m) => `${m.id} ${m.branch}`)).size).to.equal(meets.length);
        for (const m of meets) {
          expect(m.id).not.to.equal(m.other);
          const own = members.find((s) => s.id === m.id)!;
          const other = members.find((s) => s.id === m.other)!;
          expect(own.base).to.be.at.most(other.base);
          if (m.to !== null)
            expect(m.to).to.be.within(0.4 * own.branches[m.branch].reach, own.branches[m.branch].reach);
        }
      }),
    );
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import {
  agreeWorth,
  aloneWorth,
  GAPS,
  heightsFor,
  intoWorth,
  jointOf,
  sectorsOf,
  SECTORS,
  setTogether,
  spotsFor,
  STEP,
  TURNS,
  wayTo,
  type Limb,
  type Member,
} from '@gonimos/core/fusing';
import { random } from '@gonimos/core/random';
import { member } from './member.ts';

const limb = (azimuth: number, more: Partial<Limb> = {}): Limb => ({
  azimuth,
  reach: 60,
  diameter: 3,
  height: 0,
  ...more,
});
/** A member as one is found: roots anywhere, some branches, a curve. */
function anyMember(id: string, seed: number, roots: number): Member {
  const rng = random(seed);
  const around = () => Math.floor(rng.next() * 360);
  return member(id, 6 + 14 * rng.next(), {
    height: 200 + 400 * rng.next(),
    curve: rng.next() < 0.2 ? null : around(),
    roots: Array.from({ length: roots }, () =>
      limb(around(), { reach: 20 + 80 * rng.next(), diameter: 1 + 4 * rng.next() }),
    ),
    branches: Array.from({ length: 4 }, () =>
      limb(around(), {
        reach: 30 + 120 * rng.next(),
        diameter: 1 + 3 * rng.next(),
        height: 40 + 200 * rng.next(),
      }),
    ),
  });
}

/** The best worth there is: every order on the places, every turn of three members. */
function everything(members: readonly Member[]): number {
  // imported names are looked up anew each time, which counts in the innermost loop
  const [turns, gaps] = [TURNS, GAPS];
  const byBase = members.toSorted((a, b) => b.base - a.base);
  const spots = spotsFor(byBase.map((m) => m.base));
  let best = -Infinity;
  for (const order of [
    [0, 1, 2],
    [0, 2, 1],
    [1, 0, 2],
    [1, 2, 0],
    [2, 0, 1],
    [2, 1, 0],
  ]) {
    // the member of rank i stands on place order[i]
    const alone = byBase.map((m, i) =>
      Array.from({ length: TURNS }, (_, t) =>
        aloneWorth(m, t, { spot: spots[order[i]], rank: order[i], thickness: i }),
      ),
    );
    const bits = byBase.map((m) => Array.from({ length: TURNS }, (_, t) => sectorsOf(m, t)));
    const pair = (i: number, j: number) => {
      const there = wayTo(spots[order[i]], spots[order[j]]);
      const back = wayTo(spots[order[j]], spots[order[i]]);
      const into = Array.from({ length: TURNS }, (_, t) => intoWorth(byBase[i], t, byBase[j], there));
      const from = Array.from({ length: TURNS }, (_, t) => intoWorth(byBase[j], t, byBase[i], back));
      return into.map((x, a) => from.map((y, b) => x + y + agreeWorth(byBase[i], a, byBase[j], b)));
    };
    const [p01, p02, p12] = [pair(0, 1), pair(0, 2), pair(1, 2)];
    for (let a = 0; a < turns; a++)
      for (let b = 0; b < turns; b++) {
        const two = alone[0][a] + alone[1][b] + p01[a][b];
        const said = bits[0][a] | bits[1][b];
        const [from0, from1, own, third] = [p02[a], p12[b], alone[2], bits[2]];
        for (let c = 0; c < turns; c++) {
          const worth = two + own[c] + from0[c] + from1[c] + gaps[said | third[c]];
          if (worth > best) best = worth;
        }
      }
  }
  return best;
}

describe('what a group is worth, by hand (common practice, no source)', () => {
  it('gaps: an empty base 10, one root alone 10 · (11 ÷ 12)², two opposed 2 · 10 · (5 ÷ 12)², all twelve nothing', () => {
    expect(GAPS[0]).to.equal(-10);
    expect(GAPS[1]).to.be.closeTo(-10 * (11 / 12) ** 2, 1e-12);
    expect(GAPS[1 | (1 << 6)]).to.be.closeTo(-20 * (5 / 12) ** 2, 1e-12);
    expect(GAPS[(1 << SECTORS) - 1]).to.be.closeTo(0, 1e-12);
    // a root at 5° turned by 30° goes into the next sector
    expect(sectorsOf(member('a', 10, { roots: [limb(5)] }), 3)).to.equal(2);
  });

  it('a root straight under a neighbour costs 6 · its share of the trunk, half of that at 12½°, nothing past 25° or short of it', () => {
    const way = { azimuth: 90, far: 20 };
    const cost = (azimuth: number, reach = 60) =>
      0 - intoWorth(member('a', 12, { roots: [limb(azimuth, { reach })] }), 0, member('b', 10), way);
    expect(cost(90)).to.be.closeTo(6 * (3 / 12), 1e-12);
    expect(cost(102.5)).to.be.closeTo(3 * (3 / 12), 1e-12);
    expect([cost(120), cost(90, 14)]).to.deep.equal([0, 0]);
    expect(wayTo({ x: 0, y: 0 }, { x: -10, y: 0 })).to.deep.equal({ azimuth: 270, far: 10 });
  });

  it('two trunks of opposite curve are turned before they are placed: the same way, and not parallel', () => {
    const opposed = [member('a', 14, { curve: 0 }), member('b', 9, { curve: 180 })];
    const { stood } = setTogether(opposed);
    const goes = (id: string) =>
      (opposed.find((m) => m.id === id)!.curve! + stood.find((s) => s.id === id)!.turn) % 360;
    const apart = Math.abs(((goes('a') - goes('b') + 540) % 360) - 180);
    expect(apart).to.be.within(15, 60);
    expect(agreeWorth(opposed[0], 0, opposed[1], 18)).to.be.closeTo(1.5 - 1, 1e-12);
    expect(agreeWorth(opposed[0], 0, opposed[1], 0)).to.be.closeTo(-1.5, 1e-12);
  });

  it('the smaller tree’s branch goes where the neighbour’s would cross it; the thickest stands on the first place', () => {
    // branches all round: whatever the turn, one points at the other
    const round = [0, 40, 80, 120, 160, 200, 240, 280, 320].map((a) => limb(a, { height: 60, reach: 90 }));
    const group = setTogether([
      member('small', 8, { branches: round }),
      member('big', 16, { branches: round }),
    ]);
    const branches = group.goes.filter((g) => g.what === 'branch');
    expect(branches.length).to.be.above(0);
    expect(new Set(branches.map((g) => g.id))).to.deep.equal(new Set(['small']));
    expect(group.stood.find((s) => s.id === 'big')!.place).to.equal(0);
  });
});

describe('setting stems together', () => {
  it('equals trying every turn on every place, for a hundred groups of three', () => {
    let worst = 0;
    for (let seed = 1; seed <= 100; seed++) {
      const members = ['a', 'b', 'c'].map((id, i) => anyMember(id, seed * 10 + i, 3 + (seed % 9)));
      const truth = everything(members);
      const { worth } = setTogether(members, seed);
      worst = Math.max(worst, truth - worth);
      expect(worth, `seed ${seed} above what there is`).to.be.at.most(truth + 1e-6);
    }
    console.log(`      farthest from the best of all: ${worst.toExponential(1)}`);
    expect(worst).to.be.below(1e-6);
  }).timeout(60_000);

  it('five with thirty roots each: within two seconds, told how far it is, the same however they are named first', () => {
    const members = ['a', 'b', 'c', 'd', 'e'].map((id, i) => anyMember(id, 900 + i, 30));
    const parts: number[] = [];
    const from = performance.now();
    const group = setTogether(members, 1, (part) => parts.push(part));
    const took = performance.now() - from;
    console.log(`      five of thirty roots: ${Math.round(took)} ms`);
    expect(took).to.be.below(2000);
    expect(parts.at(-1)).to.equal(1);
    expect(new Set(group.stood.map((s) => s.place)).size).to.equal(5);
    for (const s of group.stood) expect(s.turn % STEP).to.equal(0);
    expect(setTogether(members.toReversed()).worth).to.be.closeTo(group.worth, 0.5);
  });

  it('property: places are in depth, touch the thickest, and stand in no line with it; heights go by thickness', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 3, max: 40 }), { minLength: 2, maxLength: 9 }), (bases) => {
        const sorted = bases.toSorted((a, b) => b - a);
        const spots = spotsFor(sorted);
        spots.slice(1).forEach((s, i) => {
          expect(Math.hypot(s.x, s.y)).to.be.closeTo((sorted[0] + sorted[i + 1]) / 2, 1e-9);
          expect(Math.abs(s.y)).to.be.above(0.5);
        });
        const heights = heightsFor(
          sorted.map((base, i) => ({ id: `${i}`, base })),
          400,
        );
        expect(heights.get('0')).to.equal(400);
        sorted.forEach((b, i) => expect(heights.get(`${i}`)).to.be.closeTo((400 * b) / sorted[0], 0.5));
      }),
    );
    expect(() => spotsFor([10])).to.throw(RangeError);
  });

  it('joint by hand: 3 mm of the thinner at 8 mm a season together; not bound it takes longer; looked at before it bites', () => {
    const a = { base: 10, ring: 4 };
    const b = { base: 12, ring: 4 };
    expect(jointOf(a, b, true).seasons.p50).to.be.closeTo(0.375, 1e-12);
    expect(jointOf(a, b, false).seasons.p50).to.be.closeTo(0.6, 1e-12);
    const { p10, p50, p90 } = jointOf(a, b, true).seasons;
    expect(p10 < p50 && p50 < p90).to.equal(true);
    // 1.5 mm of 8 mm a season in 26 weeks of growth: five weeks, so it is looked at after four
    expect(jointOf(a, b, true).look).to.equal(4);
    expect(jointOf({ base: 4, ring: 8 }, b, true).look).to.equal(1);
    expect(() => jointOf({ base: 4, ring: 0 }, { base: 4, ring: 0 }, true)).to.throw(RangeError);
  });
});

import { expect } from 'chai';
import fc from 'fast-check';
import {
  besideOf,
  gapsOfRoots,
  joinedGroup,
  joinSpots,
  jointThere,
  suiting,
  thickAt,
  turnBeside,
} from '@gonimos/core/fusing';
import { sideBetween, type StemPart, type StemRecord } from '@gonimos/core/stem';
import { member } from './member.ts';

const branch = (id: string, height: number, azimuth: number): StemPart => ({
  id,
  kind: 'branch',
  height,
  azimuth,
  diameter: 5,
  since: null,
  foliage: null,
  note: '',
});
const stem = (more: Partial<StemRecord> = {}): StemRecord => ({
  base: 30,
  height: 900,
  front: 180,
  girths: [],
  parts: [],
  ...more,
});
const tree = { base: 31.5, height: 900 };
const whip = { base: 7.5, height: 400 };

/** What growers do: common practice, no source. */
describe('a thin stem joined to a thicker tree', () => {
  it('the widest side without a root comes first; even roots leave no gap, and none drawn are none known', () => {
    expect(gapsOfRoots([0, 90, 180])[0]).to.deep.equal({ azimuth: 270, gap: 180 });
    expect(gapsOfRoots([350, 10])[0]).to.deep.equal({ azimuth: 180, gap: 340 });
    expect(gapsOfRoots([])[0].gap).to.equal(360);
    expect(joinSpots([0, 90, 180], null, null)).to.deep.equal([
      { lacks: 'root', height: 0, azimuth: 270, by: 180 },
      { lacks: 'root', height: 0, azimuth: 45, by: 90 },
      { lacks: 'root', height: 0, azimuth: 135, by: 90 },
    ]);
    expect(joinSpots([0, 60, 120, 180, 240, 300], null, null)).to.deep.equal([]);
    expect(joinSpots([], null, null)).to.deep.equal([]);
  });

  it('a trunk that is thicker again higher up lacks its line there; one that tapers does not', () => {
    const dented = stem({
      girths: [
        { at: 60, mm: 22 },
        { at: 140, mm: 27 },
        { at: 400, mm: 15 },
      ],
    });
    expect(joinSpots([], dented, null)).to.deep.equal([{ lacks: 'line', height: 60, azimuth: 90, by: 5 }]);
    const tapers = stem({ girths: [{ at: 60, mm: 27 }] });
    expect(joinSpots([], tapers, null)).to.deep.equal([]);
    // a twentieth is within what calipers tell
    expect(joinSpots([], stem({ base: 30, girths: [{ at: 40, mm: 31.5 }] }), null)).to.deep.equal([]);
  });

  it('a branch is missing where one is wanted: on the emptiest side, never low at the viewer', () => {
    const [first] = joinSpots([], stem({ parts: [branch('a', 230, 90)] }), 600);
    // the first branch is wanted at a third of 600 mm, and stands: the next is missing, across from it
    expect(first).to.include({ lacks: 'branch', azimuth: 270, by: 180 });
    expect(first.height).to.be.within(300, 310);
    const full = stem({ parts: [0, 1, 2, 3, 4].map((i) => branch(`b${i}`, 200 + 70 * i, i % 2 ? 90 : 270)) });
    expect(joinSpots([], full, 600).length).to.be.below(joinSpots([], stem(), 600).length);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.integer({ min: 10, max: 880 }), fc.integer({ min: 0, max: 359 })), {
          maxLength: 12,
        }),
        fc.integer({ min: 0, max: 359 }),
        (at, front) => {
          const record = stem({ front, parts: at.map(([h, a], i) => branch(`p${i}`, h, a)) });
          for (const spot of joinSpots([], record, 600)) {
            expect(spot.height).to.be.below(record.height);
            if (spot.height < 360) expect(sideBetween(spot.azimuth, front)).to.be.at.least(45);
          }
        },
      ),
    );
  });

  it('by hand: a whip leans from beside the base to 200 mm; how thick both are there is told by their cones', () => {
    // cones to a tip of 1.5 mm: 1.5 + 30 · 7/9 and 1.5 + 6 · (1 − reach ÷ 400)
    expect(thickAt(tree, 200)).to.be.closeTo(24.8333, 1e-3);
    const at = suiting({ lacks: 'branch', height: 200 }, tree, whip);
    // half of 31.5 + 7.5 − 24.83 aside: √(200² + 7.083²)
    expect(at.reach).to.be.closeTo(200.1254, 1e-3);
    expect(at.thick).to.be.closeTo(4.4981, 1e-3);
    expect(at.most).to.be.closeTo(12.4167, 1e-3);
    expect(at.suits).to.equal('yes');
    // 0.3 of 4.5 mm at 7 mm a season together
    expect(jointThere(at, 4, 3, true).seasons.p50).to.be.closeTo((0.3 * 4.4981) / 7, 1e-4);
  });

  it('too short, too thick, or not on the tree is said; a side without a root takes a thicker one than a branch', () => {
    expect(suiting({ lacks: 'branch', height: 360 }, tree, whip).suits).to.equal('too short');
    const stout = { base: 20, height: 600 };
    expect(suiting({ lacks: 'branch', height: 200 }, tree, stout).suits).to.equal('too thick');
    expect(suiting({ lacks: 'line', height: 200 }, tree, stout).suits).to.equal('yes');
    expect(suiting({ lacks: 'root', height: 0 }, tree, stout)).to.include({ suits: 'yes', reach: 0 });
    for (const height of [-1, 900, 2000])
      expect(() => suiting({ lacks: 'branch', height }, tree, whip)).to.throw(RangeError);
  });

  it('property: farther up it is longer, thinner, and never suits where it did not reach lower down', () => {
    fc.assert(
      fc.property(
        fc.record({
          base: fc.double({ min: 3, max: 25, noNaN: true }),
          height: fc.integer({ min: 100, max: 1200 }),
        }),
        fc.array(fc.integer({ min: 1, max: 890 }), { minLength: 2, maxLength: 6 }),
        (thin, heights) => {
          const sorted = heights.toSorted((a, b) => a - b);
          const all = sorted.map((height) => suiting({ lacks: 'line', height }, tree, thin));
          all.slice(1).forEach((now, i) => {
            expect(now.reach).to.be.at.least(all[i].reach - 1e-9);
            expect(now.thick).to.be.at.most(all[i].thick + 1e-9);
            if (all[i].suits === 'too short') expect(now.suits).to.equal('too short');
          });
        },
      ),
    );
  });

  it('it touches the tree on its side, and is turned so that its own root fills and nothing runs under the tree', () => {
    const spot = besideOf(30, 10, 90);
    expect([spot.x, spot.y]).to.deep.equal([20, 20 * Math.cos(Math.PI / 2)]);
    const root = { azimuth: 0, reach: 80, diameter: 3, height: 0 };
    const old = member('tree', 30, {
      roots: [0, 180, 270].map((azimuth) => ({ ...root, azimuth, diameter: 8 })),
    });
    const thin = member('thin', 10, { roots: [root] });
    // its one root points away from the tree, to the bare east
    const turn = turnBeside(old, thin, 90);
    expect(sideBetween(turn, 90)).to.be.at.most(30);
    // with a root under the tree however it is turned, the thinner of the two is that one
    const two = member('thin', 10, {
      roots: [
        { ...root, azimuth: 0, diameter: 4 },
        { ...root, azimuth: 180, diameter: 1 },
      ],
    });
    expect(sideBetween(turnBeside(old, two, 90), 90)).to.be.below(90);
  });

  it('as a group: it stands on its side, its roots fill, and those that would run under the tree go', () => {
    const all = [0, 30, 60, 90, 120, 150, 180, 210, 240, 270, 300, 330].map((azimuth) => ({
      azimuth,
      reach: 90,
      diameter: 2,
      height: 0,
    }));
    const old = member('tree', 30);
    const thin = member('thin', 10, { roots: all });
    const group = joinedGroup(old, thin, 90);
    expect(group.spots[1].x).to.be.closeTo(20, 1e-9);
    expect(group.stood[0]).to.deep.equal({ id: 'tree', place: 0, turn: 0 });
    expect(group.occupied).to.equal(12);
    // whatever the turn, one or two of twelve point at the tree, within 25 degrees of the west
    expect(group.goes.length).to.be.within(1, 2);
    const { turn } = group.stood[1];
    for (const g of group.goes) expect(sideBetween(all[g.index].azimuth + turn, 270)).to.be.below(25);
  });
});

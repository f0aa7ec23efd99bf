import { expect } from 'chai';
import fc from 'fast-check';
import {
  anchorFor,
  coilOf,
  crownShare,
  layWire,
  lengthOf,
  MOVES,
  wireFaults,
  wiresFor,
  wireWanted,
  workOnStem,
  type StemPart,
  type StemRecord,
  type StemWire,
} from '@gonimos/core/stem';
import { METALS } from '@gonimos/core/wire';

/** How a strong plant grows. */
const GROWS = { vigour: 4, ring: 3 };
const part = (id: string, height: number, azimuth: number, diameter: number, more = {}): StemPart => ({
  id,
  kind: 'branch',
  height,
  azimuth,
  diameter,
  since: null,
  foliage: null,
  role: null,
  rise: null,
  long: null,
  note: '',
  ...more,
});
const stem = (parts: StemPart[], more: Partial<StemRecord> = {}): StemRecord => ({
  base: 20,
  height: 600,
  front: 180,
  girths: [],
  parts,
  ...more,
});
const wire = (more: Partial<StemWire> = {}): StemWire => ({
  part: null,
  to: null,
  metal: 'aluminium',
  gauge: null,
  moves: 'right',
  with: null,
  ...more,
});

const anyPart = fc.record({
  height: fc.integer({ min: 10, max: 590 }),
  azimuth: fc.integer({ min: 0, max: 359 }),
  diameter: fc.double({ min: 1, max: 15, noNaN: true }),
  kind: fc.constantFrom('shoot', 'branch', 'sacrifice', 'stub'),
  role: fc.constantFrom(null, 'first', 'back', 'reserve'),
});
const anyStem = fc.array(anyPart, { minLength: 1, maxLength: 14 }).map((ps) =>
  stem(
    ps.map((p, i) =>
      part(String.fromCharCode(97 + i), p.height, p.azimuth, p.diameter, {
        kind: p.kind,
        role: p.kind === 'stub' || p.kind === 'sacrifice' ? null : p.role,
      }),
    ),
  ),
);

describe('wire on a stem', () => {
  it('crown by cross-section, by hand: branches of 6 and 8 mm beside a leader of 10 mm', () => {
    const s = stem([part('a', 100, 90, 6), part('b', 300, 270, 8)], { girths: [{ at: 300, mm: 10 }] });
    // 36, 64 and 100 of 200
    expect(crownShare(s, { part: s.parts[0] })).to.be.closeTo(0.18, 1e-9);
    expect(crownShare(s, { part: s.parts[1] })).to.be.closeTo(0.32, 1e-9);
    expect(crownShare(s, { above: 200 })).to.be.closeTo(0.82, 1e-9);
    expect(crownShare(s, { above: 0 })).to.equal(1);
  });

  it('property: shares of branches and of what is above the last add up to the whole, and fall going up', () => {
    fc.assert(
      fc.property(anyStem, (s) => {
        const shoots = s.parts.filter((p) => p.kind !== 'stub');
        const top = Math.max(0, ...shoots.map((p) => p.height));
        const sum = shoots.reduce((n, p) => n + crownShare(s, { part: p }), 0);
        expect(sum + crownShare(s, { above: top })).to.be.closeTo(1, 1e-9);
        for (let h = 0; h < 580; h += 40)
          expect(crownShare(s, { above: h + 20 })).to.be.at.most(crownShare(s, { above: h }) + 1e-12);
      }),
    );
  });

  it('a branch by hand: a third of 6 mm, at 45° its length by √2, two turns around a stem of 16.7 mm', () => {
    const s = stem([part('a', 100, 90, 6, { long: 200 })]);
    const laid = layWire(s, wire({ part: 'a', moves: 'down' }))!;
    expect(laid.gauge).to.equal(2);
    const [foot, end] = [6 + 2, 0.4 * 6 + 2];
    expect(laid.turns).to.be.closeTo((200 * Math.log(foot / end)) / (foot - end) / Math.PI, 1e-6);
    // a cone from 20 mm at the base to a tip of 1.5 mm at 600 mm
    const there = 20 - (100 / 600) * (20 - 1.5);
    expect(laid.length).to.be.closeTo(200 * Math.SQRT2 + 2 * Math.PI * (there + 2), 1);
    expect(laid.grams).to.be.closeTo((Math.PI * laid.length * METALS.aluminium.density) / 1000, 1e-6);
    expect(laid.anchor).to.equal('2 turns around the stem below it');
  });

  it('a branch nobody measured is 40 times as long as it is thick', () => {
    expect(lengthOf(part('a', 1, 0, 5))).to.equal(200);
    expect(lengthOf(part('a', 1, 0, 5, { long: 90 }))).to.equal(90);
  });

  it('one piece over two branches is as thick as the thicker wants, and longer by all of the other', () => {
    const s = stem([part('a', 100, 90, 6), part('b', 130, 270, 8)]);
    const alone = layWire(s, wire({ part: 'a', gauge: 3 }))!;
    const both = layWire(s, wire({ part: 'a', with: 'b' }))!;
    expect(both.gauge).to.equal(3);
    expect(both.length).to.be.above(alone.length + lengthOf(s.parts[1]));
    expect(both.anchor).to.contain('goes on to b');
    expect(layWire(s, wire({ part: 'x' }))).to.equal(null);
    expect(layWire(s, wire({ part: 'a', with: 'x' }))).to.equal(null);
  });

  it('the coil turns with the twist: to the right clockwise; coming down it turns away from the stem', () => {
    const [right, left] = [part('a', 100, 90, 6), part('b', 100, 270, 6)];
    expect(coilOf({ moves: 'right' }, left, 180)).to.equal('clockwise');
    expect(coilOf({ moves: 'left' }, right, 180)).to.equal('anticlockwise');
    expect(coilOf({ moves: 'down' }, right, 180)).not.to.equal(coilOf({ moves: 'down' }, left, 180));
    // turned about, right is left
    expect(coilOf({ moves: 'down' }, right, 0)).to.equal(coilOf({ moves: 'down' }, left, 180));
  });

  it('anchors are near, alike and on another side: common practice, no source', () => {
    const a = part('a', 100, 90, 6);
    const s = stem([a, part('far', 520, 270, 6), part('thin', 110, 270, 2), part('b', 130, 280, 7)]);
    expect(anchorFor(s, a, new Set())!.id).to.equal('b');
    expect(anchorFor(s, a, new Set(['b']))).to.equal(null);
  });

  it('wood that no gauge holds is said to be too thick for it', () => {
    const s = stem([part('a', 100, 90, 20)], { base: 60 });
    expect(layWire(s, wire({ part: 'a' }))!.weak).to.equal(true);
    expect(layWire(s, wire({ part: 'a', gauge: 2 }))!.weak).to.equal(true);
    expect(layWire(stem([part('a', 100, 90, 12)]), wire({ part: 'a' }))!.weak).to.equal(false);
  });

  it('property: what is proposed can be laid, is faultless, and serves each branch that was decided about once', () => {
    fc.assert(
      fc.property(anyStem, (s) => {
        const wires = wiresFor(s, 'aluminium');
        expect(wireFaults(s, wires)).to.deep.equal([]);
        const laid = wires.map((w) => layWire(s, w)!);
        for (const l of laid) {
          expect(l.length).to.be.above(l.long * Math.SQRT2 - 1e-6);
          expect(l.stretch.of).to.be.within(0, 1);
          expect(l.stretch.share).to.be.within(0, 1);
          expect(l.weak).to.equal(false);
        }
        const served = wires.flatMap((w) => (w.with === null ? [w.part] : [w.part, w.with])).toSorted();
        const meant = s.parts.filter((p) => p.role === 'first' || p.role === 'back').map((p) => p.id);
        expect(served).to.deep.equal(meant.toSorted());
      }),
    );
  });

  it('for a cohort: metres and grams by gauge, with 15 % to spare, whatever the order', () => {
    const s = stem([part('a', 100, 90, 6), part('b', 400, 270, 3)]);
    const laid = [layWire(s, wire({ part: 'a' }))!, layWire(s, wire({ part: 'b' }))!];
    const pieces = laid.map((l) => ({ ...l, metal: l.wire.metal }));
    const wanted = wireWanted(pieces, 24);
    expect(wanted.map((w) => w.gauge)).to.deep.equal([2, 1]);
    expect(wanted[0].metres).to.be.closeTo((laid[0].length * 24 * 1.15) / 1000, 1e-9);
    expect(wanted[0].grams).to.be.closeTo(laid[0].grams * 24 * 1.15, 1e-9);
    expect(wireWanted(pieces.toReversed(), 24)).to.deep.equal(wanted);
    expect(wireWanted([...pieces, ...pieces], 12)).to.have.length(2);
  });

  it('what cannot be is told by its field', () => {
    const s = stem([part('a', 100, 90, 6), part('s', 200, 0, 5, { kind: 'stub' }), part('b', 300, 0, 5)]);
    const fault = (...wires: StemWire[]) => wireFaults(s, wires).map((f) => `${f.field} ${f.text}`);
    expect(fault(wire({ part: 'x' }))).to.deep.equal(['wires[0].part is no part of this stem']);
    expect(fault(wire({ part: 's' }))[0]).to.contain('a stub, which holds no wire');
    expect(fault(wire({ part: 'a' }), wire({ part: 'b', with: 'a' }))).to.deep.equal([
      'wires[1].with has a wire already',
    ]);
    expect(fault(wire({ part: 'a', with: 'a' }))).to.deep.equal(['wires[0].with has a wire already']);
    expect(fault(wire(), wire())).to.deep.equal(['wires[1].part has a wire already']);
    expect(fault(wire({ with: 'a' }))).to.deep.equal(['wires[0].with is told of parts alone']);
    expect(fault(wire({ to: 700 }))).to.deep.equal(['wires[0].to is above the tip, 600 mm']);
    for (const moves of MOVES) expect(fault(wire({ part: 'a', moves }))).to.deep.equal([]);
  });
});

describe('what work by a drawing takes', () => {
  const s = stem([part('a', 100, 90, 6), part('b', 300, 270, 8)], { girths: [{ at: 300, mm: 10 }] });

  it('a cut takes the crown above it; a cut that was not decided, nothing that is known', () => {
    const cut = { takes: true, cuts: true, chooses: false };
    expect(workOnStem(s, { finished: 400, cutAt: 200 }, cut, GROWS).took).to.be.closeTo(0.82, 1e-9);
    expect(workOnStem(s, { finished: 400, cutAt: null }, cut, GROWS).took).to.equal(null);
    expect(workOnStem(s, { finished: 400, cutAt: 600 }, cut, GROWS).took).to.equal(null);
  });

  it('other work takes what comes off by its faults within what its vigour bears; the rest is left, by name', () => {
    const whorl = [0, 90, 180, 270].map((side, i) => part('wxyz'[i], 200, side, 9));
    const many = stem(whorl, { girths: [{ at: 200, mm: 10 }] });
    const trim = { takes: true, cuts: false, chooses: false };
    const weak = workOnStem(many, { finished: 400, cutAt: null }, trim, { ...GROWS, vigour: 2 });
    const strong = workOnStem(many, { finished: 400, cutAt: null }, trim, { ...GROWS, vigour: 5 });
    expect(strong.took!).to.be.above(weak.took!);
    expect(weak.left.length).to.be.above(strong.left.length);
    expect(weak.left[0]).to.match(/^branch at 200 mm, \w+, 9 mm: /);
  });

  it('work that takes nothing of the top says nothing of it', () => {
    const nothing = { takes: false, cuts: false, chooses: true };
    expect(workOnStem(s, { finished: 400, cutAt: 200 }, nothing, GROWS)).to.deep.equal({
      took: null,
      left: [],
      seasons: null,
    });
  });

  it('choosing among shoots: the rest waits until the leader is a third of the wound, told in seasons; then it goes', () => {
    // cut at 200 mm where the stem is 13.8 mm: the leader stands at 4.6 mm; both thinner ones on its side go then
    const shoots = (mm: number) => [
      part('l', 195, 90, mm, { kind: 'shoot', rise: 60 }),
      part('r', 180, 270, 2.5, { kind: 'shoot' }),
      part('x', 185, 100, 2, { kind: 'shoot' }),
      part('y', 190, 110, 2, { kind: 'shoot' }),
    ];
    const choose = { takes: true, cuts: false, chooses: true };
    const at = { finished: 400, cutAt: 200 };
    const young = workOnStem(stem(shoots(3)), at, choose, { vigour: 4, ring: 0.5 });
    expect(young.took).to.equal(null);
    expect(young.left).to.deep.equal([
      'shoot at 190 mm, E, 2 mm: off when the leader is 4.6 mm',
      'shoot at 185 mm, E, 2 mm: off when the leader is 4.6 mm',
    ]);
    // 1.6 mm short at a millimetre a season
    expect(young.seasons).to.equal(2);
    expect(workOnStem(stem(shoots(3)), at, choose, { vigour: 4, ring: 2 }).seasons).to.equal(1);
    const old = workOnStem(stem(shoots(5)), at, choose, { vigour: 4, ring: 0.5 });
    expect([old.left, old.seasons]).to.deep.equal([[], null]);
    expect(old.took).to.be.within(0.01, 0.5);
    // where no cut was decided it is trimmed as any other
    const none = workOnStem(stem(shoots(3)), { finished: 400, cutAt: null }, choose, GROWS);
    expect(none.seasons).to.equal(null);
  });
});

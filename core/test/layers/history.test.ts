import { expect } from 'chai';
import fc from 'fast-check';
import {
  crownTaken,
  cutFor,
  designFaults,
  LAYER_EVENTS,
  LAYER_FINDS,
  layerState,
  mayFollow,
  thatFollow,
  severingOrder,
  type LayerEvent,
  type PlannedLayer,
} from '@gonimos/core/layers';
import { addDays } from '@gonimos/core/calendar';

describe('a layer through its life', () => {
  const step = fc.record({
    kind: fc.constantFrom(...LAYER_EVENTS),
    found: fc.constantFrom(...LAYER_FINDS),
  });

  it('property: whatever is tried, what may follow is taken and nothing else; once off or failed it stays so', () => {
    fc.assert(
      fc.property(fc.array(step, { maxLength: 25 }), (tries) => {
        const events: LayerEvent[] = [];
        let severed = 0;
        let failed = 0;
        let opened = 0;
        let sealed = 0;
        for (const [i, t] of tries.entries()) {
          const e: LayerEvent = {
            kind: t.kind,
            on: addDays('2036-05-20', i),
            note: '',
            found: t.kind === 'looked' || t.kind === 'opened' ? t.found : null,
          };
          const before = layerState(events);
          if (!mayFollow(before, e.kind)) {
            expect(() => layerState([...events, e])).to.throw(RangeError, before.stage);
            expect(thatFollow([...events, e])).to.deep.equal(events);
            continue;
          }
          events.push(e);
          const now = layerState(events);
          if (e.kind === 'severed') severed++;
          if (e.kind === 'failed') failed++;
          if (e.kind === 'opened') opened++;
          if (e.kind === 'wound-sealed') sealed++;
          // the wound is the parent's: sealed once, after the layer is off or given up
          if (sealed > 0) expect(severed + failed).to.equal(1);
          expect(now.ringedOn).to.not.equal(null);
          // opened and wrapped again nobody has seen of the new filling yet
          if (e.found) expect(now.lastFind).to.equal(e.kind === 'opened' ? null : e.found);
          if (e.found) expect(now.lastLookOn).to.equal(e.on);
        }
        expect(severed + failed, 'one end').to.be.at.most(1);
        // roots are shortened once: a third filling has no time in any year
        expect(opened).to.be.at.most(1);
        expect(sealed).to.be.at.most(1);
        const end = layerState(events);
        if (severed) expect([end.stage, end.severedOn === null]).to.deep.equal(['severed', false]);
        if (failed) expect(end.stage).to.equal('failed');
        if (opened && !severed && !failed) expect(end.stage).to.equal('second');
        if (!events.length) expect(end.stage).to.equal('planned');
      }),
      { numRuns: 2000 },
    );
  });
});

describe('several layers on one parent', () => {
  const layer = fc.record({
    name: fc.string({ minLength: 1, maxLength: 3 }),
    stem: fc.constantFrom('leader', 'left', 'right'),
    height: fc.integer({ min: 100, max: 2500 }),
    diameter: fc.integer({ min: 8, max: 60 }),
    branches: fc.integer({ min: 0, max: 5 }),
    keeps: fc.integer({ min: 0, max: 4 }),
  });
  const design = fc.array(layer, { minLength: 1, maxLength: 6 });

  it('property: the crown taken grows with each layer, never past all of it, and the severing goes top down', () => {
    fc.assert(
      fc.property(design, fc.integer({ min: 60, max: 120 }), (layers, baseDiameter) => {
        const taken = crownTaken(baseDiameter, layers);
        expect(taken).to.be.within(0, 1);
        expect(crownTaken(baseDiameter, [])).to.equal(0);
        // another stem gives more; a ring above another on the same stem gives nothing more
        const other: PlannedLayer = { ...layers[0], stem: 'a fourth', name: 'x' };
        expect(crownTaken(baseDiameter, [...layers, other])).to.be.at.least(taken);
        const above: PlannedLayer = { ...layers[0], height: 9_000, name: 'y' };
        expect(crownTaken(baseDiameter, [...layers, above])).to.equal(taken);
        const order = severingOrder(layers);
        expect(order.length).to.equal(layers.length);
        for (let i = 1; i < order.length; i++)
          if (order[i].stem === order[i - 1].stem) expect(order[i].height).to.be.at.most(order[i - 1].height);
      }),
      { numRuns: 500 },
    );
  });

  it('property: a fault is found exactly where the rule of the bench is broken', () => {
    fc.assert(
      fc.property(design, fc.integer({ min: 60, max: 120 }), (drawn, baseDiameter) => {
        const layers = drawn.map((l, i) => ({ ...l, name: `L${i}` }));
        const faults = designFaults(baseDiameter, layers);
        const of = (name: string, words: RegExp) =>
          faults.some((f) => f.layer === name && words.test(f.text));
        for (const l of layers) {
          expect(of(l.name, /no live branch above/), 'something must feed the roots').to.equal(
            l.branches < 1,
          );
          const below = layers.filter((x) => x.stem === l.stem && x.height < l.height);
          const lowest =
            below.length === 0 &&
            layers.filter((x) => x.stem === l.stem && x.height === l.height).length === 1;
          if (lowest) expect(of(l.name, /no low branch is kept/)).to.equal(l.keeps < 1);
          // five stems apart, by hand
          const above = layers.filter((x) => x.stem === l.stem && x !== l && x.height > l.height);
          const next = above.sort((a, b) => a.height - b.height)[0];
          const level = layers.some((x) => x.stem === l.stem && x !== l && x.height === l.height);
          if (next && !level && above.filter((x) => x.height === next.height).length === 1)
            expect(of(l.name, /mm below/)).to.equal(next.height - l.height < 5 * l.diameter);
        }
      }),
      { numRuns: 500 },
    );
  });

  it('property: what is cut grows with the stem: girth, ring or wire, moss and film', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 6, max: 79 }),
        fc.constantFrom('ring' as const, 'tourniquet' as const),
        (d, how) => {
          const a = cutFor(d, how);
          const b = cutFor(d + 1, how);
          expect(b.girth).to.be.at.least(a.girth);
          expect([b.ring >= a.ring, b.wire >= a.wire, b.moss >= a.moss]).to.deep.equal([true, true, true]);
          expect(b.film[1]).to.be.at.least(a.film[1]);
          // one of the two: bark taken off, or wire twisted round
          expect(a.ring === 0).to.equal(how === 'tourniquet');
          expect(a.wire === 0).to.equal(how === 'ring');
          // π d, to the nearest millimetre; the ring between one stem and one and a half
          expect(Math.abs(a.girth - 3.14159265 * d)).to.be.at.most(0.5);
          if (how === 'ring') expect(a.ring).to.be.within(d, 1.5 * d);
          // two turns and the twist
          else expect(a.wire).to.be.within(2 * 3.1415 * d + 60, 2 * 3.1416 * d + 61);
        },
      ),
    );
    expect(() => cutFor(0, 'ring')).to.throw(RangeError);
    expect(() => cutFor(Number.NaN, 'ring')).to.throw(RangeError);
  });
});

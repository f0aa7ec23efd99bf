import { expect } from 'chai';
import fc from 'fast-check';
import { stemFaults, STEM_PARTS, type StemPart } from '@gonimos/core/stem';
import {
  draw,
  drawingOf,
  emptyStem,
  newPart,
  NOTHING_DECIDED,
  ofKind,
  type Act,
  type Drawing,
} from '../src/stem/sheet';

const TODAY = '2037-03-09';
const bench = () => drawingOf({ record: emptyStem(24.44, 700.6), decided: NOTHING_DECIDED });
const put = (d: Drawing, kind: StemPart['kind'], height: number, side: 1 | -1 = 1): Drawing =>
  draw(d, { do: 'part', part: newPart(d.record, kind, height, side, 20, TODAY) });
const sheetOf = ({ record, decided }: Drawing) => ({ record, decided });

describe('drawing a stem', () => {
  it('begins with the plant of today, in figures that a hand would write', () => {
    expect(bench().record).to.include({ base: 24.4, height: 701, front: 180 });
  });

  it('what is tapped stands on the side it was tapped on, is named by the first free letter, and is in hand', () => {
    let d = put(put(bench(), 'branch', 120), 'bud', 80, -1);
    expect(d.record.parts.map((p) => [p.id, p.azimuth, p.diameter])).to.deep.equal([
      ['a', 90, 7],
      ['b', 270, 0],
    ]);
    expect(d.chosen).to.equal('b');
    d = put(draw(d, { do: 'drop', id: 'a' }), 'shoot', 200);
    expect(d.record.parts.map((p) => p.id)).to.deep.equal(['b', 'a']);
    // seen from another front, the right is another side
    const turned = { ...bench().record, front: 0 };
    expect(newPart(turned, 'stub', 10, 1, 20, TODAY).azimuth).to.equal(270);
  });

  it('a part told to be of another kind has what that kind has, and no more', () => {
    const branch = put(bench(), 'branch', 120).record.parts[0];
    const bud = ofKind(branch, 'bud', 20, TODAY);
    expect([bud.diameter, bud.since, bud.foliage]).to.deep.equal([0, null, null]);
    const sacrifice = ofKind(bud, 'sacrifice', 20, TODAY);
    expect(sacrifice).to.include({ since: TODAY, foliage: 0.5, diameter: 7 });
    expect(ofKind({ ...sacrifice, since: '2034-05-01', foliage: 0.9 }, 'sacrifice', 20, TODAY)).to.include({
      since: '2034-05-01',
      foliage: 0.9,
    });
    expect(ofKind(sacrifice, 'branch', 20, TODAY)).to.include({ since: null, foliage: null });
  });

  it('property: whatever is put on it, by hand it is always a stem that can be kept', () => {
    const one = fc.record({
      kind: fc.constantFrom(...STEM_PARTS),
      height: fc.integer({ min: -50, max: 2000 }),
      side: fc.constantFrom(1 as const, -1 as const),
      then: fc.constantFrom(...STEM_PARTS),
    });
    fc.assert(
      fc.property(fc.array(one, { maxLength: 40 }), (all) => {
        let d = bench();
        for (const { kind, height, side, then } of all) {
          d = put(d, kind, height, side);
          const last = d.record.parts.at(-1)!;
          d = draw(d, { do: 'part', part: ofKind(last, then, 20, TODAY) });
        }
        expect(stemFaults(d.record)).to.deep.equal([]);
        expect(d.record.parts).to.have.length(all.length);
      }),
      { numRuns: 40 },
    );
  });

  it('property: everything that was done is undone step by step, and done again', () => {
    const act = fc.oneof(
      fc.integer({ min: 0, max: 700 }).map((height) => (d: Drawing): Act => ({
        do: 'part',
        part: newPart(d.record, 'branch', height, 1, 20, TODAY),
      })),
      fc
        .integer({ min: 30, max: 900 })
        .map((finished) => (): Act => ({ do: 'decide', decided: { finished } })),
      fc.constant((d: Drawing): Act => ({ do: 'drop', id: d.record.parts[0]?.id ?? 'none' })),
      fc.integer({ min: 10, max: 900 }).map((height) => (d: Drawing): Act => ({
        do: 'record',
        record: { ...d.record, height },
      })),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 20 }), (acts) => {
        const seen = [bench()];
        for (const a of acts) seen.push(draw(seen.at(-1)!, a(seen.at(-1)!)));
        let d = seen.at(-1)!;
        for (let i = seen.length - 2; i >= 0; i--) {
          d = draw(d, { do: 'undo' });
          expect(sheetOf(d)).to.deep.equal(sheetOf(seen[i]));
          expect(d.chosen === null || d.record.parts.some((p) => p.id === d.chosen)).to.equal(true);
        }
        expect(draw(d, { do: 'undo' })).to.equal(d);
        for (let i = 1; i < seen.length; i++) {
          d = draw(d, { do: 'redo' });
          expect(sheetOf(d)).to.deep.equal(sheetOf(seen[i]));
        }
        // inputs that hold what was typed are told that it no longer stands
        expect(d.turned).to.equal(2 * (seen.length - 1));
      }),
      { numRuns: 40 },
    );
  });

  it('another drawing is opened without what was undone in this one', () => {
    const d = draw(put(bench(), 'branch', 100), { do: 'undo' });
    const other = { record: emptyStem(10, 300), decided: { ...NOTHING_DECIDED, finished: 200 } };
    const opened = draw(d, { do: 'open', sheet: other });
    expect([opened.undo, opened.redo, opened.chosen]).to.deep.equal([[], [], null]);
    expect(sheetOf(opened)).to.deep.equal(other);
  });
});

import { expect } from 'chai';
import { NOTHING_DECIDED } from '@gonimos/contract/stem-decided';
import fc from 'fast-check';
import { stemFaults, STEM_PARTS, wireFaults, type StemPart, type StemWire } from '@gonimos/core/stem';
import {
  draw,
  drawingOf,
  emptyStem,
  newPart,
  ofKind,
  wholeDecided,
  wholeRecord,
  wireOn,
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

  describe('wires on it', () => {
    const wired = (...wires: StemWire[]) => {
      let d = put(put(put(bench(), 'branch', 100), 'branch', 140, -1), 'bud', 200);
      d = draw(d, { do: 'decide', decided: { wires } });
      return d;
    };
    const on = (d: Drawing) => d.decided.wires.map((w) => [w.part, w.with]);

    it('go with the part they are on; a partner that goes leaves the other anchored at the stem', () => {
      const both = wired(wireOn(), wireOn({ part: 'a', with: 'b' }));
      expect(on(both)).to.deep.equal([
        [null, null],
        ['a', 'b'],
      ]);
      expect(on(draw(both, { do: 'drop', id: 'b' }))).to.deep.equal([
        [null, null],
        ['a', null],
      ]);
      expect(on(draw(both, { do: 'drop', id: 'a' }))).to.deep.equal([[null, null]]);
    });

    it('go where a branch becomes a bud or a stub, and come back when that is undone', () => {
      const d = wired(wireOn({ part: 'a' }));
      for (const kind of ['bud', 'stub'] as const) {
        const part = ofKind(d.record.parts[0], kind, 20, TODAY);
        const changed = draw(d, { do: 'part', part });
        expect(on(changed), kind).to.deep.equal([]);
        expect(on(draw(changed, { do: 'undo' })), kind).to.deep.equal([['a', null]]);
      }
    });

    it('are never put on what holds none', () => {
      expect(on(wired(wireOn({ part: 'c' }), wireOn({ part: 'none' })))).to.deep.equal([]);
    });

    it('property: whatever is drawn and decided, wires that stand are faultless but for two on one part', () => {
      const id = fc.constantFrom('a', 'b', 'c', 'x', null);
      const wire = fc.record({ part: id, with: id }).map((w) => wireOn(w.part === null ? {} : w));
      const gone = fc.constantFrom('a', 'b', 'c');
      fc.assert(
        fc.property(fc.array(wire, { maxLength: 4 }), fc.array(gone, { maxLength: 3 }), (wires, drops) => {
          let d = wired(...wires);
          for (const drop of drops) d = draw(d, { do: 'drop', id: drop });
          const faults = wireFaults(d.record, d.decided.wires).map((f) => f.text);
          expect(faults.filter((f) => f !== 'has a wire already')).to.deep.equal([]);
        }),
      );
    });
  });

  it('a drawing of before something was asked is said to tell nothing of it, and is whole', () => {
    const record = put(bench(), 'branch', 100).record;
    const old = {
      ...record,
      parts: record.parts.map(({ long: _, role: __, rise: ___, ...p }) => p as StemPart),
    };
    expect(wholeRecord(old)).to.deep.equal(record);
    const { wires: _, ...before } = NOTHING_DECIDED;
    expect(wholeDecided(before)).to.deep.equal(NOTHING_DECIDED);
  });
});

import { NOTHING_DECIDED } from '@gonimos/contract/roots-decided';
import { expect } from 'chai';
import fc from 'fast-check';
import { across, lengthOf, lineOf, outline, overrules, smooth } from '@gonimos/core/roots';
import {
  bent,
  draw,
  drawingOf,
  emptyRecord,
  fibreOf,
  fibreWord,
  newRoot,
  pastedRoots,
  swung,
  thickened,
  type Act,
  type Drawing,
} from '../src/roots/drawing';
import { brushOf, keyed } from '../src/roots/keys';
import { laid, placed } from '../src/drawings/trace';

const BRUSH = { thick: 1, fibre: 1 };
const bench = () => drawingOf({ record: emptyRecord(30), decided: NOTHING_DECIDED });
const sheetOf = ({ record, decided }: Drawing) => ({ record, decided });
const press = (d: Drawing, ...keys: string[]): Drawing =>
  keys.reduce((now, key) => {
    const act = keyed(now, key, false, BRUSH);
    return act ? draw(now, act) : now;
  }, d);

describe('drawing roots', () => {
  it('a root is drawn towards the finger, named by the first free letter, thick as the brush', () => {
    let d = bench();
    for (const azimuth of [10, 370, -20])
      d = draw(d, { do: 'add', root: newRoot(d.record, { azimuth, out: 60 }, BRUSH) });
    expect(d.record.roots.map((r) => [r.id, r.azimuth])).to.deep.equal([
      ['a', 10],
      ['b', 10],
      ['c', 340],
    ]);
    // a seventh of the trunk of 30 mm
    expect(d.record.roots[0].diameter).to.equal(4.2);
    d = draw(d, { do: 'drop', id: 'b' });
    expect(newRoot(d.record, { azimuth: 0, out: 50 }, BRUSH).id).to.equal('b');
    // a tap on the trunk still gives a root that can be taken hold of
    expect(newRoot(d.record, { azimuth: 0, out: 2 }, BRUSH).path[0].out).to.equal(18);
  });

  it('whatever was done is undone step by step and done again', () => {
    const acts: fc.Arbitrary<(d: Drawing) => Act> = fc.oneof(
      fc.integer({ min: 0, max: 359 }).map((azimuth) => (d: Drawing): Act => ({
        do: 'add',
        root: newRoot(d.record, { azimuth, out: 50 }, BRUSH),
      })),
      fc.nat(5).map((i) => (d: Drawing): Act => {
        const root = d.record.roots[i % Math.max(1, d.record.roots.length)];
        return root ? { do: 'change', root: swung(root, 15) } : { do: 'choose', id: null };
      }),
      fc.nat(5).map((i) => (d: Drawing): Act => ({ do: 'drop', id: d.record.roots[i]?.id ?? 'none' })),
      fc.constant((): Act => ({ do: 'decide', decided: { limit: 0.4 } })),
      fc.nat(3).map((i) => (d: Drawing): Act => ({
        do: 'overrule',
        id: d.record.roots[i]?.id ?? 'x',
        to: { action: 'remove' },
      })),
    );
    fc.assert(
      fc.property(fc.array(acts, { maxLength: 12 }), (made) => {
        let d = bench();
        const seen = [sheetOf(d)];
        for (const act of made) {
          const before = d.undo.length;
          d = draw(d, act(d));
          if (d.undo.length > before) seen.push(sheetOf(d));
        }
        for (let i = seen.length - 1; i >= 0; i--) {
          expect(sheetOf(d)).to.deep.equal(seen[i]);
          d = draw(d, { do: 'undo' });
        }
        for (const sheet of seen.slice(1)) {
          d = draw(d, { do: 'redo' });
          expect(sheetOf(d)).to.deep.equal(sheet);
        }
      }),
    );
  });

  it('an end or a bend follows the finger and never goes into the trunk; the length is along the path', () => {
    const root = newRoot(emptyRecord(30), { azimuth: 0, out: 65 }, BRUSH);
    expect(lengthOf(lineOf(root, 30))).to.be.closeTo(50, 1e-6);
    const over = bent(root, 'bend', { azimuth: 40, out: 40 }, 30);
    expect(over.path.map((p) => p.azimuth)).to.deep.equal([40, 0]);
    expect(lengthOf(lineOf(over, 30))).to.be.greaterThan(50);
    expect(bent(over, 'end', { azimuth: 10, out: 3 }, 30).path.at(-1)).to.deep.equal({
      azimuth: 10,
      out: 16,
    });
    // a side drawn 6 mm off the middle of a root that runs north
    expect(thickened(root, { azimuth: 90, out: 6 }).diameter).to.equal(12);
    expect(thickened(root, { azimuth: 0, out: 40 }).diameter).to.equal(0.5);
    expect(swung(over, 350).path.map((p) => p.azimuth)).to.deep.equal([30, 350]);
  });

  it('fine root is said in three words and comes back as the same word', () => {
    for (const word of [0, 1, 2])
      for (const diameter of [1, 4.2, 20])
        expect(fibreWord({ diameter, fibre: fibreOf(diameter, word) })).to.equal(word);
  });

  it('by key: added in the widest bare side, chosen, turned, thickened, wiped out', () => {
    let d = press(bench(), '+', '+', '+');
    const gaps = d.record.roots.map((r) => r.azimuth).sort((a, b) => a - b);
    expect(gaps).to.deep.equal([0, 90, 180]);
    d = press(d, ',', ',');
    expect(d.chosen).to.equal('a');
    d = press(d, 'ArrowRight', 'ArrowUp', ']', ']');
    expect(d.record.roots[0]).to.include({ azimuth: 5, diameter: 5.2 });
    expect(d.record.roots[0].path[0]).to.deep.equal({ azimuth: 5, out: 65 });
    d = press(d, 'Delete');
    expect(d.record.roots.map((r) => r.id)).to.deep.equal(['b', 'c']);
    expect(keyed(d, 'q', false, BRUSH)).to.equal(null);
    // nothing is in hand: arrows do nothing
    expect(keyed(d, 'ArrowLeft', false, BRUSH)).to.equal(null);
    expect(brushOf('3', BRUSH)).to.deep.equal({ thick: 2, fibre: 1 });
    expect(brushOf('4', BRUSH)).to.equal(null);
  });

  it('pasted lines become roots; what is none is told by line', () => {
    const record = emptyRecord(20);
    const good = pastedRoots(
      'direction, thickness, length\n12, 4, 55\n80; 3.5; 40; -2; 15\n\n200\t6\t70',
      record,
    );
    expect(good.faults).to.deep.equal([]);
    expect(
      good.roots.map((r) => [r.id, r.azimuth, r.diameter, r.path[0].out, r.height, r.angle]),
    ).to.deep.equal([
      ['a', 12, 4, 65, 0, 5],
      ['b', 80, 3.5, 50, -2, 15],
      ['c', 200, 6, 80, 0, 5],
    ]);
    const bad = pastedRoots('12, 4\n400, 3, 20\n10, -1, 30\n1, 2, x', record);
    expect(bad.roots).to.have.length(0);
    expect(bad.faults.map((f) => f.slice(0, 6))).to.deep.equal(['line 1', 'line 2', 'line 3', 'line 4']);
  });

  it('what was decided goes to the solver as it was said, and a root wiped out takes its word along', () => {
    let d = press(bench(), '+', '+');
    d = draw(d, { do: 'overrule', id: 'a', to: { action: 'shorten', length: 20 } });
    d = draw(d, { do: 'overrule', id: 'b', to: { action: 'keep' } });
    expect(overrules(d.decided.overruled)).to.deep.equal({
      a: { action: 'shorten', length: 20 },
      b: { action: 'keep' },
    });
    d = draw(d, { do: 'drop', id: 'a' });
    expect(Object.keys(overrules(d.decided.overruled))).to.deep.equal(['b']);
    d = draw(d, { do: 'overrule', id: 'b', to: null });
    expect(overrules(d.decided.overruled)).to.deep.equal({});
  });

  it('a picture is placed by the middle of the trunk and its edge', () => {
    // 300 mm wide; the trunk's middle was seen 30 mm east, its edge 10 mm from there; the trunk is 40 mm thick
    const t = placed(laid('x', 0.75, 150), { x: 30, y: 0 }, { x: 30, y: 10 }, 20);
    expect([t.width, t.middle.x, t.middle.y]).to.deep.equal([600, -60, 0]);
    // a second time it lies where it should
    expect(placed(t, { x: 0, y: 0 }, { x: 20, y: 0 }, 20)).to.deep.equal(t);
    expect(placed(t, { x: 5, y: 5 }, { x: 5, y: 5 }, 20)).to.equal(t);
  });

  it('shapes: a smooth line keeps its ends, an outline is as wide as the root, a cut lies across it', () => {
    const line = [
      { x: 0, y: 10 },
      { x: 5, y: 30 },
      { x: 20, y: 45 },
    ];
    const round = smooth(line);
    expect(round[0]).to.deep.equal(line[0]);
    expect(round.at(-1)).to.deep.equal(line[2]);
    // straight up from the trunk, 4 mm thick: two to each side where it begins
    expect(
      outline(
        [
          { x: 0, y: 10 },
          { x: 0, y: 60 },
        ],
        4,
      ),
    ).to.match(/^M-2\.0 -10\.0L/);
    const [a, b] = across(
      [
        { x: 0, y: 0 },
        { x: 0, y: 40 },
      ],
      20,
      3,
    );
    expect([Math.abs(a.x), Math.round(a.y), Math.abs(b.x), Math.round(b.y)]).to.deep.equal([3, 20, 3, 20]);
  });
});

import { expect } from 'chai';
import { coilStrokes } from '../src/stem/coils.ts';

/** Ends of each stroke, as numbers. */
const strokes = (d: string): number[][] =>
  d
    .split('M')
    .slice(1)
    .map((s) => s.split(/[ L]/).map(Number));
const upright = (t: number) => ({ x: 0, y: -100 * t });

describe('coils as they are drawn', () => {
  it('one stroke a turn, from edge to edge, each half a turn long', () => {
    const drawn = strokes(coilStrokes(upright, () => 10, 4, 'clockwise'));
    expect(drawn).to.have.length(4);
    expect(drawn[0]).to.deep.equal([-5, 0, 5, -12.5]);
    expect(drawn[3][1]).to.equal(-75);
  });

  it('clockwise rises to the right of an upright stem, anticlockwise to the left', () => {
    const rises = (coil: 'clockwise' | 'anticlockwise') => {
      const [[x0, y0, x1, y1]] = strokes(coilStrokes(upright, () => 10, 1, coil));
      return Math.sign(x1 - x0) * Math.sign(y0 - y1);
    };
    expect(rises('clockwise')).to.equal(1);
    expect(rises('anticlockwise')).to.equal(-1);
  });

  it('goes across whatever way the part leans, follows its taper, and never smears', () => {
    const level = strokes(
      coilStrokes(
        (t) => ({ x: 50 * t, y: 0 }),
        (t) => 10 - 8 * t,
        200,
        'clockwise',
      ),
    );
    expect(level).to.have.length(40);
    for (const [x0, y0, x1, y1] of level) {
      expect(Math.abs(x1 - x0)).to.be.at.most(50 / 40);
      expect(Math.sign(y0)).to.equal(-Math.sign(y1));
    }
    expect(Math.abs(level[0][1])).to.be.above(Math.abs(level[39][1]));
    expect(strokes(coilStrokes(upright, () => 10, 0.2, 'clockwise'))).to.have.length(1);
  });
});

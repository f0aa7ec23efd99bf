import { expect } from 'chai';
import { marksOf } from '../src/year/marks';

const FOUR = [
  { all: 600, skilled: 300, over: 0 },
  { all: 0, skilled: 0, over: 0 },
  { all: 1200, skilled: 120, over: 600 },
  { all: 60_000, skilled: 0, over: 59_400 },
];
/** Ten hours a week, five of them of hands with practice; a week 100 px wide, 200 px high. */
const marks = (load = FOUR) =>
  marksOf({
    load,
    capacity: { all: load.map(() => 600), skilled: load.map(() => 300) },
    left: 40,
    right: 440,
    top: 0,
    foot: 200,
  });

/** Blocks of a path: left edge, width, height, px. */
const blocks = (path: string) =>
  [...path.matchAll(/M([\d.]+) [\d.]+v-([\d.]+)h([\d.]+)v/g)].map(([, x, height, width]) => ({
    x: Number(x),
    height: Number(height),
    width: Number(width),
  }));

describe('the picture of a year', () => {
  it('bars are as high as their hours, work that wants practice at the foot, what is too many on top', () => {
    const m = marks(FOUR.slice(0, 3));
    // twenty hours in the fullest week, and a twentieth of room above it
    expect(m.most).to.be.closeTo(21, 0.01);
    const high = (hours: number) => (200 * hours) / 21;
    const room = 400 / 3;
    const [first, third] = blocks(m.anybody);
    expect(first.height).to.be.closeTo(high(10), 0.01);
    expect([first.x, third.x]).to.deep.equal([41, 41 + 2 * room]);
    expect(first.width).to.be.closeTo(room - 1.5, 0.01);
    const heights = (path: string) => blocks(path).map((b) => b.height.toFixed(6));
    expect(heights(m.practice)).to.deep.equal([high(5).toFixed(6), high(2).toFixed(6)]);
    const [over] = blocks(m.over);
    expect(over.x).to.be.closeTo(third.x, 0.01);
    expect(over.height).to.be.closeTo(high(10), 0.01);
    expect(m.beyond).to.deep.equal([]);
  });

  it('one huge week does not flatten a year: it goes to the top and is told by its number', () => {
    const year = Array.from({ length: 50 }, (_, i) => (i === 30 ? FOUR[3] : FOUR[0]));
    const m = marks(year);
    expect(m.most).to.equal(13);
    expect(m.beyond).to.deep.equal([30]);
    expect(blocks(m.over)[0].height).to.be.closeTo((200 * 3) / 13, 0.01);
    // the lines of the hours there are go on from edge to edge
    expect(m.hours.startsWith('M40 ')).to.equal(true);
    expect(m.hours.endsWith('H440')).to.equal(true);
  });
});

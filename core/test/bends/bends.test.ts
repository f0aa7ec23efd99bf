import { expect } from 'chai';
import fc from 'fast-check';
import {
  bearsStrain,
  bendRecipes,
  bendWords,
  curvatures,
  extents,
  lineFault,
  lineOf,
  linesFor,
  LINES,
  normalised,
  quotas,
  tightest,
  torsions,
  turnsAbout,
  unlike,
  USUAL_SHARES,
  variation,
  wayWords,
  type Pliant,
  type Point,
} from '@gonimos/core/bends';
import { GROWTH_GROUPS, type GrowthGroup } from '@gonimos/core/taxa';

/** A helix of radius r that climbs 2πc a turn; a circle where c is 0. */
const helix = (r: number, c: number, turns: number, n: number): Point[] =>
  Array.from({ length: n + 1 }, (_, i) => {
    const t = (2 * Math.PI * turns * i) / n;
    return { x: r * Math.cos(t), y: r * Math.sin(t), z: c * t };
  });
const turned = (line: readonly Point[], by: number): Point[] =>
  line.map(({ x, y, z }) => ({
    x: x * Math.cos(by) - y * Math.sin(by),
    y: x * Math.sin(by) + y * Math.cos(by),
    z,
  }));
const whip = (more: Partial<Pliant> = {}): Pliant => ({
  group: 'juniper-cypress',
  age: 1,
  base: 4,
  tip: 1.6,
  length: 200,
  ...more,
});

describe('curves of known shape', () => {
  it('of a helix curvature is r ÷ (r² + c²) and torsion c ÷ (r² + c²), of a circle 1 ÷ r and 0 (differential geometry)', () => {
    for (const [r, c] of [
      [30, 0],
      [30, 8],
      [12, 20],
    ]) {
      const line = helix(r, c, 1.5, 2400);
      for (const k of curvatures(line)) expect(k).to.be.closeTo(r / (r * r + c * c), 1e-5);
      for (const t of torsions(line)) expect(t).to.be.closeTo(c / (r * r + c * c), 1e-4);
    }
    // the other way round it turns the other way
    const mirrored = helix(12, 20, 1, 800).map((p) => ({ ...p, y: -p.y }));
    for (const t of torsions(mirrored)) expect(t).to.be.below(0);
    expect(variation(curvatures(helix(30, 8, 2, 400)))).to.be.below(1e-3);
  });

  it('extents are those of the box it fills, however that lies; a flat line has none along the last', () => {
    // a closed figure of known spread: 40 by 20 by 10
    const figure = Array.from({ length: 720 }, (_, i) => {
      const t = (i * Math.PI) / 360;
      return { x: 20 * Math.cos(t), y: 10 * Math.sin(t), z: 5 * Math.sin(2 * t + Math.PI / 2) };
    });
    const [a, b, c] = extents(turned(figure, 0.7).map((p) => ({ x: p.z, y: p.x, z: p.y })));
    expect(a).to.be.closeTo(40, 0.1);
    expect(b).to.be.closeTo(20, 0.1);
    expect(c).to.be.closeTo(10, 0.1);
    expect(extents(helix(30, 0, 0.8, 100))[2]).to.be.below(1e-9);
  });

  it('an even spiral turns about its chord, a sway does not', () => {
    expect(turnsAbout(helix(10, 6, 3, 600))).to.be.above(2);
    const sway = Array.from({ length: 50 }, (_, i) => ({
      x: Math.sin(i / 6),
      y: 0.3 * Math.cos(i / 5),
      z: i,
    }));
    expect(turnsAbout(sway)).to.be.below(1.1);
  });

  it('how unlike two lines are: the same as trying every tenth of a degree, and none after a turn', () => {
    const { recipes } = bendRecipes(
      3,
      [1, 2].map((number) => ({ number, style: 'wild' as const, stem: whip() })),
    );
    const [a, b] = recipes.map((r) => normalised(r.line, 200));
    let least = Infinity;
    for (let i = 0; i < 3600; i++) {
      const q = turned(b, (i * Math.PI) / 1800);
      const sum = a.reduce(
        (n, p, k) => n + (p.x - q[k].x) ** 2 + (p.y - q[k].y) ** 2 + (p.z - q[k].z) ** 2,
        0,
      );
      least = Math.min(least, Math.sqrt(sum / a.length));
    }
    expect(unlike(a, b)).to.be.closeTo(least, 1e-4);
    expect(unlike(a, turned(a, 2))).to.be.below(1e-7);
    expect(unlike(a, b)).to.be.closeTo(unlike(b, a), 1e-12);
  });

  it('a line is as long as its stem; one bend turns it by what it says', () => {
    const line = lineOf([{ at: 0.4, turn: 60, side: 90, over: 0.3 }], 300);
    const long = line
      .slice(1)
      .reduce((n, p, i) => n + Math.hypot(p.x - line[i].x, p.y - line[i].y, p.z - line[i].z), 0);
    expect(long).to.be.closeTo(300, 1e-9);
    const [p, q] = line.slice(-2);
    expect((Math.atan2(q.x - p.x, q.z - p.z) * 180) / Math.PI).to.be.closeTo(60, 1e-6);
    expect(q.y).to.be.closeTo(0, 1e-9);
  });
});

describe('two hundred lines for a cohort', () => {
  const styles = linesFor(200, USUAL_SHARES);
  const asked = styles.map((style, i) => ({ number: i + 1, style, stem: whip() }));
  const { recipes, without } = bendRecipes(7, asked);

  it('no two alike, by 0.08 of the length at least', () => {
    expect([recipes.length, without]).to.deep.equal([200, []]);
    const shapes = recipes.map((r) => normalised(r.line, 200));
    let least = Infinity;
    for (let i = 0; i < shapes.length; i++)
      for (let j = 0; j < i; j++) least = Math.min(least, unlike(shapes[i], shapes[j]));
    console.log(`      nearest two: ${least.toFixed(3)} of the length`);
    expect(least).to.be.at.least(0.08);
  }).timeout(20_000);

  it('none flat, none even, none a spiral, none tighter than the wood bears, the tightest bend lowest', () => {
    for (const r of recipes) {
      const [a, , c] = extents(r.line);
      expect(c / a, `${r.number} flat`).to.be.at.least(0.1);
      const curves = curvatures(r.line);
      expect(variation(curves), `${r.number} even`).to.be.at.least(0.3);
      const both = torsions(r.line).some((t) => t > 0) && torsions(r.line).some((t) => t < 0);
      expect(turnsAbout(r.line) <= 1 || both, `${r.number} spiral`).to.equal(true);
      // half the thickness by the radius, 14 % of it for a one-year juniper
      curves.forEach((k, i) => {
        const thick = 4 - (2.4 * (i + 1)) / r.line.length;
        expect((thick / 2) * k, `${r.number} strain`).to.be.at.most(0.14 + 1e-6);
      });
      const tight = r.bends.map((b) => b.turn / b.over);
      expect(tight, `${r.number} tightest lowest`).to.deep.equal(tight.toSorted((x, y) => y - x));
      expect(lineFault(r.line, whip())).to.equal(null);
    }
  });

  it('the same again from the same seed, others from another; said in words', () => {
    const again = bendRecipes(7, asked.slice(0, 5));
    expect(again.recipes).to.deep.equal(recipes.slice(0, 5));
    expect(bendRecipes(8, asked.slice(0, 1)).recipes).to.not.deep.equal(recipes.slice(0, 1));
    const [r] = recipes;
    expect(bendWords(r, whip())).to.have.length(r.bends.length);
    expect(bendWords({ bends: [{ at: 0.21, turn: 35, side: 225, over: 0.15 }] }, whip())).to.deep.equal([
      '1: at 42 mm, 35° to the front left, over 30 mm',
    ]);
    expect([0, 90, 180, 359].map(wayWords)).to.deep.equal(['back', 'right', 'front', 'back']);
  });
});

describe('what a stem bears (common practice, no source)', () => {
  it('property: an older or thicker stem never bears a tighter bend; one too thick has no line and is told so', () => {
    const group = fc.constantFrom(...(Object.keys(GROWTH_GROUPS) as GrowthGroup[]));
    fc.assert(
      fc.property(group, fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 40 }), (g, age, mm) => {
        const now = tightest(mm, bearsStrain(g, age));
        expect(tightest(mm, bearsStrain(g, age + 1))).to.be.at.least(now);
        expect(tightest(mm + 1, bearsStrain(g, age))).to.be.above(now);
      }),
    );
    // 5 mm at a strain of a tenth
    expect(tightest(5, bearsStrain('deciduous-broadleaf', 1))).to.be.closeTo(25, 1e-9);
    const post = whip({ group: 'oak-like', age: 8, base: 40, tip: 30 });
    const { recipes, without } = bendRecipes(1, [{ number: 1, style: 'upright', stem: post }]);
    expect(recipes).to.deep.equal([]);
    expect(without[0].why).to.contain('too thick');
  });

  it('quotas add up and are off by less than one; lines are spread over the cohort', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.integer({ min: 0, max: 9 }), (plants, wild) => {
        const shares = { upright: 5, slanting: 3, wild };
        const all = 8 + wild;
        const counts = quotas(plants, shares);
        expect(Object.values(counts).reduce((a, b) => a + b, 0)).to.equal(plants);
        for (const l of LINES)
          expect(Math.abs(counts[l.id] - (plants * shares[l.id]) / all)).to.be.below(1 + 1e-9);
        const lines = linesFor(plants, shares);
        for (const l of LINES) expect(lines.filter((x) => x === l.id)).to.have.length(counts[l.id]);
      }),
    );
    expect(linesFor(4, USUAL_SHARES).slice(0, 2)).to.include('upright');
    expect(() => quotas(4, { upright: 0, slanting: 0, wild: 0 })).to.throw(RangeError);
  });
});

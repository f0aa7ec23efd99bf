import { expect } from 'chai';
import fc from 'fast-check';
import { family, type LineageEdge } from '@gonimos/core/lineage';

const node = (id: string, live = 10) => ({ id, code: id, live });
const edge = (from: string, to: string, n = 10, k = 8, kind: LineageEdge['kind'] = 'seed'): LineageEdge => ({
  from,
  to,
  kind,
  n,
  k,
});

describe('lineage', () => {
  const nodes = ['old', 'seed', 'cut', 'layer', 'tree', 'part', 'other'].map((id) => node(id));
  const edges = [
    edge('old', 'seed', 100, 81),
    edge('old', 'layer', 3, 2, 'layer'),
    edge('seed', 'part', 20, 20, 'split'),
    edge('part', 'tree', 1, 1, 'plant'),
    edge('layer', 'cut', 30, 22, 'cutting'),
  ];

  it('draws a parent’s offspring over the generations, with survival at each edge', () => {
    const f = family('layer', nodes, edges);
    const at = Object.fromEntries(f.placed.map((p) => [p.node.id, [p.generation, p.row]]));
    expect(Object.keys(at).sort()).to.deep.equal(['cut', 'layer', 'old', 'part', 'seed', 'tree']);
    expect([at.old[0], at.layer[0], at.cut[0], at.tree[0]]).to.deep.equal([0, 1, 2, 3]);
    expect([f.columns, f.rows]).to.deep.equal([4, 2]);
    // old, its layer, that layer’s cuttings; the seedlings that were parted and tagged are one generation
    expect(f.generations).to.equal(3);
    expect(family('tree', nodes, edges).generations).to.equal(3);
    // the parent stands level with the middle of its offspring; no two stand on one spot
    expect(at.old[1]).to.equal((at.layer[1] + at.seed[1]) / 2);
    expect(new Set(f.placed.map((p) => `${p.generation} ${p.row}`)).size).to.equal(f.placed.length);
    // Wilson 1927 by hand: (0.81 + 0.0192 ± 1.96·√(0.81·0.19/100 + 0.00960/100)) ÷ 1.0384
    const seeds = f.edges.find((e) => e.to === 'seed')!.share!;
    expect([seeds.value, seeds.low, seeds.high].map((x) => Math.round(x * 1e4) / 1e4)).to.deep.equal([
      0.81, 0.7222, 0.8749,
    ]);
  });

  it('a batch stuck again, parted or tagged is no generation more', () => {
    const again = [
      edge('old', 'cut', 30, 9, 'cutting'),
      edge('cut', 'part', 12, 12, 'split'),
      edge('part', 'tree', 1, 1, 'plant'),
    ];
    const f = family('tree', nodes, again);
    expect([f.columns, f.generations]).to.deep.equal([4, 2]);
  });

  it('stands alone without kin, survives a circle, and counts two parents once', () => {
    expect(family('other', nodes, edges)).to.deep.include({ columns: 1, generations: 1, rows: 1, edges: [] });
    const round = family('old', nodes, [...edges, edge('tree', 'old')]);
    expect(round.placed.length).to.equal(6);
    const merged = family('tree', nodes, [...edges, edge('layer', 'tree', 4, 4, 'merge')]);
    expect(merged.placed.filter((p) => p.node.id === 'tree').length).to.equal(1);
    expect(() => family('nobody', nodes, edges)).to.throw(RangeError);
  });
});

describe('lineage of any nursery', () => {
  const KINDS = ['seed', 'cutting', 'layer', 'split', 'merge', 'plant'] as const;
  // parents are older than what comes of them; merges go anywhere, also back
  const nursery = fc.integer({ min: 1, max: 18 }).chain((size) =>
    fc.record({
      size: fc.constant(size),
      of: fc.integer({ min: 0, max: size - 1 }),
      lines: fc.array(
        fc.record({
          a: fc.integer({ min: 0, max: size - 1 }),
          b: fc.integer({ min: 0, max: size - 1 }),
          kind: fc.constantFrom(...KINDS),
          n: fc.integer({ min: 0, max: 200 }),
          k: fc.integer({ min: 0, max: 200 }),
        }),
        { maxLength: 30 },
      ),
    }),
  );

  it('property: each is drawn once, on a spot of its own, after every parent drawn to it', () => {
    fc.assert(
      fc.property(nursery, ({ size, of, lines }) => {
        const nodes = Array.from({ length: size }, (_, i) => node(`N${i}`));
        const edges = lines
          .filter((l) => l.a !== l.b)
          .map((l) => {
            const [from, to] = l.kind === 'merge' || l.a < l.b ? [l.a, l.b] : [l.b, l.a];
            return edge(`N${from}`, `N${to}`, l.n, Math.min(l.k, l.n), l.kind);
          });
        const f = family(`N${of}`, nodes, edges);
        const at = new Map(f.placed.map((p) => [p.node.id, p]));
        expect(at.size).to.equal(f.placed.length);
        expect(at.has(`N${of}`)).to.equal(true);
        expect(new Set(f.placed.map((p) => `${p.generation} ${p.row}`)).size).to.equal(f.placed.length);
        for (const e of f.edges) {
          expect(at.get(e.to)!.generation).to.be.above(at.get(e.from)!.generation);
          // of those started so many live: a share with its interval, or none where nothing was started
          if (e.n === 0) expect(e.share).to.equal(null);
          else expect(e.share!.value).to.be.within(e.share!.low - 1e-12, e.share!.high + 1e-12);
        }
        for (const p of f.placed) {
          expect(p.generation).to.be.within(0, f.columns - 1);
          expect(p.row).to.be.within(0, f.rows - 1);
        }
      }),
      { numRuns: 1500 },
    );
  });

  it('property: whoever of a family is asked for, the plants raised from one’s own are all there', () => {
    fc.assert(
      fc.property(nursery, ({ size, lines }) => {
        const nodes = Array.from({ length: size }, (_, i) => node(`N${i}`));
        // without merges the family is a plain descent, found here by walking it
        const edges = lines
          .filter((l) => l.a < l.b && l.kind !== 'merge')
          .map((l) => edge(`N${l.a}`, `N${l.b}`, l.n, Math.min(l.k, l.n), l.kind));
        const below = (id: string): Set<string> =>
          new Set([id, ...edges.filter((e) => e.from === id).flatMap((e) => [...below(e.to)])]);
        const oldest = nodes.find((n) => !edges.some((e) => e.to === n.id))!;
        const drawn = new Set(family(oldest.id, nodes, edges).placed.map((p) => p.node.id));
        for (const id of below(oldest.id)) expect(drawn.has(id), id).to.equal(true);
      }),
      { numRuns: 500 },
    );
  });
});

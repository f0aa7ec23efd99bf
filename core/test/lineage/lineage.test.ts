import { expect } from 'chai';
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
    expect([f.generations, f.rows]).to.deep.equal([4, 2]);
    // the parent stands level with the middle of its offspring; no two stand on one spot
    expect(at.old[1]).to.equal((at.layer[1] + at.seed[1]) / 2);
    expect(new Set(f.placed.map((p) => `${p.generation} ${p.row}`)).size).to.equal(f.placed.length);
    // Newcombe 1998: 81 of 100 has Wilson limits 0.7222 and 0.8749 (by his method 3)
    const seeds = f.edges.find((e) => e.to === 'seed')!.share!;
    expect([seeds.value, seeds.low, seeds.high].map((x) => Math.round(x * 1e4) / 1e4)).to.deep.equal([
      0.81, 0.7222, 0.8749,
    ]);
  });

  it('stands alone without kin, survives a circle, and counts two parents once', () => {
    expect(family('other', nodes, edges)).to.deep.include({ generations: 1, rows: 1, edges: [] });
    const round = family('old', nodes, [...edges, edge('tree', 'old')]);
    expect(round.placed.length).to.equal(6);
    const merged = family('tree', nodes, [...edges, edge('layer', 'tree', 4, 4, 'merge')]);
    expect(merged.placed.filter((p) => p.node.id === 'tree').length).to.equal(1);
    expect(() => family('nobody', nodes, edges)).to.throw(RangeError);
  });
});

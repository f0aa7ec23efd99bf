import { groupBy } from '../group/index.ts';
import { wilson, type Share } from '../stats/index.ts';

export type LineageKind = 'seed' | 'cutting' | 'layer' | 'split' | 'merge' | 'plant' | 'other';

export interface LineageNode {
  id: string;
  code: string;
  live: number;
}

/** Plants or seed that went from a parent into an offspring. */
export interface LineageEdge {
  from: string;
  to: string;
  kind: LineageKind;
  /** started this way, and of those alive or gone on as plants */
  n: number;
  k: number;
}

export interface Placed<N> {
  node: N;
  /** 0 for the first parent */
  generation: number;
  /** row in the drawing; parents stand level with the middle of their offspring */
  row: number;
}

export interface Family<N> {
  placed: Placed<N>[];
  edges: (LineageEdge & { share: Share | null })[];
  /** columns of the drawing */
  columns: number;
  /** generations raised one from another; what was parted or put together again is none of its own */
  generations: number;
  rows: number;
}

/** Ways in which plants are raised from others, and not only parted from them. */
const RAISES: ReadonlySet<LineageKind> = new Set(['seed', 'cutting', 'layer', 'other']);

/** The most times plants were raised from plants, down any line. */
function raised(members: ReadonlySet<string>, edges: readonly LineageEdge[]): number {
  const into = groupBy(edges, (e) => e.to);
  const known = new Map<string, number>();
  const times = (id: string): number => {
    const before = known.get(id);
    if (before !== undefined) return before;
    // whoever comes round to itself is not raised once more by that
    known.set(id, 0);
    const own = (into.get(id) ?? []).map((e) => times(e.from) + (RAISES.has(e.kind) ? 1 : 0));
    const most = Math.max(0, ...own);
    known.set(id, most);
    return most;
  };
  return Math.max(...[...members].map(times));
}

/**
 * The family of a node: its oldest forebears and everything that came from them, laid out by generation (the
 * longest way down) and row, with the survival at each edge (Wilson 95 %). Throws RangeError for an unknown node;
 * plants put back in with those they were parted from are left out, as is any edge that closes a circle.
 */
export function family<N extends LineageNode>(
  of: string,
  nodes: readonly N[],
  edges: readonly LineageEdge[],
): Family<N> {
  const byId = new Map(nodes.map((n) => [n.id, n]));
  if (!byId.has(of)) throw new RangeError(`no such plants: ${of}`);
  const into = groupBy(edges, (e) => e.to);
  const out = groupBy(edges, (e) => e.from);

  const members = new Set<string>();
  const climb = (id: string) => {
    if (members.has(id)) return;
    members.add(id);
    into.get(id)?.forEach((e) => climb(e.from));
  };
  climb(of);
  const down = [...members];
  while (down.length > 0) {
    for (const e of out.get(down.pop()!) ?? [])
      if (!members.has(e.to)) {
        members.add(e.to);
        down.push(e.to);
      }
  }

  const ownLine = groupBy(
    edges.filter((e) => e.kind !== 'merge'),
    (e) => e.from,
  );
  const descends = (from: string, to: string, seen = new Set<string>()): boolean =>
    from === to ||
    (ownLine.get(from) ?? []).some((e) => !seen.has(e.to) && descends(e.to, to, seen.add(e.to)));

  const generation = new Map<string, number>();
  const used: LineageEdge[] = [];
  const depth = (id: string, above: ReadonlySet<string>): number => {
    const known = generation.get(id);
    if (known !== undefined) return known;
    const path = new Set(above).add(id);
    let deepest = 0;
    for (const e of into.get(id) ?? []) {
      if (!members.has(e.from) || path.has(e.from)) continue;
      // put back where they came from: nobody's offspring
      if (e.kind === 'merge' && descends(id, e.from)) continue;
      used.push(e);
      deepest = Math.max(deepest, depth(e.from, path) + 1);
    }
    generation.set(id, deepest);
    return deepest;
  };
  for (const id of members) depth(id, new Set());

  const row = new Map<string, number>();
  let next = 0;
  const lay = (id: string) => {
    if (row.has(id)) return;
    row.set(id, -1);
    const below = used.filter((e) => e.from === id && !row.has(e.to)).map((e) => e.to);
    const children = [...new Set(below)].sort((a, b) => byId.get(a)!.code.localeCompare(byId.get(b)!.code));
    children.forEach(lay);
    const rows = children.map((c) => row.get(c)!).filter((r) => r >= 0);
    row.set(id, rows.length === 0 ? next++ : (rows[0] + rows.at(-1)!) / 2);
  };
  const roots = [...members].filter((id) => generation.get(id) === 0);
  roots.sort((a, b) => byId.get(a)!.code.localeCompare(byId.get(b)!.code)).forEach(lay);

  return {
    placed: [...members].map((id) => ({
      node: byId.get(id)!,
      generation: generation.get(id)!,
      row: row.get(id)!,
    })),
    edges: used.map((e) => ({ ...e, share: e.n > 0 ? wilson(Math.min(e.k, e.n), e.n) : null })),
    columns: Math.max(...generation.values()) + 1,
    generations: raised(members, used) + 1,
    rows: Math.max(1, next),
  };
}

import type { FamilyNode, NewTally, Tally } from '@gonimos/contract/lineage';
import type { LineageEdge, LineageKind } from '@gonimos/core/lineage';
import type { Method } from '@gonimos/core/programmes';
import type { Sql } from '../db/index.ts';

/** What came into a cohort, and what of it lives or has gone on as plants; seed and layers undecided left out. */
interface Fared extends FamilyNode {
  came: number;
  well: number;
  parentId: string | null;
  lotParentId: string | null;
  /** entered as a start of its own, not parted from others */
  ownStart: boolean;
}

const STANDING = `ledger_entry l LEFT JOIN ledger_entry r ON r.reverses = l.id`;

/** Every cohort, with what came of it. */
const readFared = (sql: Sql): Promise<Fared[]> =>
  sql('cohort as c')
    .leftJoin('seed_lot as s', 's.id', 'c.lotId')
    .joinRaw(
      `LEFT JOIN LATERAL (
        SELECT coalesce(sum(l.count) FILTER (WHERE l.type IN ('started', 'split_in')), 0)::int AS came,
          coalesce(sum(l.count) FILTER (WHERE l.type IN ('sold', 'given', 'promoted', 'split_out')), 0)::int
          + coalesce(sum(l.count - coalesce(l.into_count, 1)) FILTER (WHERE l.type = 'fused'), 0)::int AS went
        FROM ${STANDING}
        WHERE l.cohort_id = c.id AND r.id IS NULL AND l.type <> 'reversed') AS f ON true`,
    )
    .select({
      id: 'c.id',
      code: 'c.code',
      live: 'c.live',
      pending: 'c.pending',
      taxonId: 'c.taxonId',
      method: 'c.method',
      startedSaid: 'c.startedSaid',
      tag: 'c.tag',
      parentId: 'c.parentId',
      lotParentId: 's.parentId',
      ownStart: sql.raw('c.split_from IS NULL'),
      came: sql.raw('greatest(0, f.came - c.pending)'),
      well: sql.raw('c.live + f.went'),
    });

interface Transfer {
  from: string;
  to: string;
  kind: LineageKind;
  n: number;
}

/** Plants that went from one cohort into another: parted, merged, given a tag. */
const readTransfers = async (sql: Sql): Promise<Transfer[]> => {
  const { rows } = await sql.raw<{ rows: Transfer[] }>(
    `SELECT o.cohort_id AS "from", i.cohort_id AS "to", sum(o.count)::int AS n,
       CASE WHEN bool_or(o.type = 'promoted') THEN 'plant'
            WHEN bool_or(c.split_from = o.cohort_id) THEN 'split' ELSE 'merge' END AS kind
     FROM ledger_entry o
     JOIN ledger_entry i ON i.transfer_id = o.transfer_id AND i.type = 'split_in'
     JOIN cohort c ON c.id = i.cohort_id
     WHERE o.type IN ('split_out', 'promoted')
       AND NOT EXISTS (SELECT 1 FROM ledger_entry r WHERE r.reverses = o.id)
     GROUP BY o.cohort_id, i.cohort_id`,
  );
  return rows;
};

const KIND: Record<Method, LineageKind> = {
  seed: 'seed',
  cutting: 'cutting',
  layer: 'layer',
  bought: 'other',
  lifted: 'other',
};

/** Everybody, and every way plants came from others, with what became of them. */
export async function readKin(sql: Sql): Promise<{ nodes: FamilyNode[]; edges: LineageEdge[] }> {
  const fared = await readFared(sql);
  const transfers = await readTransfers(sql);
  const byId = new Map(fared.map((f) => [f.id, f]));
  const shareOf = (id: string) => {
    const f = byId.get(id)!;
    return f.came === 0 ? 1 : Math.min(1, f.well / f.came);
  };
  const edges: LineageEdge[] = fared.flatMap((f) => {
    const from = f.parentId ?? f.lotParentId;
    // what was parted off keeps its parent, but hangs on the cohort it was parted from
    return from && f.ownStart
      ? [{ from, to: f.id, kind: KIND[f.method], n: f.came, k: Math.min(f.well, f.came) }]
      : [];
  });
  for (const t of transfers) edges.push({ ...t, k: Math.round(t.n * shareOf(t.to)) });
  const nodes = fared.map(
    ({ came: _c, well: _w, parentId: _p, lotParentId: _l, ownStart: _o, ...node }): FamilyNode => node,
  );
  return { nodes, edges };
}

export const insertTally = (
  sql: Sql,
  cohortId: string,
  t: NewTally,
  personId: string | null,
): Promise<unknown> =>
  sql('tally').insert({
    id: t.id,
    cohortId: cohortId,
    kind: t.kind,
    onDate: t.on,
    note: t.note,
    personId: personId,
    counts: JSON.stringify(t.counts),
  });

/** Tallies, newest first. */
export const readTallies = (sql: Sql, cohortId: string): Promise<Tally[]> =>
  sql('tally as t')
    .leftJoin('person as p', 'p.id', 't.personId')
    .where({ 't.cohortId': cohortId })
    .orderBy([
      { column: 't.onDate', order: 'desc' },
      { column: 't.seq', order: 'desc' },
    ])
    .select({
      id: 't.id',
      kind: 't.kind',
      on: 't.onDate',
      counts: 't.counts',
      note: 't.note',
      by: sql.raw("coalesce(p.name, '')"),
    });

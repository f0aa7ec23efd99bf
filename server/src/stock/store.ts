import type { CountStock, StockRow } from '@gonimos/contract/stock';
import { addDays } from '@gonimos/core/calendar';
import { allocate, container, type Short, type Want } from '@gonimos/core/containers';
import { doneInParts } from '../course/store.ts';
import type { Sql } from '../db/index.ts';
import { conflict } from '../http/problem.ts';

/** Steps that open within so many days speak for containers. */
const SPOKEN_FOR = 90;

async function shelves(sql: Sql): Promise<Omit<StockRow, 'wanted'>[]> {
  const { rows } = await sql.raw<{ rows: Omit<StockRow, 'wanted'>[] }>(`
    SELECT s.container, s.arriving, s.arrives, s.version, s.counted_on AS "countedOn",
      greatest(0, s.counted - coalesce((
        SELECT sum(coalesce(r.done, (SELECT sum(e.count) FROM ledger_entry e
          WHERE e.record_id = r.id AND e.type = 'potted'), 0)) FROM standing_record r
        WHERE r.kind = 'work' AND r.details -> 'potting' ->> 'container' = s.container
          AND r.seq > s.counted_seq), 0))::int AS have
    FROM container_stock s ORDER BY s.container`);
  return rows;
}

interface WantRow extends Want {
  cohortId: string;
  key: string;
}

async function readWants(sql: Sql, today: string): Promise<WantRow[]> {
  const rows = await sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 'c.growing': true })
    .whereNotNull('s.container')
    .where('s.target', '<=', addDays(today, SPOKEN_FOR))
    .whereIn('s.container', sql('container_stock').select('container'))
    .select({
      cohortId: 's.cohortId',
      key: 's.key',
      code: 'c.code',
      container: 's.container',
      on: 's.target',
      left: sql.raw('greatest(0, c.live - ?)', [doneInParts(sql)]),
    });
  return rows.map((r: WantRow & { left: number }) => ({
    cohortId: r.cohortId,
    key: r.key,
    code: r.code,
    container: r.container,
    on: r.on,
    id: `${r.cohortId} ${r.key}`,
    count: container(r.container).shared ? Math.ceil(r.left / 60) : r.left,
  }));
}

/** Steps whose containers fall short, by cohort. */
export async function readShorts(
  sql: Sql,
  today: string,
): Promise<Map<string, { key: string; short: Short }[]>> {
  const out = new Map<string, { key: string; short: Short }[]>();
  const on = await shelves(sql);
  if (on.length === 0) return out;
  const wants = await readWants(sql, today);
  const short = allocate(on, wants);
  for (const w of wants) {
    const s = short.get(w.id);
    if (s) out.set(w.cohortId, [...(out.get(w.cohortId) ?? []), { key: w.key, short: s }]);
  }
  return out;
}

export async function readStock(sql: Sql, today: string): Promise<StockRow[]> {
  const wants = await readWants(sql, today);
  return (await shelves(sql)).map((s) => ({
    ...s,
    wanted: wants.filter((w) => w.container === s.container).reduce((n, w) => n + w.count, 0),
  }));
}

/** A fresh count of one kind; version 0 counts it for the first time. */
export async function writeCount(sql: Sql, c: CountStock, today: string): Promise<void> {
  const last = await sql('record').max({ seq: 'seq' }).first<{ seq: number | null }>();
  const row = {
    counted: c.counted,
    countedOn: today,
    countedSeq: last?.seq ?? 0,
    arriving: c.arriving,
    arrives: c.arrives ?? null,
    version: c.version + 1,
  };
  const written =
    c.version === 0
      ? await sql('container_stock')
          .insert({ container: c.container, ...row })
          .onConflict('container')
          .ignore()
          .returning('container')
      : await sql('container_stock')
          .where({ container: c.container, version: c.version })
          .update(row)
          .returning('container');
  if (written.length === 0) throw conflict('This kind was counted meanwhile.', await readStock(sql, today));
}

/** Cohorts with a step that soon wants one of these kinds, as far as they have been counted. */
export const wantersOf = (sql: Sql, kinds: string[], today: string): Promise<string[]> =>
  sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 'c.growing': true })
    .whereIn('s.container', sql('container_stock').whereIn('container', kinds).select('container'))
    .where('s.target', '<=', addDays(today, SPOKEN_FOR))
    .distinct()
    .pluck('s.cohort_id');

import type { Round } from '@gonimos/contract/round';
import type { Arrival, CountStock, StockRow } from '@gonimos/contract/stock';
import { addDays } from '@gonimos/core/calendar';
import { allocate, container, piecesFor, type Short, type Want } from '@gonimos/core/containers';
import { groupBy } from '@gonimos/core/group';
import { DONE_IN_PARTS } from '../course/store.ts';
import type { Sql } from '../db/index.ts';
import { conflict } from '../http/problem.ts';
import { countRow } from './count.ts';

/** Steps that open within so many days speak for containers. */
const SPOKEN_FOR = 90;

/** Steps that are named for each kind. */
const NAMED = 12;

/** A kind as it stands on the shelf. */
type Counted = Omit<StockRow, 'wanted' | 'wants' | 'short' | 'have' | 'countedOn'> & {
  have: number;
  countedOn: string;
};

interface Used {
  container: string;
  plants: number;
}

interface Returned {
  container: string;
  back: number;
}

/** Kinds that were counted, less what was used since, by work and by moves to another size. */
async function shelves(sql: Sql): Promise<Counted[]> {
  const rows: (Counted & { counted: number })[] = await sql('container_stock').orderBy('container').select({
    container: 'container',
    counted: 'counted',
    arriving: 'arriving',
    arrives: 'arrives',
    version: 'version',
    countedOn: 'countedOn',
    worn: 'worn',
  });
  const { rows: returned } = await sql.raw<{ rows: Returned[] }>(RETURNED);
  const back = new Map(returned.map((r) => [r.container, r.back]));
  const used = groupBy((await sql.raw<{ rows: Used[] }>(USED)).rows, (u) => u.container);
  return rows.map(({ counted, ...s }) => {
    const kind = container(s.container);
    const gone = (used.get(s.container) ?? []).reduce((n, u) => n + piecesFor(kind, u.plants), 0);
    return { ...s, have: Math.max(0, counted + (back.get(s.container) ?? 0) - gone) };
  });
}

/** Plants put into counted kinds since they were counted, record by record. */
const USED = `
  SELECT s.container, coalesce(r.done,
      (SELECT sum(e.count) FROM ledger_entry e WHERE e.record_id = r.id AND e.type = 'potted'),
      CASE WHEN r.kind = 'visit' THEN c.live ELSE 0 END)::int AS plants
  FROM container_stock s
  JOIN standing_record r ON r.kind IN ('work', 'visit') AND r.seq > s.counted_seq
    AND r.details -> 'potting' ->> 'container' = s.container
  JOIN cohort c ON c.id = r.cohort_id`;

/** Emptied containers that went back on the shelf since their kind was counted. */
const RETURNED = `
  SELECT s.container, sum((r.details #>> '{potting,back}')::int)::int AS back
  FROM container_stock s
  JOIN standing_record r ON r.seq > s.counted_seq AND r.details #>> '{potting,before}' = s.container
  WHERE r.details #>> '{potting,back}' IS NOT NULL
  GROUP BY s.container`;

interface WantRow extends Want {
  cohortId: string;
  key: string;
}

/** A step that waits for containers stays in line for the day it would have been done. */
const wantedOn = (sql: Sql) => sql.raw('coalesce(s.wants_on, s.target)');

async function readWants(sql: Sql, today: string): Promise<WantRow[]> {
  const rows = await sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .joinRaw(`LEFT JOIN (${DONE_IN_PARTS}) part ON part.cohort_id = s.cohort_id AND part.step_key = s.key`)
    .where({ 's.status': 'planned', 'c.growing': true })
    .whereNotNull('s.container')
    .where(wantedOn(sql), '<=', addDays(today, SPOKEN_FOR))
    .select({
      cohortId: 's.cohortId',
      key: 's.key',
      code: 'c.code',
      container: 's.container',
      // all that is late is wanted today: else who waits since yesterday and who was served would change places daily
      on: sql.raw('greatest(coalesce(s.wants_on, s.target), ?::date)', [today]),
      left: sql.raw('greatest(0, c.live - coalesce(part.done, 0))'),
    });
  return rows.map((r: WantRow & { left: number }) => ({
    cohortId: r.cohortId,
    key: r.key,
    code: r.code,
    container: r.container,
    on: r.on,
    id: `${r.cohortId} ${r.key}`,
    count: piecesFor(container(r.container), r.left),
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
  const short = allocate(on, wants, today);
  for (const w of wants) {
    const s = short.get(w.id);
    if (s) out.set(w.cohortId, [...(out.get(w.cohortId) ?? []), { key: w.key, short: s }]);
  }
  return out;
}

/** What no shelf and no delivery covers of a kind; wants that wait for a delivery are covered. */
function shortOf(wants: readonly WantRow[], shorts: ReadonlyMap<string, Short>): StockRow['short'] {
  const open = wants.flatMap((w) => {
    const short = shorts.get(w.id);
    return short && short.until === null ? [{ count: short.count, on: w.on }] : [];
  });
  if (open.length === 0) return null;
  return { count: open.reduce((n, o) => n + o.count, 0), on: open[0].on };
}

/** What stands on the shelf against what is wanted, kinds that nobody has counted among them. */
export async function readStock(sql: Sql, today: string): Promise<StockRow[]> {
  const all = (await readWants(sql, today)).filter((w) => container(w.container).wall !== 'ground');
  const wants = groupBy(
    all.toSorted((a, b) => (a.on < b.on ? -1 : a.on > b.on ? 1 : 0)),
    (w) => w.container,
  );
  const counted = await shelves(sql);
  const shorts = allocate(counted, all, today);
  const asked = (kind: string) => {
    const of = wants.get(kind) ?? [];
    return {
      wanted: of.reduce((n, w) => n + w.count, 0),
      wants: of.slice(0, NAMED).map(({ cohortId, code, count, on }) => ({ cohortId, code, count, on })),
      short: shortOf(of, shorts),
    };
  };
  const known = new Set(counted.map((s) => s.container));
  const uncounted = [...wants.keys()].filter((k) => !known.has(k)).sort();
  const never = { have: null, countedOn: null, arriving: 0, arrives: null, worn: 0, version: 0 };
  return [
    ...counted.map((s) => ({ ...s, ...asked(s.container) })),
    ...uncounted.map((k) => ({ ...never, container: k, ...asked(k) })),
  ];
}

/** Deliveries whose day has come, and of which nobody has said what came. */
export const readArrivals = (sql: Sql, today: string): Promise<Round['arrivals']> =>
  sql('container_stock')
    .where('arriving', '>', 0)
    .where('arrives', '<=', today)
    .orderBy('arrives')
    .select('container', 'arriving', 'arrives', 'version');

/** What came of a delivery goes on the shelf; the rest is expected on another day, or not at all. */
export async function writeArrival(sql: Sql, a: Arrival, today: string): Promise<void> {
  const at = { container: a.container, version: a.version };
  const now = await sql('container_stock').where(at).first('counted', 'arriving');
  if (!now) throw conflict('This kind was counted meanwhile.', await readStock(sql, today));
  const rest = a.rest ?? null;
  await sql('container_stock')
    .where(at)
    .update({
      counted: now.counted + a.came,
      arriving: rest === null ? 0 : Math.max(0, now.arriving - a.came),
      arrives: rest,
      version: a.version + 1,
    });
}

/** A fresh count of one kind; version 0 counts it for the first time. */
export async function writeCount(sql: Sql, c: CountStock, today: string): Promise<void> {
  const row = { ...(await countRow(sql, c, today)), worn: c.worn };
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
    .where(wantedOn(sql), '<=', addDays(today, SPOKEN_FOR))
    .distinct()
    .pluck('s.cohort_id');

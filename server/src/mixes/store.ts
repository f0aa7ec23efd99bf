import type { CountMix, Mix, Mixes, MixStock, SaveMix } from '@gonimos/contract/mixes';
import { addDays } from '@gonimos/core/calendar';
import type { PlannedStep } from '@gonimos/core/course';
import { batchOf, COMPONENTS, LIBRARY_RECIPES } from '@gonimos/core/mixes';
import type { Sql } from '../db/index.ts';
import { conflict } from '../http/problem.ts';
import { countRow } from '../stock/count.ts';
import { readBatches } from './batches.ts';

/** Steps that open within so many days speak for mix. */
const SPOKEN_FOR = 90;

/** Every mix that can be used: the library's, what was found of them here, and the nursery's own. */
export async function readMixes(sql: Sql): Promise<Mix[]> {
  const rows = await sql('mix').where({ retired: false }).orderBy('name').select();
  const kept = new Map(rows.map((r) => [r.id, r]));
  const asMix = ({ id, name, parts, under, drain, version }: (typeof rows)[number]): Mix => ({
    id,
    name,
    parts,
    under,
    drain,
    own: true,
    version,
  });
  const library = LIBRARY_RECIPES.map((r): Mix => {
    const own = kept.get(r.id);
    if (own) return asMix(own);
    const { id, name, parts } = r;
    return { id, name, parts: [...parts], under: null, drain: null, own: false, version: 0 };
  });
  const known = new Set(library.map((m) => m.id));
  return [...library, ...rows.filter((r) => !known.has(r.id)).map(asMix)];
}

/** Litres of each component that steps of the next weeks want, as they come from the bag. */
async function readWanted(sql: Sql, mixes: readonly Mix[], today: string): Promise<Map<string, number>> {
  const rows: { materials: PlannedStep['materials'] }[] = await sql('course_step as s')
    .join('cohort as c', 'c.id', 's.cohortId')
    .where({ 's.status': 'planned', 'c.growing': true })
    .where('s.target', '<=', addDays(today, SPOKEN_FOR))
    .select({ materials: 's.materials' });
  const byName = new Map(mixes.map((m) => [m.name, m]));
  const wanted = new Map<string, number>();
  for (const { what, amount, unit } of rows.flatMap((r) => r.materials)) {
    const mix = byName.get(what);
    if (!mix || unit !== 'L' || !amount) continue;
    for (const p of batchOf(mix, amount))
      wanted.set(p.component.id, (wanted.get(p.component.id) ?? 0) + p.bought);
  }
  return wanted;
}

/**
 * Litres that work and batches have taken since each component was counted, less old mix that was put by; what was
 * taken back was not taken.
 */
const USED = `
  SELECT s.component, coalesce(sum(u.litres), 0)::float AS litres
  FROM mix_stock s
  LEFT JOIN (
    SELECT u.component, u.litres, r.seq AS record, NULL::bigint AS batch
      FROM mix_use u JOIN standing_record r ON r.id = u.record_id
    UNION ALL
    SELECT p.component, p.litres, NULL, b.seq
      FROM mix_batch b, jsonb_to_recordset(b.parts) AS p(component text, litres float) WHERE NOT b.withdrawn
  ) u ON u.component = s.component AND (u.record > s.counted_seq OR u.batch > s.counted_batch)
  GROUP BY s.component`;

async function readStock(sql: Sql, mixes: readonly Mix[], today: string): Promise<MixStock[]> {
  const wanted = await readWanted(sql, mixes, today);
  const counted = new Map((await sql('mix_stock').select()).map((s) => [s.component, s]));
  const { rows } = await sql.raw<{ rows: { component: string; litres: number }[] }>(USED);
  const used = new Map(rows.map((r) => [r.component, r.litres]));
  return COMPONENTS.map(({ id }) => {
    const s = counted.get(id);
    return {
      component: id,
      have: s ? Math.max(0, s.counted - (used.get(id) ?? 0)) : null,
      countedOn: s?.countedOn ?? null,
      arriving: s?.arriving ?? 0,
      arrives: s?.arrives ?? null,
      wanted: wanted.get(id) ?? 0,
      cents: s?.cents ?? null,
      version: s?.version ?? 0,
    };
  });
}

export async function readShed(sql: Sql, today: string): Promise<Mixes> {
  const mixes = await readMixes(sql);
  return { mixes, stock: await readStock(sql, mixes, today), batches: await readBatches(sql) };
}

/** Keeps a mix; version 0 keeps it for the first time. */
export async function writeMix(sql: Sql, m: SaveMix): Promise<void> {
  const row = {
    name: m.name,
    parts: JSON.stringify(m.parts) as never,
    under: (m.under ? JSON.stringify(m.under) : null) as never,
    drain: (m.drain ? JSON.stringify(m.drain) : null) as never,
    version: m.version + 1,
  };
  const written =
    m.version === 0
      ? await sql('mix')
          .insert({ id: m.mixId, ...row })
          .onConflict('id')
          .ignore()
          .returning('id')
      : await sql('mix').where({ id: m.mixId, version: m.version }).update(row).returning('id');
  if (written.length === 0) throw conflict('The mix was changed meanwhile.', await readMixes(sql));
}

/** Counts one component; version 0 counts it for the first time. */
export async function writeMixCount(sql: Sql, c: CountMix, today: string): Promise<void> {
  const last = await sql('mix_batch').max({ seq: 'seq' }).first<{ seq: number | null }>();
  const row = {
    ...(await countRow(sql, c, today)),
    countedBatch: last?.seq ?? 0,
    cents: c.cents ?? null,
  };
  const written =
    c.version === 0
      ? await sql('mix_stock')
          .insert({ component: c.component, ...row })
          .onConflict('component')
          .ignore()
          .returning('component')
      : await sql('mix_stock')
          .where({ component: c.component, version: c.version })
          .update(row)
          .returning('component');
  if (written.length === 0)
    throw conflict('This component was counted meanwhile.', await readShed(sql, today));
}

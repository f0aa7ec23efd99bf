import { strFromU8, unzipSync } from 'fflate';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import Papa from 'papaparse';
import { migrate, openDatabase, type Db, type Trx } from '../db/index.ts';
import { findNursery } from '../nursery/store.ts';
import { columnsOf } from './tables.ts';
import type { Everything } from './write.ts';

/** Rows put into a table at a time. */
const PART = 1000;

async function put(trx: Trx, table: string, names: string[], rows: readonly object[]): Promise<void> {
  const columns = names.map((n) => `"${n}"`).join(', ');
  for (let i = 0; i < rows.length; i += PART)
    await trx.raw(
      `INSERT INTO ${table} (${columns}) OVERRIDING SYSTEM VALUE
       SELECT ${columns} FROM jsonb_populate_recordset(NULL::public.${table}, ?)`,
      [JSON.stringify(rows.slice(i, i + PART))],
    );
}

/** What is counted on goes on after the highest that was read back. */
async function goOn(trx: Trx, table: string): Promise<void> {
  const { rows } = await trx.raw<{ rows: { name: string }[] }>(
    `SELECT column_name AS name FROM information_schema.columns
     WHERE table_schema = 'public' AND table_name = ? AND is_identity = 'YES'`,
    [table],
  );
  for (const { name } of rows)
    await trx.raw(
      `SELECT setval(pg_get_serial_sequence(?, ?), greatest(1, (SELECT coalesce(max(${name}), 1) FROM ${table})))`,
      [table, name],
    );
}

/** Reads a zip of everything into an empty nursery, in one transaction; gives rows by table. */
export async function readBack(db: Db, zip: Uint8Array): Promise<Record<string, number>> {
  const files = unzipSync(zip);
  if (!('everything.json' in files))
    throw new Error('this is no zip of everything: everything.json is missing');
  const all = JSON.parse(strFromU8(files['everything.json'])) as Everything;
  const counts: Record<string, number> = {};
  await db.transaction(async (trx) => {
    if (await findNursery(trx)) throw new Error('there is a nursery in this database: nothing was changed');
    await trx.raw('SET CONSTRAINTS ALL DEFERRED');
    const known = await columnsOf(trx);
    for (const [table, rows] of Object.entries(all.tables)) {
      const columns = known.get(table);
      if (!columns)
        throw new Error(`there is no table ${table}: it was written by ${all.schema}, a later schema`);
      await put(
        trx,
        table,
        columns.filter((c) => !c.generated).map((c) => c.name),
        rows,
      );
      await goOn(trx, table);
      counts[table] = rows.length;
    }
    const about = Papa.parse<Record<string, string>>(strFromU8(files['pictures/pictures.csv']), {
      header: true,
      skipEmptyLines: 'greedy',
    }).data;
    for (const p of about) {
      const row = Object.fromEntries(Object.entries(p).map(([k, v]) => [k, v === '' ? null : v]));
      const [bytes, thumb] = [`pictures/${p.id}.jpg`, `pictures/thumbs/${p.id}.jpg`].map((f) =>
        Buffer.from(files[f]),
      );
      await trx('picture').insert({ ...row, note: row.note ?? '', bytes, thumb });
    }
    counts.picture = about.length;
  });
  return counts;
}

// run by `npm run read-back`
if (process.argv[1] === fileURLToPath(import.meta.url)) {
  const url = process.env.GONIMOS_DATABASE_URL!;
  await migrate(url);
  const db = openDatabase(url, 1);
  try {
    const counts = await readBack(db, readFileSync(process.argv[2]));
    const rows = Object.values(counts).reduce((a, b) => a + b, 0);
    console.log(
      `Read back: ${Object.keys(counts).length} tables, ${rows} rows. Give an owner a password: npm run owner`,
    );
  } catch (error) {
    console.error((error as Error).message);
    process.exitCode = 1;
  } finally {
    await db.destroy();
  }
}

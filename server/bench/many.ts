/** A nursery of thousands: the demo, and copies of one of its cohorts. */
import type { Db } from '../src/db/index.ts';
import { migrate, openDatabase } from '../src/db/index.ts';
import { loadDemo } from '../src/demo/nursery.ts';
import { houseOf } from '../src/house.ts';
import { freshDatabase } from '../test/harness.ts';

export const COHORTS = 5000;
const ENTRIES = 50;

/** Where the copies stand in their programme: all that comes before was done elsewhere. */
const STANDS_AT = ['correct', 'roots-2', 'roots-3'];

export const row = (what: string, value: string, bound: string, ok: boolean) =>
  console.log(`${ok ? 'ok  ' : 'MISS'}  ${what.padEnd(62)} ${value.padStart(14)}   ${bound}`);

/** Fills up to so many cohorts, each with a ledger of its own; none of them planned yet. */
async function fill(db: Db): Promise<void> {
  const model = (await db('cohort').where({ code: 'FM-30' }).first())!;
  const { live: _l, pending: _p, emerged: _e, growing: _g, ...kept } = model;
  const have = Number((await db('cohort').count({ n: '*' }).first())!.n);
  const ids: string[] = [];
  for (let from = have; from < COHORTS; from += 500) {
    const rows = Array.from({ length: Math.min(500, COHORTS - from) }, (_, i) => {
      const id = crypto.randomUUID();
      ids.push(id);
      return {
        ...kept,
        id,
        code: `B-${from + i}`,
        programme: JSON.stringify(kept.programme),
        schools: JSON.stringify(kept.schools),
        stepMaps: JSON.stringify(kept.stepMaps),
        rings: JSON.stringify(kept.rings),
        standsAt: STANDS_AT[(from + i) % STANDS_AT.length],
      };
    });
    await db('cohort').insert(rows);
  }
  for (let from = 0; from < ids.length; from += 100)
    await db.raw(
      `INSERT INTO ledger_entry (id, cohort_id, type, on_date, to_date, count, unit)
       SELECT gen_random_uuid(), c, CASE WHEN k = 0 THEN 'started' WHEN k % 2 = 0 THEN 'potted' ELSE 'lost' END,
              date '2030-01-01' + k, date '2030-01-01' + k, CASE WHEN k = 0 THEN 200 ELSE 1 END,
              CASE WHEN k = 0 THEN 'plant' END
       FROM unnest(?::uuid[]) c, generate_series(0, ?) k`,
      [ids.slice(from, from + 100), ENTRIES - 1],
    );
  await db.raw('ANALYZE');
}

/** A database with the demo nursery filled up to `COHORTS`. */
export async function manyCohorts() {
  const made = await freshDatabase();
  const db = openDatabase(made.url, 8);
  await migrate(made.url);
  await loadDemo(houseOf(db));
  await fill(db);
  return { ...made, db };
}

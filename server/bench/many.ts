/** A nursery of thousands: the demo, and copies of all its cohorts, each standing at the step that comes next for it. */
import type { Db } from '../src/db/index.ts';
import { migrate, openDatabase } from '../src/db/index.ts';
import { sure } from '../src/db/sure.ts';
import { loadDemo } from '../src/demo/nursery.ts';
import { houseOf } from '../src/house.ts';
import { freshDatabase } from '../test/harness.ts';
import { asGiven } from '../src/cohorts/store.ts';

export const COHORTS = 5000;
const ENTRIES = 50;

export const row = (what: string, value: string, bound: string, ok: boolean) =>
  console.log(`${ok ? 'ok  ' : 'MISS'}  ${what.padEnd(62)} ${value.padStart(14)}   ${bound}`);

/** What copies are made of: every cohort that is not kept for its layers, at the step that comes next for it. */
async function modelsOf(db: Db) {
  const { rows } = await db.raw<{ rows: { id: string; key: string }[] }>(
    `SELECT DISTINCT ON (c.id) c.id, s.key FROM cohort c
     JOIN course_step s ON s.cohort_id = c.id AND s.chain IS NULL AND s.status = 'planned'
     JOIN LATERAL jsonb_array_elements(c.programme -> 'steps') p ON p ->> 'key' = s.key
     WHERE c.growing AND c.method <> 'layer' ORDER BY c.id, s.seq`,
  );
  const models = [];
  for (const { id, key } of rows) {
    const kept = asGiven(await sure(db('cohort').where({ id }).first()));
    models.push({
      ...kept,
      standsAt: key,
      tag: null,
      hostId: null,
      goalId: null,
      lotId: null,
      planDigest: '',
      programme: JSON.stringify(kept.programme),
      rings: JSON.stringify(kept.rings),
      schools: JSON.stringify(kept.schools),
      stepMaps: JSON.stringify(kept.stepMaps),
      origin: kept.origin && JSON.stringify(kept.origin),
      taxonMaybe: kept.taxonMaybe && JSON.stringify(kept.taxonMaybe),
    });
  }
  return models;
}

/** Fills up to so many cohorts, each with a ledger of its own; none of them planned yet. */
async function fill(db: Db): Promise<void> {
  const models = await modelsOf(db);
  const have = Number((await db('cohort').count({ n: '*' }).first())!.n);
  const ids: string[] = [];
  for (let from = have; from < COHORTS; from += 500) {
    const rows = Array.from({ length: Math.min(500, COHORTS - from) }, (_, i) => {
      const id = crypto.randomUUID();
      ids.push(id);
      return { ...models[(from + i) % models.length], id, code: `B-${from + i}` };
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
  // the shelf grows with the nursery: else all stand in line for the containers of thirty cohorts
  await db.raw('UPDATE container_stock SET counted = counted * ?, arriving = arriving * ?', [
    Math.round(COHORTS / have),
    Math.round(COHORTS / have),
  ]);
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

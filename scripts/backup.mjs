/**
 * A copy of the whole database: npm run backup -- FILE, or -- FOLDER, where copies are named by their time and thinned
 * out as they grow old. Each is tried by restoring it into a throwaway database and comparing the counts of every table.
 */
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { connect, countsOf, postgres, withDatabase } from './lib/database.mjs';
import { giveUp, say, step } from './lib/say.mjs';
import { withCluster } from './lib/throwaway.mjs';

const DAY = 86_400_000;
const NAME = /^gonimos-(\d{4}-\d{2}-\d{2})T\d{6}\.dump$/;

const [target] = process.argv.slice(2);
if (!target) giveUp('Say where to: npm run backup -- backups/ or npm run backup -- gonimos.dump');
const folder = target.endsWith('/') || (existsSync(target) && statSync(target).isDirectory());
if (folder) mkdirSync(target, { recursive: true });
const stamp = new Date().toISOString().slice(0, 19).replace(/:/g, '');
const file = resolve(folder ? join(target, `gonimos-${stamp}.dump`) : target);
if (existsSync(file)) giveUp(`${file} is there already; nothing was written.`);

/** Copies what one moment shows, and counts what the same moment shows. */
async function copy(url, to) {
  const client = await connect(url);
  try {
    await client.query('BEGIN ISOLATION LEVEL REPEATABLE READ READ ONLY');
    const { rows } = await client.query('SELECT pg_export_snapshot() AS id');
    const counts = await countsOf(client);
    postgres('pg_dump', ['-Fc', '--no-owner', '--no-privileges', `--snapshot=${rows[0].id}`, '-f', to], url);
    return counts;
  } finally {
    await client.end();
  }
}

/** Restores a copy into a database of its own and says where its counts differ. */
const tried = (from, counts) =>
  withCluster(
    async (env) => {
      const url = env.GONIMOS_TEST_DATABASE_URL;
      postgres(
        'pg_restore',
        ['--no-owner', '--exit-on-error', '-d', new URL(url).pathname.slice(1), from],
        url,
      );
      const client = await connect(url);
      const found = await countsOf(client);
      await client.end();
      return Object.keys({ ...counts, ...found }).filter((t) => counts[t] !== found[t]);
    },
    { volatile: true },
  );

/** Keeps every copy of a week, one of each week for two months, and one of each month after that. */
function thinOut(of) {
  const copies = readdirSync(of)
    .filter((f) => NAME.test(f))
    .sort()
    .reverse();
  const seen = new Set();
  for (const name of copies) {
    const day = NAME.exec(name)[1];
    const age = (Date.now() - Date.parse(day)) / DAY;
    const week = `week ${Math.floor(Date.parse(day) / (7 * DAY))}`;
    const slot = age <= 7 ? name : age <= 60 ? week : `month ${day.slice(0, 7)}`;
    if (!seen.has(slot)) seen.add(slot);
    else rmSync(join(of, name));
  }
}

await withDatabase(async (url) => {
  const fresh = `${file}.new-${process.pid}`;
  try {
    const counts = await step('Copying the database', () => copy(url, fresh));
    const differ = await step('Trying the copy', () => tried(fresh, counts));
    if (differ.length > 0)
      giveUp(`The copy does not hold what the database holds: ${differ.join(', ')}. It was thrown away.`);
    renameSync(fresh, file);
    const client = await connect(url);
    await client.query(
      `INSERT INTO setting (key, value) VALUES ('last backup', $1)
       ON CONFLICT (key) DO UPDATE SET value = excluded.value`,
      [new Date().toISOString()],
    );
    await client.end();
    const rows = Object.values(counts).reduce((a, b) => a + b, 0);
    say(`${file}: ${Object.keys(counts).length} tables, ${rows} rows, tried`);
    if (folder) thinOut(target);
  } finally {
    rmSync(fresh, { force: true });
  }
});

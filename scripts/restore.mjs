/**
 * Brings a copy back: npm run restore -- FILE, into an empty database; with --over in place of what is there.
 * It is one transaction: when anything in it fails, the database stays as it was.
 */
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { connect, countsOf, postgres, withDatabase } from './lib/database.mjs';
import { giveUp, say, step } from './lib/say.mjs';

const args = process.argv.slice(2);
const over = args.includes('--over');
const [from] = args.filter((a) => !a.startsWith('--'));
if (!from || !existsSync(from)) giveUp('Say which copy: npm run restore -- gonimos.dump');
const file = resolve(from);

await withDatabase(async (url) => {
  const client = await connect(url);
  const counts = await countsOf(client);
  await client.end();
  const tables = Object.keys(counts);
  if (tables.length > 0 && counts.nursery > 0 && !over)
    giveUp(
      'There is a nursery in this database; nothing was changed.\nTo put the copy in its place, and lose what is there:\n\n  npm run restore -- FILE --over',
    );
  const clean = tables.length > 0 ? ['--clean', '--if-exists'] : [];
  const how = ['--no-owner', '--no-privileges', '--single-transaction', '--exit-on-error', ...clean];
  await step('Restoring', () =>
    postgres('pg_restore', [...how, '-d', new URL(url).pathname.slice(1), file], url),
  );
  const back = await connect(url);
  const rows = Object.values(await countsOf(back)).reduce((a, b) => a + b, 0);
  await back.end();
  say(`Restored: ${rows} rows. The next start brings it up to date`);
});

/** For an owner who forgot the password: npm run owner -- NAME gives a new one, once, to whoever is at the machine. */
import { spawnSync } from 'node:child_process';
import { ROOT } from './lib/packages.mjs';
import { withDatabase } from './lib/database.mjs';
import { giveUp } from './lib/say.mjs';

const name = process.argv.slice(2).join(' ').trim();
if (!name) giveUp('Say who: npm run owner -- NAME');
const status = await withDatabase(
  (url) =>
    spawnSync(
      process.execPath,
      ['--import', '@oxc-node/core/register', 'server/src/people/recover.ts', name],
      {
        cwd: ROOT,
        stdio: 'inherit',
        env: { ...process.env, GONIMOS_DATABASE_URL: url },
      },
    ).status,
);
process.exit(status ?? 1);

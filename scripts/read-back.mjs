/** Reads everything that was taken out back into an empty nursery: npm run read-back -- FILE.zip */
import { spawnSync } from 'node:child_process';
import { existsSync } from 'node:fs';
import { resolve } from 'node:path';
import { withDatabase } from './lib/database.mjs';
import { ROOT } from './lib/packages.mjs';
import { giveUp } from './lib/say.mjs';

const [file] = process.argv.slice(2);
if (!file || !existsSync(file)) giveUp('Say which file: npm run read-back -- gonimos.zip');
const status = await withDatabase(
  (url) =>
    spawnSync(
      process.execPath,
      ['--import', '@oxc-node/core/register', 'server/src/everything/read-back.ts', resolve(file)],
      {
        cwd: ROOT,
        stdio: 'inherit',
        env: { ...process.env, GONIMOS_DATABASE_URL: url },
      },
    ).status,
);
process.exit(status ?? 1);

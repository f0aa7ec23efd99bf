/** Remakes docs/screenshots; name one to remake only that: npm run shots -- round. */
import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { needChromium, ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

await prepare();
await needChromium();
mkdirSync(join(ROOT, 'docs/screenshots'), { recursive: true });
const status = await withCluster(
  (env) => {
    const args = ['--import', '@oxc-node/core/register', 'e2e/shots.ts', ...process.argv.slice(2)];
    return spawnSync(process.execPath, args, { cwd: ROOT, stdio: 'inherit', env }).status;
  },
  { volatile: true },
);
process.exit(status ?? 1);

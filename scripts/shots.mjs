/** Remakes docs/screenshots; name one to remake only that: npm run shots -- round. */
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { runs } from './lib/children.mjs';
import { needChromium, ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

await prepare();
await needChromium();
mkdirSync(join(ROOT, 'docs/screenshots'), { recursive: true });
const ok = await withCluster(
  (env) => {
    const args = ['--import', '@oxc-node/core/register', 'e2e/shots.ts', ...process.argv.slice(2)];
    return runs(process.execPath, args, env);
  },
  { volatile: true },
);
process.exit(ok ? 0 : 1);

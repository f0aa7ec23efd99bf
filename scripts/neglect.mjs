/**
 * Growers who miss days, do half a batch and change their minds, two years each: npm run neglect, or
 * npm run neglect -- 3,8 16 for two of them and sixteen weeks.
 */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

const TWENTY = Array.from({ length: 20 }, (_, i) => i + 1).join();
const [seeds = TWENTY, weeks = '104'] = process.argv.slice(2);
await prepare();
const status = await withCluster(
  (env) =>
    spawnSync(join(ROOT, 'node_modules/.bin/mocha'), ['server/test/neglect.test.ts'], {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...env, GONIMOS_NEGLECT_SEEDS: seeds, GONIMOS_NEGLECT_WEEKS: weeks },
    }).status,
  { volatile: true },
);
process.exit(status ?? 1);

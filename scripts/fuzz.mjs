/** Sends made-up requests to every route in every role: npm run fuzz, or npm run fuzz -- 50000 7 for more of another seed. */
import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

const [inputs = '10000', seed = '1'] = process.argv.slice(2);
await prepare();
const status = await withCluster(
  (env) =>
    spawnSync(join(ROOT, 'node_modules/.bin/mocha'), ['server/test/fuzz.test.ts'], {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...env, GONIMOS_FUZZ: inputs, GONIMOS_FUZZ_SEED: seed },
    }).status,
  { volatile: true },
);
process.exit(status ?? 1);

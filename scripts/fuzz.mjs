/** Sends made-up requests to every route in every role: npm run fuzz, or npm run fuzz -- 50000 7 for more of another seed. */
import { join } from 'node:path';
import { runs } from './lib/children.mjs';
import { ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

const [inputs = '10000', seed = '1'] = process.argv.slice(2);
await prepare();
const ok = await withCluster(
  (env) =>
    runs(join(ROOT, 'node_modules/.bin/mocha'), ['server/test/fuzz.test.ts'], {
      ...env,
      GONIMOS_FUZZ: inputs,
      GONIMOS_FUZZ_SEED: seed,
    }),
  { volatile: true },
);
process.exit(ok ? 0 : 1);

/**
 * Growers who miss days, do half a batch and change their minds, two years each: npm run neglect, or
 * npm run neglect -- 3,8 16 for two of them and sixteen weeks.
 */
import { join } from 'node:path';
import { runs } from './lib/children.mjs';
import { ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

const TWENTY = Array.from({ length: 20 }, (_, i) => i + 1).join();
const [seeds = TWENTY, weeks = '104'] = process.argv.slice(2);
await prepare();
const ok = await withCluster(
  (env) =>
    runs(join(ROOT, 'node_modules/.bin/mocha'), ['server/test/neglect.test.ts'], {
      ...env,
      GONIMOS_NEGLECT_SEEDS: seeds,
      GONIMOS_NEGLECT_WEEKS: weeks,
    }),
  { volatile: true },
);
process.exit(ok ? 0 : 1);

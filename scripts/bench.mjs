/** The performance table, on a database that keeps its promises as a real one does; then the screens in a browser. */
import { spawnSync } from 'node:child_process';
import { needChromium, ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

await prepare();
await needChromium();
const status = await withCluster((env) => {
  const run = (file) =>
    spawnSync(process.execPath, ['--import', 'tsx', file], { cwd: ROOT, stdio: 'inherit', env }).status;
  return run('server/bench/bench.ts') || run('e2e/bench-screens.ts');
});
process.exit(status ?? 1);

/** The performance table, on a database that keeps its promises as a real one does. */
import { spawnSync } from 'node:child_process';
import { ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

await prepare();
const status = await withCluster((env) => {
  const args = ['--import', 'tsx', 'server/bench/bench.ts'];
  return spawnSync(process.execPath, args, { cwd: ROOT, stdio: 'inherit', env }).status;
});
process.exit(status ?? 1);

/** The performance table, on a throwaway database that keeps its promises as a real one does. */
import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { checkNode, needInterface, needPackages, needPostgres, ROOT } from './lib/packages.mjs';

checkNode();
await needPostgres();
await needPackages();
await needInterface();
const { startCluster } = await import('./lib/postgres.mjs');
const folder = mkdtempSync(join(tmpdir(), 'gonimos-bench-'));
chmodSync(folder, 0o755);
const cluster = await startCluster(folder);
const done = spawnSync(process.execPath, ['--import', 'tsx', 'server/bench/bench.ts'], {
  cwd: ROOT,
  stdio: 'inherit',
  env: { ...process.env, GONIMOS_TEST_DATABASE_URL: cluster.url },
});
cluster.stop();
cluster.remove();
rmSync(folder, { recursive: true, force: true });
process.exit(done.status ?? 1);

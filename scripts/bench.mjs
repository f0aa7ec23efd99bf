/** The performance table, on a database that keeps its promises as a real one does; then the screens in a browser. */
import { mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { runs } from './lib/children.mjs';
import { needChromium, ROOT } from './lib/packages.mjs';
import { prepare, withCluster } from './lib/throwaway.mjs';

await prepare();
await needChromium();
// what is measured is built as the server is
const { buildServer } = await import('./lib/build-server.mjs');
const built = mkdtempSync(join(ROOT, 'server/dist-'));
// also when it is ended midway
process.on('exit', () => rmSync(built, { recursive: true, force: true }));
await buildServer(built, 'server/bench/bench.ts');
const ok = await withCluster(async (env) => {
  const run = (...args) => runs(process.execPath, args, env);
  return (
    (await run('--enable-source-maps', join(built, 'bench.js'))) &&
    (await run('--import', '@oxc-node/core/register', 'e2e/bench-screens.ts'))
  );
});
process.exit(ok ? 0 : 1);

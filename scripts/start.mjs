/**
 * One command from a bare machine to the demo nursery in a browser; run again, it takes seconds and
 * keeps the data. Uses nothing but Node until it has installed the rest.
 */
import { spawn } from 'node:child_process';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { checkNode, needInterface, needPackages, needPostgres, needServer, ROOT } from './lib/packages.mjs';
import { giveUp, say, step } from './lib/say.mjs';

const port = Number(process.env.GONIMOS_PORT ?? 4870);
const host = process.env.GONIMOS_HOST ?? '127.0.0.1';

/** Said before anything slow is done: a taken port would waste the wait. */
const portIsFree = () =>
  new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });

checkNode();
if (!Number.isInteger(port) || port < 1 || port > 65535)
  giveUp(`GONIMOS_PORT is no port: ${process.env.GONIMOS_PORT}`);
if (!(await portIsFree()))
  giveUp(
    `Port ${port} on ${host} is taken, perhaps by Gonimos already running.\nOpen http://${host}:${port}, or choose another:\n\n  GONIMOS_PORT=${port + 1} npm start`,
  );

await needPostgres();
await needPackages();
await needInterface();
const main = await needServer();
const { startCluster } = await import('./lib/postgres.mjs');
const cluster = await step('Starting the database', () => startCluster(join(ROOT, '.data')));

const server = spawn(process.execPath, ['--enable-source-maps', main], {
  cwd: ROOT,
  stdio: ['ignore', 'inherit', 'inherit'],
  env: { ...process.env, GONIMOS_DATABASE_URL: cluster.url, GONIMOS_DEMO: '1', GONIMOS_PORT: String(port) },
  // Ctrl-C reaches this script, which stops the server and then the database
  detached: true,
});
let stopping = false;
function stop() {
  if (stopping) return;
  stopping = true;
  say('Stopping');
  server.kill('SIGTERM');
}
process.on('SIGINT', stop);
process.on('SIGTERM', stop);
process.on('SIGHUP', stop);
server.on('exit', (code) => {
  cluster.stop();
  if (stopping) say('Stopped; the data is kept in .data');
  process.exit(stopping ? 0 : (code ?? 1));
});

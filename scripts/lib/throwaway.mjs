/** Runs work against a database cluster of its own that is gone afterwards, also when the run is ended midway. */
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { constants, tmpdir } from 'node:os';
import { join } from 'node:path';
import { endChildren } from './children.mjs';
import { checkNode, needInterface, needPackages, needPostgres, needServer } from './packages.mjs';
import { startCluster } from './postgres.mjs';
import { step } from './say.mjs';

/** Everything the tests, the bench and the pictures need before they can begin. */
export async function prepare() {
  checkNode();
  await needPostgres();
  await needPackages();
  await needInterface();
  await needServer();
}

/** `work` gets the environment that points at the cluster, and a folder for its own files. */
export async function withCluster(work, options) {
  const folder = mkdtempSync(join(tmpdir(), 'gonimos-'));
  // the database's own account has to pass through
  chmodSync(folder, 0o755);
  const cluster = await step('Starting a throwaway database', () => startCluster(folder, options));
  const cleared = () => {
    cluster.stop();
    cluster.remove();
    rmSync(folder, { recursive: true, force: true });
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
    process.once(signal, () => {
      endChildren();
      cleared();
      process.exit(128 + constants.signals[signal]);
    });
  try {
    return await work({ ...process.env, GONIMOS_TEST_DATABASE_URL: cluster.url }, folder);
  } finally {
    cleared();
  }
}

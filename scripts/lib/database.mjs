/** The database that commands work on: the one in GONIMOS_DATABASE_URL, or the one `npm start` keeps in .data. */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { checkNode, needPackages, needPostgres, postgresBin, ROOT } from './packages.mjs';
import { startCluster } from './postgres.mjs';
import { giveUp, run } from './say.mjs';

/** `work` gets the database's address; a cluster that was not running is started for it and stopped after it. */
export async function withDatabase(work) {
  checkNode();
  await needPostgres();
  await needPackages();
  const named = process.env.GONIMOS_DATABASE_URL;
  if (named) return work(named);
  const folder = join(ROOT, '.data');
  if (!existsSync(folder))
    giveUp('There is no database here: set GONIMOS_DATABASE_URL, or make one with npm start.');
  const cluster = await startCluster(folder);
  try {
    return await work(cluster.url);
  } finally {
    if (!cluster.wasRunning) cluster.stop();
  }
}

/** Runs one of PostgreSQL's own programs; the password goes by the environment, not by the command line. */
export function postgres(program, args, url) {
  const { hostname, port, username, password, pathname } = new URL(url);
  const env = {
    ...process.env,
    PGHOST: decodeURIComponent(hostname),
    PGPORT: port || '5432',
    PGUSER: decodeURIComponent(username),
    PGPASSWORD: decodeURIComponent(password),
    PGDATABASE: pathname.slice(1),
  };
  return run(join(postgresBin(), program), args, { env });
}

/** A connection to a database; `pg` is there once the packages are. */
export async function connect(url) {
  const { default: pg } = await import('pg');
  const client = new pg.Client(url);
  await client.connect();
  return client;
}

/** Rows of every table of ours, by name. */
export async function countsOf(client) {
  const { rows } = await client.query(
    "SELECT quote_ident(tablename) AS name FROM pg_tables WHERE schemaname = 'public' ORDER BY 1",
  );
  const counts = {};
  for (const { name } of rows)
    counts[name] = Number((await client.query(`SELECT count(*) AS n FROM ${name}`)).rows[0].n);
  return counts;
}

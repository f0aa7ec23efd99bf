import knex, { type Knex } from 'knex';
import pg from 'pg';
import { fromDatabase, toColumn } from './names.ts';
import './tables.ts';
import { MIGRATIONS } from './migrations/index.ts';

export { codeOf, isAway, meet } from './errors.ts';

export type Db = Knex;
export type Trx = Knex.Transaction;
/** Anything SQL can be sent through: the pool or a transaction. */
export type Sql = Knex | Knex.Transaction;

// dates stay the ISO text the database holds; 64-bit numbers are small enough here to be numbers
pg.types.setTypeParser(pg.types.builtins.DATE, (v) => v);
pg.types.setTypeParser(pg.types.builtins.INT8, Number);

/** Context of a query whose columns keep their names: what goes into files. */
export const AS_THE_DATABASE_HAS_IT = { names: 'of the database' };

/** Longest a write waits for a cohort that another holds, and longest a statement may take, ms. */
const LOCK_TIMEOUT = 8_000;
const STATEMENT_TIMEOUT = 60_000;
/** Longest a question waits for a free connection, ms. */
const CONNECTION_TIMEOUT = 15_000;

function connect(url: string, most: number, settings: Record<string, string | number>): Db {
  const options = Object.entries(settings).map(([name, value]) => `-c ${name}=${value}`);
  return knex({
    client: 'pg',
    connection: { connectionString: url, options: options.join(' ') },
    pool: { min: 0, max: most },
    acquireConnectionTimeout: CONNECTION_TIMEOUT,
    wrapIdentifier: (name, quoted) => quoted(name === '*' ? name : toColumn(name)),
    postProcessResponse: (answer: unknown, context: unknown) =>
      context === AS_THE_DATABASE_HAS_IT ? answer : fromDatabase(answer),
    migrations: {
      migrationSource: {
        getMigrations: () => Promise.resolve(MIGRATIONS.map((m) => m.name)),
        getMigrationName: (name: string) => name,
        getMigration: (name: string) => Promise.resolve(MIGRATIONS.find((m) => m.name === name)!),
      },
    },
  });
}

export const openDatabase = (url: string, most = 10, lockTimeout = LOCK_TIMEOUT): Db =>
  connect(url, most, {
    // our statements are short: compiling them costs more than it saves
    jit: 'off',
    // a screen asks several questions at once: helpers for each would take every core from the others and gain little
    max_parallel_workers_per_gather: 0,
    lock_timeout: lockTimeout,
    statement_timeout: STATEMENT_TIMEOUT,
    idle_in_transaction_session_timeout: STATEMENT_TIMEOUT,
  });

/** Brings the schema up to date, however long it takes; forward only. */
export async function migrate(url: string): Promise<void> {
  const patient = connect(url, 1, { jit: 'off' });
  try {
    await patient.migrate.latest();
  } finally {
    await patient.destroy();
  }
}

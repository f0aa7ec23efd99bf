import knex, { type Knex } from 'knex';
import pg from 'pg';
import { MIGRATIONS } from './migrations/index.ts';

export type Db = Knex;
export type Trx = Knex.Transaction;
/** Anything SQL can be sent through: the pool or a transaction. */
export type Sql = Knex | Knex.Transaction;

// dates stay the ISO text the database holds; 64-bit numbers are small enough here to be numbers
pg.types.setTypeParser(pg.types.builtins.DATE, (v) => v);
pg.types.setTypeParser(pg.types.builtins.INT8, Number);

export function openDatabase(url: string, most = 10): Db {
  return knex({
    client: 'pg',
    // our statements are short: compiling them costs more than it saves
    connection: { connectionString: url, options: '-c jit=off' },
    pool: { min: 0, max: most },
    migrations: {
      migrationSource: {
        getMigrations: () => Promise.resolve(MIGRATIONS.map((m) => m.name)),
        getMigrationName: (name: string) => name,
        getMigration: (name: string) => Promise.resolve(MIGRATIONS.find((m) => m.name === name)!),
      },
    },
  });
}

/** Brings the schema up to date; forward only. */
export const migrate = (db: Db): Promise<unknown> => db.migrate.latest();

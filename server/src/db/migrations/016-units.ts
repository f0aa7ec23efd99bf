import type { Knex } from 'knex';

/** Each person reads and types measures in the units they chose; what is kept stays metric. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE person ADD COLUMN units text NOT NULL DEFAULT 'metric' CHECK (units IN ('metric', 'US'));
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** What animals took is asked for with every round, over all entries there are; few are of it. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`CREATE INDEX ledger_of_eaten ON ledger_entry (on_date) WHERE cause = 'eaten'`);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Visits and releases are asked for in every list: who is held apart. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE INDEX record_of_visits ON record (cohort_id, seq DESC) WHERE kind IN ('visit', 'released');
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

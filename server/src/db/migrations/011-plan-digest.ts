import type { Knex } from 'knex';

/** What a whole plan says, in one digest: a course that says the same as before is neither read nor written. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE cohort ADD plan_digest text NOT NULL DEFAULT '';
    UPDATE nursery SET planned_on = NULL;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

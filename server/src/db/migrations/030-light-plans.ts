import type { Knex } from 'knex';

/**
 * Each day all courses are planned anew. Thousands of cohorts follow the same few programmes: which one is told by a
 * digest, and its text is read once. What is kept of a plan is written nearly whole each time: packing it costs more
 * than the room it takes.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE cohort ADD COLUMN programme_digest text GENERATED ALWAYS AS (md5(programme::text)) STORED;
    ALTER TABLE plan_kept ALTER COLUMN steps SET STORAGE EXTERNAL;
    ALTER TABLE plan_kept SET (toast_tuple_target = 8160);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

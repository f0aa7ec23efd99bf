import type { Knex } from 'knex';

/**
 * What the next plan is compared with, a row a cohort: it was put together from hundreds of thousands of rows every
 * day. Each step is a list: key, title, status, chain, container, ready, minutes, opens, closes, target, waits, digest.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE plan_kept (
      cohort_id uuid PRIMARY KEY REFERENCES cohort(id),
      steps text NOT NULL
    );
    -- read and written whole, far more often than it would be worth packing
    ALTER TABLE plan_kept ALTER COLUMN steps SET STORAGE EXTERNAL;
    INSERT INTO plan_kept (cohort_id, steps)
      SELECT cohort_id, json_agg(json_build_array(key, title, status, chain, container, ready, minutes, opens, closes,
        target, waits, digest) ORDER BY seq)::text FROM course_step GROUP BY cohort_id;
    ALTER TABLE course_step DROP COLUMN digest;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

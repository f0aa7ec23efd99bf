import type { Knex } from 'knex';

/**
 * Migrations 001, 003 and 004 were changed after they had been released, so that databases differ by the day
 * they were made on. This brings each of them to the one schema; one made today is left as it is.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE cohort ALTER rings SET DEFAULT '{"from": 0, "mm": [], "measured": []}';
    -- rings of the first days were a list; they are worked out anew with the plan
    UPDATE cohort SET rings = DEFAULT WHERE jsonb_typeof(rings) = 'array';

    CREATE INDEX IF NOT EXISTS cohort_of_place ON cohort (place_id) WHERE growing;

    ALTER TABLE course_step ADD COLUMN IF NOT EXISTS digest text NOT NULL DEFAULT '';
    CREATE INDEX IF NOT EXISTS course_step_chain ON course_step (cohort_id, chain)
      WHERE status = 'planned' AND chain IS NOT NULL;
    CREATE INDEX IF NOT EXISTS course_step_done ON course_step (done_on) WHERE status = 'done';

    ALTER TABLE record
      ADD COLUMN IF NOT EXISTS from_cells boolean NOT NULL DEFAULT false,
      ADD COLUMN IF NOT EXISTS follows uuid REFERENCES record;
    CREATE INDEX IF NOT EXISTS record_that_follows ON record (follows) WHERE follows IS NOT NULL;
    CREATE INDEX IF NOT EXISTS cohort_of_host ON cohort (host_id) WHERE host_id IS NOT NULL;

    UPDATE nursery SET planned_on = NULL;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

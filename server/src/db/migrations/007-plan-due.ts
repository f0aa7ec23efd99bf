import type { Knex } from 'knex';

/** Courses that still have to be planned again after a change that touches many; what kept one from being planned. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE plan_due (
      cohort_id uuid PRIMARY KEY REFERENCES cohort,
      cause text NOT NULL,
      since timestamptz NOT NULL DEFAULT now()
    );
    ALTER TABLE nursery
      -- how many were due when the last change came, for showing how far it is
      ADD planning_of integer NOT NULL DEFAULT 0,
      ADD planning_paused boolean NOT NULL DEFAULT false;
    ALTER TABLE cohort
      -- why its course cannot be planned; null: it can
      ADD plan_fault text;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

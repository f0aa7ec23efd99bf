import type { Knex } from 'knex';

/** Roots as they were drawn of a plant, or of one of a cohort's, on a day. Taken back ones stay. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE root_record (
      id uuid PRIMARY KEY,
      cohort_id uuid NOT NULL REFERENCES cohort(id),
      label text NOT NULL,
      on_date date NOT NULL,
      record jsonb NOT NULL,
      decided jsonb NOT NULL,
      note text NOT NULL,
      version int NOT NULL DEFAULT 1,
      person_id uuid REFERENCES person(id),
      withdrawn boolean NOT NULL DEFAULT false,
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX root_record_cohort ON root_record (cohort_id, on_date);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Stems as they were seen, with what was decided about them: a table like that of the roots. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE stem_record (
      id uuid PRIMARY KEY,
      cohort_id uuid NOT NULL REFERENCES cohort(id),
      label text NOT NULL DEFAULT '',
      on_date date NOT NULL,
      record jsonb NOT NULL,
      decided jsonb NOT NULL,
      note text NOT NULL DEFAULT '',
      version integer NOT NULL DEFAULT 1,
      person_id uuid REFERENCES person(id),
      withdrawn boolean NOT NULL DEFAULT false,
      created_at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX stem_record_cohort ON stem_record (cohort_id, on_date);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

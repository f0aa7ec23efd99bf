import type { Knex } from 'knex';

/** Stems that were set together to become one base: how each stands, when the joint is looked at, and what came of it. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE plant_group (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      cohort_id uuid NOT NULL REFERENCES cohort(id) DEFERRABLE,
      made_on date NOT NULL,
      method text NOT NULL CHECK (method IN ('bound', 'overlapped')),
      members jsonb NOT NULL,
      stood jsonb NOT NULL,
      joint jsonb NOT NULL,
      look_on date NOT NULL,
      outcome text CHECK (outcome IN ('joined', 'growing', 'failed')),
      looked_on date,
      note text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person(id) DEFERRABLE,
      version integer NOT NULL DEFAULT 1
    );
    CREATE INDEX plant_group_cohort ON plant_group (cohort_id);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

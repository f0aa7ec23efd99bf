import type { Knex } from 'knex';

/** Hours a week that go to watering, weeding and the like, by place and months: they are no steps of any course. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE routine (
      id uuid PRIMARY KEY,
      what text NOT NULL CHECK (what IN ('watering', 'weeding', 'spraying', 'feeding', 'other')),
      place_id uuid REFERENCES place(id),
      hours double precision NOT NULL CHECK (hours > 0 AND hours <= 168),
      from_month int NOT NULL CHECK (from_month BETWEEN 1 AND 12),
      to_month int NOT NULL CHECK (to_month BETWEEN 1 AND 12),
      created_at timestamptz NOT NULL DEFAULT now()
    );
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Operations and taxa of the nursery's own, a row for every version; no edit: it went back to the library's. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE own_entry (
      seq bigint GENERATED ALWAYS AS IDENTITY UNIQUE,
      kind text NOT NULL CHECK (kind IN ('operation', 'taxon')),
      own_id text NOT NULL,
      version integer NOT NULL CHECK (version > 0),
      like_id text NOT NULL,
      edit jsonb,
      person_id uuid REFERENCES person (id),
      at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (kind, own_id, version)
    );
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

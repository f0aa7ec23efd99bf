import type { Knex } from 'knex';

/** Mixes of the nursery's own, what lies in the bins, what work took of it, and the room places have. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE mix (
      id text PRIMARY KEY,
      name text NOT NULL,
      parts jsonb NOT NULL,
      drain jsonb,
      version integer NOT NULL DEFAULT 1,
      retired boolean NOT NULL DEFAULT false
    );
    CREATE TABLE mix_stock (
      component text PRIMARY KEY,
      counted double precision NOT NULL CHECK (counted >= 0),
      counted_on date NOT NULL,
      counted_seq bigint NOT NULL,
      arriving double precision NOT NULL DEFAULT 0 CHECK (arriving >= 0),
      arrives date,
      version integer NOT NULL
    );
    CREATE TABLE mix_use (
      record_id uuid NOT NULL REFERENCES record(id),
      component text NOT NULL,
      litres double precision NOT NULL CHECK (litres > 0),
      PRIMARY KEY (record_id, component)
    );
    ALTER TABLE place
      ADD length integer CHECK (length > 0),
      ADD width integer CHECK (width > 0);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

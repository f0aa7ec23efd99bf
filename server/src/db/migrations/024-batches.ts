import type { Knex } from 'knex';

/**
 * Coarse zones of mixes, prices of components, batches that are made ahead, old mix that goes back into its bin, and
 * containers that are past use.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE mix ADD under jsonb;
    ALTER TABLE container_stock ADD worn integer NOT NULL DEFAULT 0 CHECK (worn >= 0);
    ALTER TABLE mix_stock
      ADD cents integer CHECK (cents >= 0),
      ADD counted_batch bigint NOT NULL DEFAULT 0;
    -- else what is read back table by table is refused
    ALTER TABLE mix_use ALTER CONSTRAINT mix_use_record_id_fkey DEFERRABLE;
    ALTER TABLE mix_use DROP CONSTRAINT mix_use_litres_check;
    ALTER TABLE mix_use ADD CONSTRAINT mix_use_litres_check CHECK (litres <> 0);
    CREATE TABLE mix_batch (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY UNIQUE,
      mix text NOT NULL,
      made_on date NOT NULL,
      litres double precision NOT NULL CHECK (litres > 0),
      parts jsonb NOT NULL,
      note text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person(id) DEFERRABLE,
      withdrawn boolean NOT NULL DEFAULT false
    );
    CREATE TABLE mix_batch_use (
      record_id uuid PRIMARY KEY REFERENCES record(id) DEFERRABLE,
      batch_id uuid NOT NULL REFERENCES mix_batch(id) DEFERRABLE,
      litres double precision NOT NULL CHECK (litres > 0)
    );
    CREATE INDEX mix_batch_use_batch ON mix_batch_use (batch_id);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** References may be checked at the end of a transaction, so that a whole nursery can be read back in any order. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    DO $$
    DECLARE f record;
    BEGIN
      FOR f IN SELECT conrelid::regclass AS of, conname FROM pg_constraint
        WHERE contype = 'f' AND connamespace = 'public'::regnamespace
      LOOP
        EXECUTE format('ALTER TABLE %s ALTER CONSTRAINT %I DEFERRABLE INITIALLY IMMEDIATE', f.of, f.conname);
      END LOOP;
    END $$;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

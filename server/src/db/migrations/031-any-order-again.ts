import type { Knex } from 'knex';

/** As 009: tables made since then refer in a way that could not wait, so that a nursery could not be read back. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    DO $$
    DECLARE f record;
    BEGIN
      FOR f IN SELECT conrelid::regclass AS of, conname FROM pg_constraint
        WHERE contype = 'f' AND NOT condeferrable AND connamespace = 'public'::regnamespace
      LOOP
        EXECUTE format('ALTER TABLE %s ALTER CONSTRAINT %I DEFERRABLE INITIALLY IMMEDIATE', f.of, f.conname);
      END LOOP;
    END $$;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Containers of the nursery's own are kept beside its operations and taxa. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE own_entry DROP CONSTRAINT own_entry_kind_check;
    ALTER TABLE own_entry ADD CONSTRAINT own_entry_kind_check
      CHECK (kind IN ('operation', 'taxon', 'container'));
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Where a thin stem was joined to a thicker tree; null: stems set to one base. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('ALTER TABLE plant_group ADD COLUMN join_at jsonb');
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Of two benches the one that spoke last says how a plant stands. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE root_record ADD COLUMN changed_at timestamptz NOT NULL DEFAULT now();
    ALTER TABLE stem_record ADD COLUMN changed_at timestamptz NOT NULL DEFAULT now();
    UPDATE root_record SET changed_at = created_at;
    UPDATE stem_record SET changed_at = created_at;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Courses that are due because of nothing but the day and its weather: what lies far ahead may drift by a day. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`ALTER TABLE plan_due ADD drift boolean NOT NULL DEFAULT false;`);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

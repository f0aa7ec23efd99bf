import type { Knex } from 'knex';

/** The day a step would want its containers, had they not fallen short: it is no longer forgotten in the line for them. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw('ALTER TABLE course_step ADD wants_on date');
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

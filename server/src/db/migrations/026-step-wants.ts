import type { Knex } from 'knex';

/** What the round asks for among thousands of cohorts is found by an index: few of all steps and entries are meant. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE INDEX course_step_wants ON course_step ((coalesce(wants_on, target)))
      WHERE status = 'planned' AND container IS NOT NULL;
    -- the last entry of all
    CREATE INDEX ledger_entry_seq ON ledger_entry (seq);
    -- cohorts of a kind, and whether any of them was changed
    CREATE INDEX cohort_taxon_version ON cohort (taxon_id, version);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

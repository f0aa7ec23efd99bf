import type { Knex } from 'knex';

/** What a step uses, why it has no date, years it may come in; low growth seen; covers; kinds not told yet; quarters. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE course_step
      ADD top_cut jsonb,
      ADD refusal text,
      ADD span jsonb,
      ADD materials jsonb NOT NULL DEFAULT '[]';

    ALTER TABLE record
      -- live growth seen low on the stem, or none
      ADD low_growth boolean;

    ALTER TABLE cohort
      -- kinds it may be until leaves or flowers tell; null once it is told
      ADD taxon_maybe jsonb,
      -- when roots fill the container it stands in now
      ADD root_bound_on date;

    ALTER TABLE year_week
      -- share of the step left for the week after, in quarters
      ADD later double precision NOT NULL DEFAULT 0 CHECK (later IN (0, 0.25, 0.5, 0.75));
    UPDATE year_week SET later = 0.5 WHERE split;
    ALTER TABLE year_week DROP COLUMN split;

    -- a cover put on or taken off with a step of the course is taken back with its record
    ALTER TABLE protection DROP CONSTRAINT protection_kind_check;
    ALTER TABLE protection
      ADD CONSTRAINT protection_kind_check CHECK (kind IN ('mesh', 'fleece', 'cage', 'glass', 'guard')),
      ADD record_id uuid REFERENCES record,
      ADD ended_by uuid REFERENCES record;

    -- every plan is made anew by the rules of today
    UPDATE nursery SET planned_on = NULL;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

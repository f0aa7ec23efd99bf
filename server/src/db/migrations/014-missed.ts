import type { Knex } from 'knex';

/**
 * Windows that went by unanswered, small care that lapsed, and steps let go are lines of the logbook; and until which
 * day of the nursery's calendar each person has seen what happened.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE record DROP CONSTRAINT record_kind_check;
    ALTER TABLE record ADD CONSTRAINT record_kind_check CHECK (kind IN
      ('work', 'look', 'put off', 'undo', 'visit', 'moved', 'released', 'missed', 'lapsed', 'let go'));
    ALTER TABLE course_step ADD missed jsonb;
    CREATE INDEX course_step_missed ON course_step (cohort_id) WHERE missed IS NOT NULL;
    ALTER TABLE person ADD seen_to date;
    -- aftercare that lapsed before this was known is not asked for again
    INSERT INTO record (id, cohort_id, kind, step_key, on_date, finished, details)
      SELECT gen_random_uuid(), cohort_id, 'lapsed', key, closes, false, jsonb_build_object('missed',
        jsonb_build_object('opens', coalesce(opens, closes), 'closes', closes, 'title', title, 'operation', operation))
      FROM course_step WHERE status = 'lapsed' AND closes IS NOT NULL;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

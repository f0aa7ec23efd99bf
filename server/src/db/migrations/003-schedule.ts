import type { Knex } from 'knex';

/** Observations, visits, schools, programmes of one's own, the levelled year, station, stock, pictures. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    ALTER TABLE nursery
      ADD schools jsonb NOT NULL DEFAULT '{}',
      ADD station_url text;
    ALTER TABLE place
      ADD light text NOT NULL DEFAULT 'full' CHECK (light IN ('full', 'half', 'shade'));
    ALTER TABLE person
      ADD hours double precision NOT NULL DEFAULT 0 CHECK (hours BETWEEN 0 AND 80),
      ADD skilled boolean NOT NULL DEFAULT false;

    ALTER TABLE cohort
      ADD schools jsonb NOT NULL DEFAULT '{}',
      ADD programme_version integer NOT NULL DEFAULT 1,
      -- how steps done under earlier programmes stand under this one, oldest first
      ADD step_maps jsonb NOT NULL DEFAULT '[]',
      ADD place_since date;
    UPDATE cohort SET schools = jsonb_build_object('insults', school) WHERE school IS NOT NULL;
    ALTER TABLE cohort DROP COLUMN school;

    ALTER TABLE record DROP CONSTRAINT record_kind_check;
    ALTER TABLE record DROP CONSTRAINT record_check1;
    ALTER TABLE record
      ADD CHECK (kind IN ('work', 'look', 'put off', 'undo', 'visit', 'moved', 'released')),
      ADD CHECK (kind NOT IN ('put off', 'moved') OR until IS NOT NULL),
      ADD found text[],
      ADD decision text,
      ADD causes jsonb,
      ADD check_on date,
      -- what the plants turned out to be
      ADD taxon_id text,
      ADD taxon_before text,
      -- chance of living, 0..1, as the grower and the model stated it before severe work
      ADD sure double precision CHECK (sure BETWEEN 0 AND 1),
      ADD odds double precision CHECK (odds BETWEEN 0 AND 1),
      ADD alive integer CHECK (alive >= 0),
      ADD alive_of integer CHECK (alive_of >= alive),
      ADD buds_looked integer CHECK (buds_looked > 0),
      ADD buds_ready integer CHECK (buds_ready BETWEEN 0 AND buds_looked),
      -- the rule that a day set by hand goes against
      ADD overrides text,
      ADD place_id uuid REFERENCES place,
      ADD place_before uuid REFERENCES place;

    ALTER TABLE course_step
      ADD chain text,
      ADD odds double precision,
      ADD waits jsonb NOT NULL DEFAULT '[]',
      ADD offers text,
      ADD moved jsonb,
      -- of everything the step says, so that what has not changed need not be read or written
      ADD digest text NOT NULL DEFAULT '';

    CREATE INDEX course_step_chain ON course_step (cohort_id, chain)
      WHERE status = 'planned' AND chain IS NOT NULL;
    CREATE INDEX course_step_done ON course_step (done_on) WHERE status = 'done';

    -- what growers saw; never changed: a withdrawal is a row of its own
    CREATE TABLE observation (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      place_id uuid NOT NULL REFERENCES place,
      taxon_id text,
      kind text NOT NULL,
      season integer NOT NULL,
      on_date date NOT NULL,
      expected date,
      note text NOT NULL DEFAULT '',
      withdraws uuid UNIQUE REFERENCES observation,
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now()
    );
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON observation
      FOR EACH ROW EXECUTE FUNCTION refuse_change();

    -- programmes of the nursery's own, a row for each version; a version is never changed
    CREATE TABLE programme (
      id text NOT NULL,
      version integer NOT NULL CHECK (version >= 1),
      body jsonb NOT NULL,
      based_on text,
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (id, version)
    );
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON programme
      FOR EACH ROW EXECUTE FUNCTION refuse_change();

    CREATE TABLE absence (
      person_id uuid NOT NULL REFERENCES person,
      week date NOT NULL CHECK (extract(isodow FROM week) = 1),
      hours double precision NOT NULL CHECK (hours BETWEEN 0 AND 80),
      PRIMARY KEY (person_id, week)
    );
    CREATE TABLE locked_week (week date PRIMARY KEY CHECK (extract(isodow FROM week) = 1));
    CREATE TABLE year_week (
      cohort_id uuid NOT NULL REFERENCES cohort,
      key text NOT NULL,
      week date NOT NULL CHECK (extract(isodow FROM week) = 1),
      split boolean NOT NULL DEFAULT false,
      locked boolean NOT NULL DEFAULT false,
      PRIMARY KEY (cohort_id, key)
    );

    CREATE TABLE station_reading (
      at timestamp PRIMARY KEY,
      temperature double precision NOT NULL,
      humidity double precision NOT NULL,
      wind double precision NOT NULL,
      gust double precision NOT NULL,
      rain double precision NOT NULL
    );

    -- containers counted on the shelf; what was used since is read from the records
    CREATE TABLE container_stock (
      container text PRIMARY KEY,
      counted integer NOT NULL CHECK (counted >= 0),
      counted_on date NOT NULL,
      -- last record when it was counted
      counted_seq bigint NOT NULL DEFAULT 0,
      arriving integer NOT NULL DEFAULT 0 CHECK (arriving >= 0),
      arrives date,
      version integer NOT NULL DEFAULT 1
    );

    CREATE TABLE picture (
      id uuid PRIMARY KEY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      record_id uuid REFERENCES record,
      on_date date NOT NULL,
      width integer NOT NULL,
      height integer NOT NULL,
      bytes bytea NOT NULL,
      thumb bytea NOT NULL,
      note text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX picture_of_cohort ON picture (cohort_id, on_date DESC);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** People, the nursery and its places, cohorts, their courses and records. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE nursery (
      only_one boolean PRIMARY KEY DEFAULT true CHECK (only_one),
      id uuid NOT NULL,
      name text NOT NULL,
      latitude double precision NOT NULL,
      longitude double precision NOT NULL,
      elevation double precision NOT NULL,
      time_zone text NOT NULL,
      tmin double precision[] NOT NULL CHECK (cardinality(tmin) = 12),
      tmax double precision[] NOT NULL CHECK (cardinality(tmax) = 12),
      spread_winter double precision NOT NULL,
      spread_summer double precision NOT NULL,
      wet_from integer,
      -- the demo keeps its own calendar and makes its own weather
      demo_today date,
      weather_seed integer,
      planned_on date,
      version integer NOT NULL DEFAULT 1
    );

    -- secrets made on first start, shared by every server process
    CREATE TABLE setting (
      key text PRIMARY KEY,
      value text NOT NULL
    );

    CREATE TABLE person (
      id uuid PRIMARY KEY,
      name text NOT NULL UNIQUE,
      role text NOT NULL CHECK (role IN ('helper', 'grower', 'owner')),
      password_hash text,
      version integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL DEFAULT now()
    );

    CREATE TABLE session (
      sid text PRIMARY KEY,
      data jsonb NOT NULL,
      expires timestamptz NOT NULL
    );
    CREATE INDEX session_expires ON session (expires);

    -- the answer given to each write, so that sending it again changes nothing
    CREATE TABLE write_receipt (
      id uuid PRIMARY KEY,
      route text NOT NULL,
      body_hash text NOT NULL,
      -- as text: the first answer is given again letter for letter
      reply json,
      at timestamptz NOT NULL DEFAULT now()
    );

    CREATE TABLE place (
      id uuid PRIMARY KEY,
      name text NOT NULL UNIQUE,
      kind text NOT NULL,
      night double precision NOT NULL,
      day double precision NOT NULL,
      heated_to double precision,
      sort integer GENERATED ALWAYS AS IDENTITY,
      version integer NOT NULL DEFAULT 1
    );

    CREATE TABLE weather_day (
      on_date date PRIMARY KEY,
      tmin double precision NOT NULL,
      tmax double precision NOT NULL CHECK (tmax >= tmin)
    );

    CREATE TABLE cohort (
      id uuid PRIMARY KEY,
      code text NOT NULL UNIQUE,
      taxon_id text NOT NULL,
      method text NOT NULL,
      place_id uuid NOT NULL REFERENCES place,
      container text NOT NULL,
      programme_id text NOT NULL,
      -- the cohort's own copy: a running course keeps the steps it began with
      programme jsonb NOT NULL,
      started_said text NOT NULL,
      started_from date NOT NULL,
      started_to date NOT NULL,
      parent_id uuid REFERENCES cohort,
      -- stock entered with years behind it stands at this step; what comes before is not asked for
      stands_at text,
      first_container text,
      -- split off: the history up to this record is that of the cohort it came from
      split_from uuid REFERENCES cohort,
      split_seq bigint,
      school text,
      goal text NOT NULL DEFAULT '',
      goal_caliper double precision,
      note text NOT NULL DEFAULT '',
      -- kept by the ledger's trigger
      live integer NOT NULL DEFAULT 0 CHECK (live >= 0),
      pending integer NOT NULL DEFAULT 0 CHECK (pending >= 0),
      emerged integer NOT NULL DEFAULT 0 CHECK (emerged >= 0),
      -- kept by the plan
      rings jsonb NOT NULL DEFAULT '{"from": 0, "mm": [], "measured": []}',
      ends_on date,
      next_title text,
      next_opens date,
      next_closes date,
      next_rule text,
      version integer NOT NULL DEFAULT 1,
      created_at timestamptz NOT NULL DEFAULT now(),
      -- something to look after: plants, or seed that may still come up
      growing boolean GENERATED ALWAYS AS (live > 0 OR (pending > 0 AND emerged = 0)) STORED
    );

    CREATE INDEX cohort_of_place ON cohort (place_id) WHERE growing;

    -- what was done, found or put off; never changed: an undo is a record of its own
    CREATE TABLE record (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      kind text NOT NULL CHECK (kind IN ('work', 'look', 'put off', 'undo')),
      step_key text,
      undoes uuid UNIQUE REFERENCES record,
      on_date date NOT NULL,
      until date,
      reason text,
      done integer,
      -- work on a step goes on until a record says it is finished
      finished boolean NOT NULL DEFAULT true,
      container text,
      container_before text,
      caliper double precision,
      height double precision,
      sizes jsonb,
      rooted integer,
      vigour integer,
      minutes double precision,
      note text NOT NULL DEFAULT '',
      next_time text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now(),
      CHECK ((kind = 'undo') = (undoes IS NOT NULL)),
      CHECK ((kind = 'put off') = (until IS NOT NULL))
    );
    CREATE INDEX record_of_cohort ON record (cohort_id, seq);

    -- the plan as last compiled; everything in it can be worked out again
    CREATE TABLE course_step (
      cohort_id uuid NOT NULL REFERENCES cohort,
      key text NOT NULL,
      seq integer NOT NULL,
      operation text NOT NULL,
      title text NOT NULL,
      lane text NOT NULL,
      status text NOT NULL,
      opens date,
      closes date,
      opens_early date,
      opens_late date,
      target date,
      done_on date,
      container text,
      root_cut jsonb,
      -- everything it waits for is done
      ready boolean NOT NULL,
      minutes double precision NOT NULL,
      reasons jsonb NOT NULL,
      PRIMARY KEY (cohort_id, key)
    );
    CREATE INDEX course_step_open ON course_step (opens, closes) WHERE status = 'planned' AND ready;

    CREATE TABLE plan_change (
      id uuid PRIMARY KEY DEFAULT gen_random_uuid(),
      cohort_id uuid NOT NULL REFERENCES cohort,
      at timestamptz NOT NULL DEFAULT now(),
      on_date date NOT NULL,
      cause text NOT NULL,
      key text NOT NULL,
      title text NOT NULL,
      was_opens date,
      was_closes date,
      now_opens date,
      now_closes date,
      because jsonb
    );
    CREATE INDEX plan_change_of_cohort ON plan_change (cohort_id, at DESC);
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/** Goals and start numbers, seed lots, trays, cutting checks, layers, tallies, origins, tags, identities. */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    -- so many plants at a stage by a year; what is under way towards it is read from the cohorts
    CREATE TABLE start_goal (
      id uuid PRIMARY KEY,
      taxon_id text NOT NULL,
      programme_id text NOT NULL,
      place_id uuid NOT NULL REFERENCES place,
      stage text NOT NULL,
      wanted integer NOT NULL CHECK (wanted > 0),
      by_year integer NOT NULL,
      confidence double precision NOT NULL CHECK (confidence > 0 AND confidence < 1),
      most integer NOT NULL CHECK (most > 0),
      cost jsonb NOT NULL,
      note text NOT NULL DEFAULT '',
      closed_on date,
      version integer NOT NULL DEFAULT 1,
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now()
    );

    CREATE TABLE seed_lot (
      id uuid PRIMARY KEY,
      name text NOT NULL UNIQUE,
      taxon_id text NOT NULL,
      source text NOT NULL,
      parent_id uuid REFERENCES cohort,
      harvested_said text NOT NULL,
      harvested_from date NOT NULL,
      seeds integer NOT NULL CHECK (seeds > 0),
      -- cents for the whole lot
      price integer CHECK (price >= 0),
      handling text NOT NULL DEFAULT '',
      storage text NOT NULL,
      note text NOT NULL DEFAULT '',
      version integer NOT NULL DEFAULT 1
    );
    -- what was done with a lot; never changed
    CREATE TABLE seed_event (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      lot_id uuid NOT NULL REFERENCES seed_lot,
      kind text NOT NULL CHECK (kind IN ('test', 'soaked', 'to warm', 'to cold', 'out', 'thrown away')),
      on_date date NOT NULL,
      tested integer CHECK (tested > 0),
      sound integer CHECK (sound BETWEEN 0 AND tested),
      seeds integer CHECK (seeds >= 0),
      note text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now(),
      CHECK ((kind = 'test') = (tested IS NOT NULL AND sound IS NOT NULL))
    );
    CREATE INDEX seed_event_of_lot ON seed_event (lot_id, seq);
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON seed_event
      FOR EACH ROW EXECUTE FUNCTION refuse_change();

    ALTER TABLE cohort
      ADD goal_id uuid REFERENCES start_goal,
      ADD lot_id uuid REFERENCES seed_lot,
      -- in whose pots it stands as a guest
      ADD host_id uuid REFERENCES cohort,
      -- lifted, collected, bought: from whom, by whose leave, what it cost, how old
      ADD origin jsonb,
      -- a plant followed on its own carries a tag
      ADD tag text UNIQUE;
    CREATE INDEX cohort_of_parent ON cohort (parent_id) WHERE parent_id IS NOT NULL;
    CREATE INDEX cohort_of_host ON cohort (host_id) WHERE host_id IS NOT NULL;
    CREATE INDEX cohort_split_from ON cohort (split_from) WHERE split_from IS NOT NULL;

    -- a tagged plant is a cohort of its own from now on
    ALTER TABLE plant ADD own_cohort_id uuid REFERENCES cohort;

    CREATE TABLE tray (
      id uuid PRIMARY KEY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      name text NOT NULL,
      rows integer NOT NULL CHECK (rows > 0),
      columns integer NOT NULL CHECK (columns > 0),
      at timestamptz NOT NULL DEFAULT now(),
      UNIQUE (cohort_id, name)
    );
    -- every mark made, in order; never changed
    CREATE TABLE tray_mark (
      id uuid NOT NULL,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      tray_id uuid NOT NULL REFERENCES tray,
      cell integer NOT NULL,
      was text NOT NULL,
      now text NOT NULL,
      on_date date NOT NULL,
      undoes uuid,
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now(),
      PRIMARY KEY (id, cell)
    );
    CREATE INDEX tray_mark_of_tray ON tray_mark (tray_id, seq);
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON tray_mark
      FOR EACH ROW EXECUTE FUNCTION refuse_change();
    -- cells as the marks leave them, with the ledger entries that count them
    CREATE TABLE tray_cell (
      tray_id uuid NOT NULL REFERENCES tray,
      cell integer NOT NULL,
      state text NOT NULL,
      PRIMARY KEY (tray_id, cell)
    );
    CREATE TABLE tray_cell_entry (
      tray_id uuid NOT NULL,
      cell integer NOT NULL,
      entry_id uuid NOT NULL REFERENCES ledger_entry,
      PRIMARY KEY (tray_id, cell, entry_id),
      FOREIGN KEY (tray_id, cell) REFERENCES tray_cell
    );
    CREATE INDEX tray_cell_of_entry ON tray_cell_entry (entry_id);

    -- mesh, fleece or a cage over plants: on, how high, to come off by, off
    CREATE TABLE protection (
      id uuid PRIMARY KEY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      kind text NOT NULL CHECK (kind IN ('mesh', 'fleece', 'cage', 'glass')),
      clearance integer NOT NULL CHECK (clearance >= 0),
      from_date date NOT NULL,
      ended date CHECK (ended >= from_date),
      note text NOT NULL DEFAULT '',
      version integer NOT NULL DEFAULT 1,
      person_id uuid REFERENCES person
    );
    CREATE INDEX protection_of_cohort ON protection (cohort_id);

    CREATE TABLE layer (
      cohort_id uuid PRIMARY KEY REFERENCES cohort,
      parent_id uuid NOT NULL REFERENCES cohort,
      stem text NOT NULL,
      height integer NOT NULL,
      diameter double precision NOT NULL,
      how text NOT NULL CHECK (how IN ('ring', 'tourniquet')),
      branches integer NOT NULL,
      keeps integer NOT NULL,
      becomes text NOT NULL DEFAULT '',
      leaves text NOT NULL DEFAULT ''
    );
    CREATE INDEX layer_of_parent ON layer (parent_id);
    CREATE TABLE layer_event (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      cohort_id uuid NOT NULL REFERENCES layer,
      kind text NOT NULL,
      on_date date NOT NULL,
      found text,
      -- the record it came with: undone with it
      record_id uuid REFERENCES record,
      note text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now()
    );
    CREATE INDEX layer_event_of_layer ON layer_event (cohort_id, seq);
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON layer_event
      FOR EACH ROW EXECUTE FUNCTION refuse_change();

    -- counts by state inside a cohort without tagging; a later walk-through is a row of its own
    CREATE TABLE tally (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      kind text NOT NULL,
      on_date date NOT NULL,
      counts jsonb NOT NULL,
      note text NOT NULL DEFAULT '',
      person_id uuid REFERENCES person
    );
    CREATE INDEX tally_of_cohort ON tally (cohort_id, seq DESC);
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON tally
      FOR EACH ROW EXECUTE FUNCTION refuse_change();

    -- who a plant was taken to be before, and why it was named anew
    CREATE TABLE identity (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      on_date date NOT NULL,
      was jsonb NOT NULL,
      now jsonb NOT NULL,
      reason text NOT NULL,
      person_id uuid REFERENCES person
    );
    CREATE INDEX identity_of_cohort ON identity (cohort_id, seq DESC);
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON identity
      FOR EACH ROW EXECUTE FUNCTION refuse_change();

    ALTER TABLE record
      -- looked at before it was ready: what was found, so that it is looked at again
      ADD again text,
      -- what each tray showed at a check
      ADD batches jsonb,
      -- written with another record, and taken back with it
      ADD follows uuid REFERENCES record,
      -- emergence counted by the cells of trays, and taken back by them
      ADD from_cells boolean NOT NULL DEFAULT false;
    CREATE INDEX record_that_follows ON record (follows) WHERE follows IS NOT NULL;

    -- an entry that takes the place of a corrected one keeps its turn of the day
    ALTER TABLE ledger_entry ALTER seq SET GENERATED BY DEFAULT;
    ALTER TABLE ledger_entry
      -- the damage a cull goes back to
      ADD damage_id uuid REFERENCES ledger_entry;
    ALTER TABLE ledger_entry DROP CONSTRAINT ledger_entry_type_check;
    ALTER TABLE ledger_entry DROP CONSTRAINT ledger_entry_unit_check;
    ALTER TABLE ledger_entry
      ADD CONSTRAINT ledger_entry_type_check CHECK (type IN (
        'started', 'lost_before_emergence', 'emerged', 'severed', 'potted', 'lost', 'culled', 'split_out',
        'split_in', 'fused', 'promoted', 'sold', 'given', 'recount', 'reversed')),
      ADD CONSTRAINT ledger_entry_unit_check CHECK (unit IN ('seed', 'layer', 'plant'));

    CREATE OR REPLACE FUNCTION fold_cohort(c uuid, OUT live integer, OUT pending integer, OUT emerged integer) LANGUAGE plpgsql AS $$
    DECLARE e record;
    BEGIN
      live := 0;
      pending := 0;
      emerged := 0;
      FOR e IN
        SELECT l.* FROM ledger_entry l
        LEFT JOIN ledger_entry r ON r.reverses = l.id
        WHERE l.cohort_id = c AND l.type <> 'reversed' AND r.id IS NULL
        ORDER BY l.on_date, l.seq
      LOOP
        CASE
          WHEN e.type = 'started' AND e.unit IN ('seed', 'layer') THEN pending := pending + e.count;
          WHEN e.type IN ('started', 'split_in') THEN live := live + e.count;
          WHEN e.type = 'lost_before_emergence' THEN pending := pending - e.count;
          WHEN e.type IN ('emerged', 'severed') THEN
            pending := pending - e.count; live := live + e.count; emerged := emerged + e.count;
          WHEN e.type IN ('lost', 'culled', 'split_out', 'promoted', 'sold', 'given') THEN live := live - e.count;
          WHEN e.type = 'fused' THEN
            IF e.count > live THEN live := -1; ELSE live := live - e.count + coalesce(e.into_count, 1); END IF;
          WHEN e.type = 'recount' THEN live := e.count;
          ELSE NULL;
        END CASE;
        IF live < 0 THEN
          RAISE EXCEPTION 'on % more plants would leave than are alive', e.on_date USING ERRCODE = 'GN002';
        END IF;
        IF pending < 0 THEN
          RAISE EXCEPTION 'on % more seed would be counted than is left', e.on_date USING ERRCODE = 'GN003';
        END IF;
      END LOOP;
    END $$;

    CREATE OR REPLACE FUNCTION balance_transfer() RETURNS trigger LANGUAGE plpgsql AS $$
    DECLARE off integer;
    BEGIN
      SELECT coalesce(sum(CASE WHEN l.type = 'split_in' THEN l.count
                               WHEN l.type IN ('split_out', 'promoted') THEN -l.count ELSE 0 END), 0)
        INTO off FROM ledger_entry l
        LEFT JOIN ledger_entry r ON r.reverses = l.id
        WHERE l.transfer_id = NEW.transfer_id AND r.id IS NULL;
      IF off <> 0 THEN
        RAISE EXCEPTION 'a split must put in what it takes out' USING ERRCODE = 'GN004';
      END IF;
      RETURN NULL;
    END $$;
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

import type { Knex } from 'knex';

/**
 * The append-only ledger. The database itself refuses changes, refuses any past in which a cohort
 * would have fewer than no plants, keeps the stored counts, and makes splits balance.
 * Errors raised here carry codes GN001..GN004, mapped to problem details at the HTTP edge.
 */
export async function up(knex: Knex): Promise<void> {
  await knex.raw(`
    CREATE TABLE ledger_entry (
      id uuid PRIMARY KEY,
      seq bigint GENERATED ALWAYS AS IDENTITY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      type text NOT NULL CHECK (type IN (
        'started', 'lost_before_emergence', 'emerged', 'potted', 'lost', 'culled', 'split_out',
        'split_in', 'fused', 'promoted', 'sold', 'given', 'recount', 'reversed')),
      on_date date NOT NULL,
      to_date date NOT NULL,
      count integer NOT NULL CHECK (count >= 0),
      unit text CHECK (unit IN ('seed', 'plant')),
      into_count integer CHECK (into_count >= 0),
      cause text,
      note text NOT NULL DEFAULT '',
      reverses uuid UNIQUE REFERENCES ledger_entry,
      transfer_id uuid,
      record_id uuid REFERENCES record,
      person_id uuid REFERENCES person,
      at timestamptz NOT NULL DEFAULT now(),
      CHECK (to_date >= on_date),
      CHECK ((type = 'reversed') = (reverses IS NOT NULL)),
      CHECK ((type IN ('split_in', 'split_out')) <= (transfer_id IS NOT NULL))
    );
    CREATE INDEX ledger_of_cohort ON ledger_entry (cohort_id, on_date, seq);
    CREATE INDEX ledger_of_record ON ledger_entry (record_id) WHERE record_id IS NOT NULL;
    CREATE INDEX ledger_of_transfer ON ledger_entry (transfer_id) WHERE transfer_id IS NOT NULL;

    CREATE TABLE plant (
      id uuid PRIMARY KEY,
      cohort_id uuid NOT NULL REFERENCES cohort,
      entry_id uuid NOT NULL REFERENCES ledger_entry,
      tag text NOT NULL UNIQUE,
      promoted_on date NOT NULL
    );

    CREATE FUNCTION refuse_change() RETURNS trigger LANGUAGE plpgsql AS $$
    BEGIN
      RAISE EXCEPTION 'the % is append-only: reverse instead', TG_TABLE_NAME USING ERRCODE = 'GN001';
    END $$;
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON ledger_entry
      FOR EACH ROW EXECUTE FUNCTION refuse_change();
    CREATE TRIGGER append_only_all BEFORE TRUNCATE ON ledger_entry
      FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();
    CREATE TRIGGER append_only BEFORE UPDATE OR DELETE ON record
      FOR EACH ROW EXECUTE FUNCTION refuse_change();
    CREATE TRIGGER append_only_all BEFORE TRUNCATE ON record
      FOR EACH STATEMENT EXECUTE FUNCTION refuse_change();

    -- the same fold as the core's, over the entries that stand, in order of date and arrival
    CREATE FUNCTION fold_cohort(c uuid, OUT live integer, OUT pending integer, OUT emerged integer) LANGUAGE plpgsql AS $$
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
          WHEN e.type = 'started' AND e.unit = 'seed' THEN pending := pending + e.count;
          WHEN e.type IN ('started', 'split_in') THEN live := live + e.count;
          WHEN e.type = 'lost_before_emergence' THEN pending := pending - e.count;
          WHEN e.type = 'emerged' THEN
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

    CREATE FUNCTION keep_counts() RETURNS trigger LANGUAGE plpgsql AS $$
    DECLARE
      c uuid;
      folded record;
    BEGIN
      IF EXISTS (
        SELECT 1 FROM entered n JOIN ledger_entry t ON t.id = n.reverses
        WHERE t.cohort_id <> n.cohort_id OR t.type = 'reversed'
      ) THEN
        RAISE EXCEPTION 'a reversal must undo an entry of the same cohort that is no reversal itself'
          USING ERRCODE = 'GN004';
      END IF;
      FOR c IN SELECT DISTINCT cohort_id FROM entered ORDER BY cohort_id LOOP
        PERFORM 1 FROM cohort WHERE id = c FOR UPDATE;
        SELECT * INTO folded FROM fold_cohort(c);
        UPDATE cohort SET live = folded.live, pending = folded.pending, emerged = folded.emerged WHERE id = c;
      END LOOP;
      RETURN NULL;
    END $$;
    CREATE TRIGGER keep_counts AFTER INSERT ON ledger_entry
      REFERENCING NEW TABLE AS entered FOR EACH STATEMENT EXECUTE FUNCTION keep_counts();

    CREATE FUNCTION balance_transfer() RETURNS trigger LANGUAGE plpgsql AS $$
    DECLARE off integer;
    BEGIN
      SELECT coalesce(sum(CASE l.type WHEN 'split_in' THEN l.count WHEN 'split_out' THEN -l.count ELSE 0 END), 0)
        INTO off FROM ledger_entry l
        LEFT JOIN ledger_entry r ON r.reverses = l.id
        WHERE l.transfer_id = NEW.transfer_id AND r.id IS NULL;
      IF off <> 0 THEN
        RAISE EXCEPTION 'a split must put in what it takes out' USING ERRCODE = 'GN004';
      END IF;
      RETURN NULL;
    END $$;
    CREATE CONSTRAINT TRIGGER balance_transfer AFTER INSERT ON ledger_entry
      DEFERRABLE INITIALLY DEFERRED FOR EACH ROW WHEN (NEW.transfer_id IS NOT NULL)
      EXECUTE FUNCTION balance_transfer();
  `);
}

export const down = (): Promise<void> => Promise.reject(new Error('migrations go forward only'));

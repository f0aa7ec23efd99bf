SET statement_timeout = 0;
SET lock_timeout = 0;
SET idle_in_transaction_session_timeout = 0;
SET client_encoding = 'UTF8';
SET standard_conforming_strings = on;
SELECT pg_catalog.set_config('search_path', '', false);
SET check_function_bodies = false;
SET xmloption = content;
SET client_min_messages = warning;
SET row_security = off;
CREATE FUNCTION public.balance_transfer() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
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
CREATE FUNCTION public.fold_cohort(c uuid, OUT live integer, OUT pending integer, OUT emerged integer) RETURNS record
    LANGUAGE plpgsql
    AS $$
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
CREATE FUNCTION public.keep_counts() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
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
CREATE FUNCTION public.refuse_change() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
    BEGIN
      RAISE EXCEPTION 'the % is append-only: reverse instead', TG_TABLE_NAME USING ERRCODE = 'GN001';
    END $$;
SET default_tablespace = '';
SET default_table_access_method = heap;
CREATE TABLE public.absence (
    person_id uuid NOT NULL,
    week date NOT NULL,
    hours double precision NOT NULL,
    CONSTRAINT absence_hours_check CHECK (((hours >= (0)::double precision) AND (hours <= (80)::double precision))),
    CONSTRAINT absence_week_check CHECK ((EXTRACT(isodow FROM week) = (1)::numeric))
);
CREATE TABLE public.cohort (
    id uuid NOT NULL,
    code text NOT NULL,
    taxon_id text NOT NULL,
    method text NOT NULL,
    place_id uuid NOT NULL,
    container text NOT NULL,
    programme_id text NOT NULL,
    programme jsonb NOT NULL,
    started_said text NOT NULL,
    started_from date NOT NULL,
    started_to date NOT NULL,
    parent_id uuid,
    stands_at text,
    first_container text,
    split_from uuid,
    split_seq bigint,
    goal text DEFAULT ''::text NOT NULL,
    goal_caliper double precision,
    note text DEFAULT ''::text NOT NULL,
    live integer DEFAULT 0 NOT NULL,
    pending integer DEFAULT 0 NOT NULL,
    emerged integer DEFAULT 0 NOT NULL,
    rings jsonb DEFAULT '{"mm": [], "from": 0, "measured": []}'::jsonb NOT NULL,
    ends_on date,
    next_title text,
    next_opens date,
    next_closes date,
    next_rule text,
    version integer DEFAULT 1 NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    growing boolean GENERATED ALWAYS AS (((live > 0) OR ((pending > 0) AND (emerged = 0)))) STORED,
    schools jsonb DEFAULT '{}'::jsonb NOT NULL,
    programme_version integer DEFAULT 1 NOT NULL,
    step_maps jsonb DEFAULT '[]'::jsonb NOT NULL,
    place_since date,
    goal_id uuid,
    lot_id uuid,
    host_id uuid,
    origin jsonb,
    tag text,
    taxon_maybe jsonb,
    root_bound_on date,
    CONSTRAINT cohort_emerged_check CHECK ((emerged >= 0)),
    CONSTRAINT cohort_live_check CHECK ((live >= 0)),
    CONSTRAINT cohort_pending_check CHECK ((pending >= 0))
);
CREATE TABLE public.container_stock (
    container text NOT NULL,
    counted integer NOT NULL,
    counted_on date NOT NULL,
    counted_seq bigint DEFAULT 0 NOT NULL,
    arriving integer DEFAULT 0 NOT NULL,
    arrives date,
    version integer DEFAULT 1 NOT NULL,
    CONSTRAINT container_stock_arriving_check CHECK ((arriving >= 0)),
    CONSTRAINT container_stock_counted_check CHECK ((counted >= 0))
);
CREATE TABLE public.course_step (
    cohort_id uuid NOT NULL,
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
    ready boolean NOT NULL,
    minutes double precision NOT NULL,
    reasons jsonb NOT NULL,
    chain text,
    odds double precision,
    waits jsonb DEFAULT '[]'::jsonb NOT NULL,
    offers text,
    moved jsonb,
    digest text DEFAULT ''::text NOT NULL,
    top_cut jsonb,
    refusal text,
    span jsonb,
    materials jsonb DEFAULT '[]'::jsonb NOT NULL
);
CREATE TABLE public.identity (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    cohort_id uuid NOT NULL,
    on_date date NOT NULL,
    was jsonb NOT NULL,
    now jsonb NOT NULL,
    reason text NOT NULL,
    person_id uuid
);
ALTER TABLE public.identity ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.identity_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.knex_migrations (
    id integer NOT NULL,
    name character varying(255),
    batch integer,
    migration_time timestamp with time zone
);
CREATE SEQUENCE public.knex_migrations_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.knex_migrations_id_seq OWNED BY public.knex_migrations.id;
CREATE TABLE public.knex_migrations_lock (
    index integer NOT NULL,
    is_locked integer
);
CREATE SEQUENCE public.knex_migrations_lock_index_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.knex_migrations_lock_index_seq OWNED BY public.knex_migrations_lock.index;
CREATE TABLE public.layer (
    cohort_id uuid NOT NULL,
    parent_id uuid NOT NULL,
    stem text NOT NULL,
    height integer NOT NULL,
    diameter double precision NOT NULL,
    how text NOT NULL,
    branches integer NOT NULL,
    keeps integer NOT NULL,
    becomes text DEFAULT ''::text NOT NULL,
    leaves text DEFAULT ''::text NOT NULL,
    CONSTRAINT layer_how_check CHECK ((how = ANY (ARRAY['ring'::text, 'tourniquet'::text])))
);
CREATE TABLE public.layer_event (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    cohort_id uuid NOT NULL,
    kind text NOT NULL,
    on_date date NOT NULL,
    found text,
    record_id uuid,
    note text DEFAULT ''::text NOT NULL,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL
);
ALTER TABLE public.layer_event ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.layer_event_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.ledger_entry (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    cohort_id uuid NOT NULL,
    type text NOT NULL,
    on_date date NOT NULL,
    to_date date NOT NULL,
    count integer NOT NULL,
    unit text,
    into_count integer,
    cause text,
    note text DEFAULT ''::text NOT NULL,
    reverses uuid,
    transfer_id uuid,
    record_id uuid,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL,
    damage_id uuid,
    CONSTRAINT ledger_entry_check CHECK ((to_date >= on_date)),
    CONSTRAINT ledger_entry_check1 CHECK (((type = 'reversed'::text) = (reverses IS NOT NULL))),
    CONSTRAINT ledger_entry_check2 CHECK (((type = ANY (ARRAY['split_in'::text, 'split_out'::text])) <= (transfer_id IS NOT NULL))),
    CONSTRAINT ledger_entry_count_check CHECK ((count >= 0)),
    CONSTRAINT ledger_entry_into_count_check CHECK ((into_count >= 0)),
    CONSTRAINT ledger_entry_type_check CHECK ((type = ANY (ARRAY['started'::text, 'lost_before_emergence'::text, 'emerged'::text, 'severed'::text, 'potted'::text, 'lost'::text, 'culled'::text, 'split_out'::text, 'split_in'::text, 'fused'::text, 'promoted'::text, 'sold'::text, 'given'::text, 'recount'::text, 'reversed'::text]))),
    CONSTRAINT ledger_entry_unit_check CHECK ((unit = ANY (ARRAY['seed'::text, 'layer'::text, 'plant'::text])))
);
ALTER TABLE public.ledger_entry ALTER COLUMN seq ADD GENERATED BY DEFAULT AS IDENTITY (
    SEQUENCE NAME public.ledger_entry_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.locked_week (
    week date NOT NULL,
    CONSTRAINT locked_week_week_check CHECK ((EXTRACT(isodow FROM week) = (1)::numeric))
);
CREATE TABLE public.nursery (
    only_one boolean DEFAULT true NOT NULL,
    id uuid NOT NULL,
    name text NOT NULL,
    latitude double precision NOT NULL,
    longitude double precision NOT NULL,
    elevation double precision NOT NULL,
    time_zone text NOT NULL,
    tmin double precision[] NOT NULL,
    tmax double precision[] NOT NULL,
    spread_winter double precision NOT NULL,
    spread_summer double precision NOT NULL,
    wet_from integer,
    demo_today date,
    weather_seed integer,
    planned_on date,
    version integer DEFAULT 1 NOT NULL,
    schools jsonb DEFAULT '{}'::jsonb NOT NULL,
    station_url text,
    CONSTRAINT nursery_only_one_check CHECK (only_one),
    CONSTRAINT nursery_tmax_check CHECK ((cardinality(tmax) = 12)),
    CONSTRAINT nursery_tmin_check CHECK ((cardinality(tmin) = 12))
);
CREATE TABLE public.observation (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    place_id uuid NOT NULL,
    taxon_id text,
    kind text NOT NULL,
    season integer NOT NULL,
    on_date date NOT NULL,
    expected date,
    note text DEFAULT ''::text NOT NULL,
    withdraws uuid,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL
);
ALTER TABLE public.observation ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.observation_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.person (
    id uuid NOT NULL,
    name text NOT NULL,
    role text NOT NULL,
    password_hash text,
    version integer DEFAULT 1 NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    hours double precision DEFAULT 0 NOT NULL,
    skilled boolean DEFAULT false NOT NULL,
    CONSTRAINT person_hours_check CHECK (((hours >= (0)::double precision) AND (hours <= (80)::double precision))),
    CONSTRAINT person_role_check CHECK ((role = ANY (ARRAY['helper'::text, 'grower'::text, 'owner'::text])))
);
CREATE TABLE public.picture (
    id uuid NOT NULL,
    cohort_id uuid NOT NULL,
    record_id uuid,
    on_date date NOT NULL,
    width integer NOT NULL,
    height integer NOT NULL,
    bytes bytea NOT NULL,
    thumb bytea NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.place (
    id uuid NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    night double precision NOT NULL,
    day double precision NOT NULL,
    heated_to double precision,
    sort integer NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    light text DEFAULT 'full'::text NOT NULL,
    CONSTRAINT place_light_check CHECK ((light = ANY (ARRAY['full'::text, 'half'::text, 'shade'::text])))
);
ALTER TABLE public.place ALTER COLUMN sort ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.place_sort_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.plan_change (
    id uuid DEFAULT gen_random_uuid() NOT NULL,
    cohort_id uuid NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
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
CREATE TABLE public.plant (
    id uuid NOT NULL,
    cohort_id uuid NOT NULL,
    entry_id uuid NOT NULL,
    tag text NOT NULL,
    promoted_on date NOT NULL,
    own_cohort_id uuid
);
CREATE TABLE public.programme (
    id text NOT NULL,
    version integer NOT NULL,
    body jsonb NOT NULL,
    based_on text,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT programme_version_check CHECK ((version >= 1))
);
CREATE TABLE public.protection (
    id uuid NOT NULL,
    cohort_id uuid NOT NULL,
    kind text NOT NULL,
    clearance integer NOT NULL,
    from_date date NOT NULL,
    ended date,
    note text DEFAULT ''::text NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    person_id uuid,
    record_id uuid,
    ended_by uuid,
    CONSTRAINT protection_check CHECK ((ended >= from_date)),
    CONSTRAINT protection_clearance_check CHECK ((clearance >= 0)),
    CONSTRAINT protection_kind_check CHECK ((kind = ANY (ARRAY['mesh'::text, 'fleece'::text, 'cage'::text, 'glass'::text, 'guard'::text])))
);
CREATE TABLE public.record (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    cohort_id uuid NOT NULL,
    kind text NOT NULL,
    step_key text,
    undoes uuid,
    on_date date NOT NULL,
    until date,
    reason text,
    done integer,
    finished boolean DEFAULT true NOT NULL,
    container text,
    container_before text,
    caliper double precision,
    height double precision,
    sizes jsonb,
    rooted integer,
    vigour integer,
    minutes double precision,
    note text DEFAULT ''::text NOT NULL,
    next_time text DEFAULT ''::text NOT NULL,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL,
    found text[],
    decision text,
    causes jsonb,
    check_on date,
    taxon_id text,
    taxon_before text,
    sure double precision,
    odds double precision,
    alive integer,
    alive_of integer,
    buds_looked integer,
    buds_ready integer,
    overrides text,
    place_id uuid,
    place_before uuid,
    again text,
    batches jsonb,
    follows uuid,
    from_cells boolean DEFAULT false NOT NULL,
    low_growth boolean,
    CONSTRAINT record_alive_check CHECK ((alive >= 0)),
    CONSTRAINT record_buds_looked_check CHECK ((buds_looked > 0)),
    CONSTRAINT record_check CHECK (((kind = 'undo'::text) = (undoes IS NOT NULL))),
    CONSTRAINT record_check1 CHECK ((alive_of >= alive)),
    CONSTRAINT record_check2 CHECK (((buds_ready >= 0) AND (buds_ready <= buds_looked))),
    CONSTRAINT record_check3 CHECK (((kind <> ALL (ARRAY['put off'::text, 'moved'::text])) OR (until IS NOT NULL))),
    CONSTRAINT record_kind_check CHECK ((kind = ANY (ARRAY['work'::text, 'look'::text, 'put off'::text, 'undo'::text, 'visit'::text, 'moved'::text, 'released'::text]))),
    CONSTRAINT record_odds_check CHECK (((odds >= (0)::double precision) AND (odds <= (1)::double precision))),
    CONSTRAINT record_sure_check CHECK (((sure >= (0)::double precision) AND (sure <= (1)::double precision)))
);
ALTER TABLE public.record ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.record_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.seed_event (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    lot_id uuid NOT NULL,
    kind text NOT NULL,
    on_date date NOT NULL,
    tested integer,
    sound integer,
    seeds integer,
    note text DEFAULT ''::text NOT NULL,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT seed_event_check CHECK (((sound >= 0) AND (sound <= tested))),
    CONSTRAINT seed_event_check1 CHECK (((kind = 'test'::text) = ((tested IS NOT NULL) AND (sound IS NOT NULL)))),
    CONSTRAINT seed_event_kind_check CHECK ((kind = ANY (ARRAY['test'::text, 'soaked'::text, 'to warm'::text, 'to cold'::text, 'out'::text, 'thrown away'::text]))),
    CONSTRAINT seed_event_seeds_check CHECK ((seeds >= 0)),
    CONSTRAINT seed_event_tested_check CHECK ((tested > 0))
);
ALTER TABLE public.seed_event ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.seed_event_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.seed_lot (
    id uuid NOT NULL,
    name text NOT NULL,
    taxon_id text NOT NULL,
    source text NOT NULL,
    parent_id uuid,
    harvested_said text NOT NULL,
    harvested_from date NOT NULL,
    seeds integer NOT NULL,
    price integer,
    handling text DEFAULT ''::text NOT NULL,
    storage text NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    version integer DEFAULT 1 NOT NULL,
    CONSTRAINT seed_lot_price_check CHECK ((price >= 0)),
    CONSTRAINT seed_lot_seeds_check CHECK ((seeds > 0))
);
CREATE TABLE public.session (
    sid text NOT NULL,
    data jsonb NOT NULL,
    expires timestamp with time zone NOT NULL
);
CREATE TABLE public.setting (
    key text NOT NULL,
    value text NOT NULL
);
CREATE TABLE public.start_goal (
    id uuid NOT NULL,
    taxon_id text NOT NULL,
    programme_id text NOT NULL,
    place_id uuid NOT NULL,
    stage text NOT NULL,
    wanted integer NOT NULL,
    by_year integer NOT NULL,
    confidence double precision NOT NULL,
    most integer NOT NULL,
    cost jsonb NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    closed_on date,
    version integer DEFAULT 1 NOT NULL,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT start_goal_confidence_check CHECK (((confidence > (0)::double precision) AND (confidence < (1)::double precision))),
    CONSTRAINT start_goal_most_check CHECK ((most > 0)),
    CONSTRAINT start_goal_wanted_check CHECK ((wanted > 0))
);
CREATE TABLE public.station_reading (
    at timestamp without time zone NOT NULL,
    temperature double precision NOT NULL,
    humidity double precision NOT NULL,
    wind double precision NOT NULL,
    gust double precision NOT NULL,
    rain double precision NOT NULL
);
CREATE TABLE public.tally (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    cohort_id uuid NOT NULL,
    kind text NOT NULL,
    on_date date NOT NULL,
    counts jsonb NOT NULL,
    note text DEFAULT ''::text NOT NULL,
    person_id uuid
);
ALTER TABLE public.tally ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.tally_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.tray (
    id uuid NOT NULL,
    cohort_id uuid NOT NULL,
    name text NOT NULL,
    rows integer NOT NULL,
    columns integer NOT NULL,
    at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT tray_columns_check CHECK ((columns > 0)),
    CONSTRAINT tray_rows_check CHECK ((rows > 0))
);
CREATE TABLE public.tray_cell (
    tray_id uuid NOT NULL,
    cell integer NOT NULL,
    state text NOT NULL
);
CREATE TABLE public.tray_cell_entry (
    tray_id uuid NOT NULL,
    cell integer NOT NULL,
    entry_id uuid NOT NULL
);
CREATE TABLE public.tray_mark (
    id uuid NOT NULL,
    seq bigint NOT NULL,
    tray_id uuid NOT NULL,
    cell integer NOT NULL,
    was text NOT NULL,
    now text NOT NULL,
    on_date date NOT NULL,
    undoes uuid,
    person_id uuid,
    at timestamp with time zone DEFAULT now() NOT NULL
);
ALTER TABLE public.tray_mark ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.tray_mark_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.weather_day (
    on_date date NOT NULL,
    tmin double precision NOT NULL,
    tmax double precision NOT NULL,
    CONSTRAINT weather_day_check CHECK ((tmax >= tmin))
);
CREATE TABLE public.write_receipt (
    id uuid NOT NULL,
    route text NOT NULL,
    body_hash text NOT NULL,
    reply json,
    at timestamp with time zone DEFAULT now() NOT NULL
);
CREATE TABLE public.year_week (
    cohort_id uuid NOT NULL,
    key text NOT NULL,
    week date NOT NULL,
    locked boolean DEFAULT false NOT NULL,
    later double precision DEFAULT 0 NOT NULL,
    CONSTRAINT year_week_later_check CHECK ((later = ANY (ARRAY[(0)::double precision, (0.25)::double precision, (0.5)::double precision, (0.75)::double precision]))),
    CONSTRAINT year_week_week_check CHECK ((EXTRACT(isodow FROM week) = (1)::numeric))
);
ALTER TABLE ONLY public.knex_migrations ALTER COLUMN id SET DEFAULT nextval('public.knex_migrations_id_seq'::regclass);
ALTER TABLE ONLY public.knex_migrations_lock ALTER COLUMN index SET DEFAULT nextval('public.knex_migrations_lock_index_seq'::regclass);
INSERT INTO public.cohort VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'FM-26', 'acer-campestre', 'seed', 'ac78c140-cda6-418f-a3a2-39710d0ba2f2', 'seed-flat', 'seed-broadleaf', '{"id": "seed-broadleaf", "name": "Seed-raised broadleaf, in baskets", "steps": [{"key": "sow", "after": [], "container": "seed-flat", "operation": "sow"}, {"key": "emergence", "after": [{"step": "sow"}], "operation": "emergence-count"}, {"key": "cells", "after": [{"days": 25, "step": "emergence"}], "title": "Pot on into air-pruning cells", "container": "cell-60", "operation": "pot-on"}, {"key": "plug", "only": {"options": ["by-kind", "plug", "staged"], "question": "root-ball"}, "after": [{"step": "cells"}], "container": "air-pot-1", "operation": "plug-pot"}, {"key": "measure-1", "after": [{"step": "cells"}], "operation": "measure"}, {"key": "correct", "only": {"options": ["by-kind", "bare"], "question": "root-ball"}, "after": [{"days": 90, "step": "cells"}, {"step": "plug"}], "title": "First root correction, into 18 cm baskets", "container": "basket-18", "operation": "root-correct"}, {"key": "stage", "only": {"options": ["staged"], "question": "root-ball"}, "after": [{"days": 90, "step": "cells"}, {"step": "plug"}, {"step": "correct"}], "title": "First root work: one side, ball kept", "container": "basket-18", "operation": "stage-roots"}, {"key": "show-roots", "only": {"options": ["shown"], "question": "surface-roots"}, "after": [{"step": "correct", "seasons": 1}, {"step": "stage", "seasons": 1}], "title": "Lower the mix, show the surface roots", "operation": "expose-roots"}, {"key": "wire-1", "after": [{"step": "correct"}, {"step": "stage"}], "title": "First wiring", "operation": "wire"}, {"key": "grade", "after": [{"step": "correct", "seasons": 1}, {"step": "stage", "seasons": 1}], "operation": "grade"}, {"key": "roots-2", "after": [{"step": "correct", "seasons": 1.8}, {"step": "stage", "seasons": 1.8}, {"step": "grade"}], "title": "Root work, into 25 cm baskets", "container": "basket-25", "operation": "root-work"}, {"key": "cut-back-1", "after": [{"step": "roots-2", "seasons": 0.8}], "operation": "cut-back"}, {"key": "measure-2", "after": [{"step": "cut-back-1"}], "operation": "measure"}, {"key": "bend", "only": {"options": ["bend"], "question": "chop"}, "after": [{"step": "roots-2", "seasons": 0.8}], "operation": "bend-shoot"}, {"key": "thin", "only": {"options": ["sacrifice"], "question": "chop"}, "after": [{"step": "roots-2", "seasons": 0.8}], "operation": "thin-sacrifice"}, {"key": "sacrifice", "only": {"options": ["sacrifice"], "question": "chop"}, "after": [{"step": "thin", "seasons": 0.8}], "operation": "sacrifice-cut", "conditions": [{"unit": "mm", "atLeast": 26, "measure": "caliper"}]}, {"key": "half-chop", "only": {"options": ["staged"], "question": "chop"}, "after": [{"step": "roots-2", "seasons": 1.5}], "operation": "half-chop", "conditions": [{"unit": "mm", "atLeast": 22, "measure": "caliper"}]}, {"key": "chop", "after": [{"step": "roots-2", "seasons": 1.5}, {"step": "half-chop", "seasons": 0.8}, {"step": "bend"}, {"step": "sacrifice", "seasons": 0.8}], "operation": "chop", "conditions": [{"unit": "mm", "atLeast": 22, "measure": "caliper"}]}, {"key": "pinch", "only": {"options": ["formal"], "question": "form"}, "after": [{"step": "chop", "seasons": 1}], "title": "Pinch to the outline", "operation": "pinch"}, {"key": "roots-3", "after": [{"step": "chop", "seasons": 0.8}, {"step": "roots-2", "seasons": 2}], "title": "Root work, into 32 cm baskets", "container": "basket-32", "operation": "root-work"}, {"key": "grade-2", "after": [{"step": "roots-3", "seasons": 1.5}], "operation": "grade"}, {"key": "training", "after": [{"step": "roots-3", "seasons": 1.8}, {"step": "grade-2"}], "container": "training-22", "operation": "training-pot", "conditions": [{"unit": "mm", "atLeast": 35, "measure": "caliper"}]}], "method": "seed", "vigour": 4, "schools": {}, "summary": "Seed to a 40 mm trunk in air-pruning baskets, first chop at 22 mm"}', '2026-03-01', '2026-03-01', '2026-03-01', NULL, NULL, 'seed-flat', NULL, NULL, '', 40, '', 86, 0, 90, '{"mm": [3.7, 9.9, 15.1, 18.8, 23.3], "fast": [4, 11, 17, 21, 26], "from": 2026, "slow": [3, 9, 13, 17, 21], "measured": [2026]}', '2036-10-16', 'Pot on into air-pruning cells', '2026-05-26', '2026-07-15', 'order', 1, '2026-11-26 15:29:36.183134+00', DEFAULT, '{}', 1, '[]', '2026-03-01', NULL, NULL, NULL, NULL, NULL, NULL, NULL);
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'sow', 0, 'sow', 'Sow', 'container', 'done', NULL, NULL, NULL, NULL, NULL, '2026-03-01', 'seed-flat', NULL, true, 18, '[]', NULL, NULL, '[]', NULL, NULL, '8W3EJY7AKW6n0aEW8qRrn74EL3Y', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'emergence', 3, 'emergence-count', 'Count emergence', 'care', 'done', NULL, NULL, NULL, NULL, NULL, '2026-05-01', NULL, NULL, true, 9, '[]', NULL, NULL, '[]', NULL, NULL, 'gu7zxKPaODsFbdmI6dBeqKIo5WU', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'plug', 5, 'plug-pot', 'Pot the plug on intact, in leaf', 'container', 'planned', '2027-05-23', '2027-07-07', '2027-05-13', '2027-06-06', '2027-06-08', NULL, 'air-pot-1', NULL, false, 129, '[{"rule": "window", "text": "Once 0.2 of a growing season has passed since ‘Pot on into air-pruning cells’ ({2026-11-26}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.2}]}, {"rule": "order", "text": "After ‘Pot on into air-pruning cells’, planned for {2026-11-26}", "binding": false, "figures": []}]', NULL, NULL, '[{"key": "cells", "days": 178}]', NULL, NULL, 'M6wmgB85idGFRC0GzedtoeqVjEI', NULL, NULL, NULL, '[{"unit": "L", "what": "mineral mix with a third of sieved bark", "amount": 105}, {"unit": "", "what": "chopstick to work dry mix in", "amount": null}, {"unit": "", "what": "mesh and wire clips", "amount": 86}, {"unit": "m", "what": "tie-down wire", "amount": 22}]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'measure-1', 6, 'measure', 'Measure a sample', 'care', 'planned', '2027-10-06', '2027-11-19', '2027-09-27', '2027-10-15', '2027-10-21', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2027-11-05}, between {2027-10-27} and {2027-11-14} in eight years of ten), closes 14 days after leaf fall ({2027-11-05})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2027-11-05", "source": "model in the form of Delpierre et al. 2009, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2027-10-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2027-11-14"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "After ‘Pot on into air-pruning cells’, planned for {2026-11-26}", "binding": false, "figures": []}]', NULL, NULL, '[{"key": "cells", "days": 0}]', NULL, NULL, 'uSM16srPw99cF6xkdCqIwoWRWNA', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'sow.guard-on', 1, 'guard-on', 'Cover on: mesh or guard', 'care', 'lapsed', NULL, '2026-03-05', NULL, NULL, NULL, NULL, NULL, NULL, true, 18, '[{"rule": "window", "text": "0 to 2 days after ‘Sow’ ({2026-03-01})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 0}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 2}]}, {"rule": "order", "text": "After ‘Sow’, done {2026-03-01}", "binding": true, "figures": []}]', 'sow', NULL, '[]', NULL, NULL, 'PkH6SibsAXyd4aXRM7u1g-WRGx4', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'sow.guard-on.guard-off', 2, 'guard-off', 'Cover off', 'care', 'lapsed', NULL, '2026-05-21', NULL, NULL, NULL, NULL, NULL, NULL, true, 18, '[{"rule": "window", "text": "Off before tips reach the cover: 60 mm clear, half up by {2026-05-01}", "binding": true, "figures": [{"unit": "mm", "basis": "common practice", "label": "clearance", "value": 60}, {"unit": "mm a day", "basis": "common practice", "label": "seedlings grow", "value": 2.5}]}, {"rule": "order", "text": "After ‘Cover on: mesh or guard’, done {2026-03-05}", "binding": false, "figures": []}]', 'sow', NULL, '[]', NULL, NULL, 'VTXO7KmElMKG6rBWT6Tj_HFXLZ0', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'cells', 4, 'pot-on', 'Pot on into air-pruning cells', 'container', 'planned', '2026-05-26', '2026-07-15', '2026-05-26', '2026-05-26', '2026-11-26', NULL, 'cell-60', '{"take": 0.1, "limit": 0.8, "wanted": 0.1}', true, 172, '[{"rule": "window", "text": "25 to 75 days after ‘Count emergence’ ({2026-05-01})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 25}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 75}]}, {"rule": "order", "text": "25 days after ‘Count emergence’, done {2026-05-01}", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 25}]}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 10 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.8}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]', NULL, NULL, '[]', NULL, NULL, 'Pehl3VGHV0UOrirxa3J17599U-g', NULL, NULL, NULL, '[{"unit": "L", "what": "mineral mix with a third of sieved bark", "amount": 16}, {"unit": "", "what": "chopstick to work dry mix in", "amount": null}, {"unit": "", "what": "mesh and wire clips", "amount": 86}, {"unit": "m", "what": "tie-down wire", "amount": 9}]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'correct.survival-look', 8, 'survival-look', 'Two-week look', 'care', 'planned', '2028-03-26', '2028-04-07', '2028-03-26', '2028-03-26', '2028-03-30', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘First root correction, into 18 cm baskets’ ({2028-03-14})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "After ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": []}]', 'correct', NULL, '[{"key": "correct", "days": 12}]', NULL, NULL, 'FAF2GTxz6GRA4B30rRYSKSnMoq0', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'correct.first-feed', 10, 'first-feed', 'First feed after root work', 'care', 'planned', '2028-04-11', '2028-05-09', '2028-04-11', '2028-04-11', '2028-04-21', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "28 to 56 days after ‘First root correction, into 18 cm baskets’ ({2028-03-14})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 28}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 56}]}, {"rule": "order", "text": "After ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": []}]', 'correct', NULL, '[{"key": "correct", "days": 28}]', NULL, NULL, 'lLttCoPhFTqbPskuZtWKDB9U0Bw', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-2.survival-look', 15, 'survival-look', 'Two-week look', 'care', 'planned', '2030-03-27', '2030-04-08', '2030-03-27', '2030-03-27', '2030-03-31', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘Root work, into 25 cm baskets’ ({2030-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "After ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": []}]', 'roots-2', NULL, '[{"key": "roots-2", "days": 12}]', NULL, NULL, 'sGd4nNXlIDEecduKdFFFBL3BlcA', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-2.first-feed', 17, 'first-feed', 'First feed after root work', 'care', 'planned', '2030-04-12', '2030-05-10', '2030-04-12', '2030-04-12', '2030-04-22', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "28 to 56 days after ‘Root work, into 25 cm baskets’ ({2030-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 28}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 56}]}, {"rule": "order", "text": "After ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": []}]', 'roots-2', NULL, '[{"key": "roots-2", "days": 28}]', NULL, NULL, 'iFEVQVFy4sVZgTFZu0SBux2gN0s', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'half-chop.guard-on', 23, 'guard-on', 'Cover on: mesh or guard', 'care', 'planned', '2032-03-02', '2032-03-09', '2032-03-02', '2032-03-02', '2032-03-04', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "0 to 7 days after ‘First half of the chop’ ({2032-03-02})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 0}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 7}]}, {"rule": "order", "text": "After ‘First half of the chop’, planned for {2032-03-02}", "binding": true, "figures": []}]', 'half-chop', NULL, '[{"key": "half-chop", "days": 0}]', NULL, NULL, 'NEXtBKa75stN2iHl0yocbwpNA8k', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'half-chop.guard-on.guard-off', 24, 'guard-off', 'Cover off', 'care', 'planned', '2032-09-03', '2032-11-02', '2032-08-24', '2032-09-17', '2032-09-24', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "Once 0.7 of a growing season has passed since ‘Cover on: mesh or guard’ ({2032-03-04}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.7}]}, {"rule": "order", "text": "After ‘Cover on: mesh or guard’, planned for {2032-03-04}", "binding": false, "figures": []}]', 'half-chop', NULL, '[{"key": "half-chop.guard-on", "days": 183}]', NULL, NULL, 'fdk9lZPtCWg4GbjEUkTbgpSfnuY', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'chop.guard-on', 27, 'guard-on', 'Cover on: mesh or guard', 'care', 'planned', '2033-03-03', '2033-03-10', '2033-03-03', '2033-03-03', '2033-03-05', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "0 to 7 days after ‘Chop to a low branch or bud’ ({2033-03-03})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 0}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 7}]}, {"rule": "order", "text": "After ‘Chop to a low branch or bud’, planned for {2033-03-03}", "binding": true, "figures": []}]', 'chop', NULL, '[{"key": "chop", "days": 0}]', NULL, NULL, 'VhEbZ_ZzJqcCzlcHH1L8ZkcWj74', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'chop.guard-on.guard-off', 28, 'guard-off', 'Cover off', 'care', 'planned', '2033-09-04', '2033-11-03', '2033-08-25', '2033-09-18', '2033-09-25', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "Once 0.7 of a growing season has passed since ‘Cover on: mesh or guard’ ({2033-03-05}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.7}]}, {"rule": "order", "text": "After ‘Cover on: mesh or guard’, planned for {2033-03-05}", "binding": false, "figures": []}]', 'chop', NULL, '[{"key": "chop.guard-on", "days": 183}]', NULL, NULL, 'Kb_BKpxLRLikMB6KSqMjes9JY-A', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'chop.survival-look', 29, 'survival-look', 'Two-week look', 'care', 'planned', '2033-05-13', '2033-06-10', '2033-05-03', '2033-05-27', '2033-05-23', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "Once 0.15 of a growing season has passed since ‘Chop to a low branch or bud’ ({2033-03-03}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.15}]}, {"rule": "order", "text": "After ‘Chop to a low branch or bud’, planned for {2033-03-03}", "binding": false, "figures": []}]', 'chop', NULL, '[{"key": "chop", "days": 71}]', NULL, NULL, 'QNuEekbIZuL7fqqT8kBv3Sp0jQE', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-3.survival-look', 33, 'survival-look', 'Two-week look', 'care', 'planned', '2034-03-27', '2034-04-08', '2034-03-27', '2034-03-27', '2034-03-31', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘Root work, into 32 cm baskets’ ({2034-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "After ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": []}]', 'roots-3', NULL, '[{"key": "roots-3", "days": 12}]', NULL, NULL, '4SghJhuxdYXwDA_TyhYApOkLSQs', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-3.first-feed', 35, 'first-feed', 'First feed after root work', 'care', 'planned', '2034-04-12', '2034-05-10', '2034-04-12', '2034-04-12', '2034-04-22', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "28 to 56 days after ‘Root work, into 32 cm baskets’ ({2034-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 28}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 56}]}, {"rule": "order", "text": "After ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": []}]', 'roots-3', NULL, '[{"key": "roots-3", "days": 28}]', NULL, NULL, 'gEHn5tD92arAFDTcBrCuO8Jeudo', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'wire-1.wire-check', 12, 'wire-check', 'Wire check: off, on or again', 'top', 'planned', '2028-05-30', '2028-06-20', '2028-05-23', '2028-06-13', '2028-06-06', NULL, NULL, NULL, false, 258, '[{"rule": "window", "text": "Before the stem has swollen by 2.1 mm since ‘First wiring’ ({2028-03-14}), expected {2028-06-20}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the stem may swell by", "value": 2.1}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 35}]}, {"rule": "order", "text": "After ‘First wiring’, planned for {2028-03-14}", "binding": false, "figures": []}]', 'wire-1', NULL, '[{"key": "wire-1", "days": 77}]', NULL, NULL, 'sCEeoeq77REpeQKvl1GPG0WZyMc', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'training.survival-look', 40, 'survival-look', 'Two-week look', 'care', 'planned', '2036-03-26', '2036-04-07', '2036-03-26', '2036-03-26', '2036-03-30', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘Into the training pot’ ({2036-03-14})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "After ‘Into the training pot’, planned for {2036-03-14}", "binding": false, "figures": []}]', 'training', NULL, '[{"key": "training", "days": 12}]', NULL, NULL, '_Ty4MOCN9vB6B6jTiQStFsZw-aw', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'training.first-feed', 42, 'first-feed', 'First feed after root work', 'care', 'planned', '2036-04-11', '2036-05-09', '2036-04-11', '2036-04-11', '2036-04-21', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "28 to 56 days after ‘Into the training pot’ ({2036-03-14})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 28}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 56}]}, {"rule": "order", "text": "After ‘Into the training pot’, planned for {2036-03-14}", "binding": false, "figures": []}]', 'training', NULL, '[{"key": "training", "days": 28}]', NULL, NULL, '55UBtL4b1707abjjXpYSuVKkPIw', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'correct', 7, 'root-correct', 'First root correction, into 18 cm baskets', 'roots', 'planned', '2028-02-26', '2028-04-15', '2028-02-10', '2028-03-15', '2028-03-14', NULL, 'basket-18', '{"take": 0.6, "limit": 0.8, "wanted": 0.6}', false, 516, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2028-03-18}, between {2028-03-02} and {2028-04-05} in eight years of ten), closes 5 days after bud break ({2028-04-10})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2028-03-18", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2028-03-02"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2028-04-05"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2028-04-10"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2028-03-26"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2028-04-27"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "90 days after ‘Pot on into air-pruning cells’, planned for {2026-11-26}", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 90}]}, {"rule": "order", "text": "After ‘Pot the plug on intact, in leaf’, planned for {2027-06-08}", "binding": false, "figures": []}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 60 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.95}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]', NULL, 0.98, '[{"key": "cells", "days": 90}, {"key": "plug", "days": 0}]', NULL, NULL, 'oiYgwGXwgStSnxo-wLYctT-isFM', NULL, NULL, NULL, '[{"unit": "L", "what": "mineral mix with a third of sieved bark", "amount": 263}, {"unit": "", "what": "chopstick to work dry mix in", "amount": null}, {"unit": "", "what": "mesh and wire clips", "amount": 86}, {"unit": "m", "what": "tie-down wire", "amount": 31}, {"unit": "", "what": "flat bed under the roots", "amount": null}]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'correct.tie-check', 9, 'tie-check', 'Tie-downs: bite check; they stay until the next opening', 'care', 'planned', '2028-06-07', '2028-07-07', '2028-05-31', '2028-06-21', '2028-06-18', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Before the base has swollen by 2 mm since ‘First root correction, into 18 cm baskets’ ({2028-03-14}), expected {2028-07-07}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the base may swell by", "value": 2}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 20}]}, {"rule": "order", "text": "After ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": []}]', 'correct', NULL, '[{"key": "correct", "days": 85}]', NULL, NULL, 'SY_4xaB7HivHSxg2mxc6KFQSxc0', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'wire-1', 11, 'wire', 'First wiring', 'top', 'planned', '2028-03-14', '2028-03-15', '2028-03-14', '2028-03-14', '2028-03-14', NULL, NULL, NULL, false, 688, '[{"rule": "window", "text": "In one sitting with ‘First root correction, into 18 cm baskets’ ({2028-03-14})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 0}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 1}]}, {"rule": "order", "text": "After ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": true, "figures": []}]', NULL, NULL, '[{"key": "correct", "days": 0}]', NULL, NULL, 'vaixoR2TrAxSHS1EJ4tm1qvLRkE', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'grade', 13, 'grade', 'Grade and cull', 'care', 'planned', '2028-11-04', '2028-11-18', '2028-11-04', '2028-11-04', '2028-11-09', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2028-11-04}, between {2028-10-26} and {2028-11-13} in eight years of ten), closes 14 days after leaf fall ({2028-11-04})", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2028-11-04", "source": "model in the form of Delpierre et al. 2009, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2028-10-26"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2028-11-13"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "1 growing season after ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1}]}]', NULL, NULL, '[{"key": "correct", "days": 235}]', NULL, NULL, 'Gau1FbWsFZbFrI6tmehoF-Cm0Rg', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-2', 14, 'root-work', 'Root work, into 25 cm baskets', 'roots', 'planned', '2030-02-26', '2030-04-16', '2030-02-10', '2030-03-16', '2030-03-15', NULL, 'basket-25', '{"take": 0.5, "limit": 0.8, "wanted": 0.5}', false, 1032, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2030-03-19}, between {2030-03-03} and {2030-04-06} in eight years of ten), closes 5 days after bud break ({2030-04-11})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2030-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2030-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2030-04-06"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2030-04-11"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2030-03-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2030-04-28"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "1.8 growing seasons after ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.8}]}, {"rule": "order", "text": "After ‘Grade and cull’, planned for {2028-11-09}", "binding": false, "figures": []}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 50 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.95}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]', NULL, 0.99, '[{"key": "correct", "days": 560}, {"key": "grade", "days": 0}]', NULL, NULL, 'QxJ4yntfumzgdMg8EW-bKkp9ed8', NULL, NULL, NULL, '[{"unit": "L", "what": "mineral mix with a third of sieved bark", "amount": 357}, {"unit": "", "what": "chopstick to work dry mix in", "amount": null}, {"unit": "", "what": "mesh and wire clips", "amount": 86}, {"unit": "L", "what": "old mix, sieved, if healthy", "amount": 357}, {"unit": "m", "what": "tie-down wire", "amount": 43}]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-2.tie-check', 16, 'tie-check', 'Tie-downs: bite check; they stay until the next opening', 'care', 'planned', '2030-08-12', '2030-09-11', '2030-08-05', '2030-08-26', '2030-08-23', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Before the base has swollen by 3.8 mm since ‘Root work, into 25 cm baskets’ ({2030-03-15}), expected {2030-09-11}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the base may swell by", "value": 3.8}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 20}]}, {"rule": "order", "text": "After ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": []}]', 'roots-2', NULL, '[{"key": "roots-2", "days": 150}]', NULL, NULL, 'EXPq2wP2zo27ci1Yj5Jrejnq_Us', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-2.moss-off', 18, 'moss-off', 'Moss off, new growth shows', 'care', 'planned', '2030-05-06', '2030-06-10', '2030-04-26', '2030-05-20', '2030-05-18', NULL, NULL, NULL, false, 26, '[{"rule": "window", "text": "Once 0.12 of a growing season has passed since ‘Root work, into 25 cm baskets’ ({2030-03-15}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.12}]}, {"rule": "order", "text": "After ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": []}]', 'roots-2', NULL, '[{"key": "roots-2", "days": 52}]', NULL, NULL, 'O1qziL3RAniXBaIZ5P6zopTo5tQ', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-2.root-check', 19, 'root-check', 'Root check: lift and look at the holes', 'care', 'planned', '2030-09-25', '2030-11-09', '2030-09-15', '2030-10-09', '2030-10-11', NULL, NULL, NULL, false, 86, '[{"rule": "window", "text": "Once 0.8 of a growing season has passed since ‘Root work, into 25 cm baskets’ ({2030-03-15}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.8}]}, {"rule": "order", "text": "After ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": []}]', 'roots-2', NULL, '[{"key": "roots-2", "days": 194}]', NULL, NULL, 'cnL8XwMYRSdYSBYGDVO-GkWcZ_o', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'cut-back-1', 20, 'cut-back', 'Cut back leaders', 'top', 'planned', '2031-01-21', '2031-03-26', '2031-01-21', '2031-01-21', '2031-02-12', NULL, NULL, NULL, false, 172, '[{"rule": "window", "text": "Opens 20 days after midwinter ({2031-01-01}), closes 7 days after bud swell ({2031-03-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "midwinter expected", "value": "2031-01-01"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2031-01-01"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2031-01-01"}, {"unit": "days", "basis": "common practice", "label": "after midwinter", "value": 20}, {"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2031-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2031-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2031-04-06"}, {"unit": "days", "basis": "common practice", "label": "after bud swell", "value": 7}]}, {"rule": "order", "text": "0.8 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.8}]}]', NULL, NULL, '[{"key": "roots-2", "days": 194}]', NULL, NULL, 'wJdvplhPJffowPquPX_aiA5JLQA', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'measure-2', 21, 'measure', 'Measure a sample', 'care', 'planned', '2031-10-06', '2031-11-19', '2031-09-27', '2031-10-15', '2031-10-21', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2031-11-05}, between {2031-10-27} and {2031-11-14} in eight years of ten), closes 14 days after leaf fall ({2031-11-05})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2031-11-05", "source": "model in the form of Delpierre et al. 2009, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2031-10-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2031-11-14"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "After ‘Cut back leaders’, planned for {2031-02-12}", "binding": false, "figures": []}]', NULL, NULL, '[{"key": "cut-back-1", "days": 0}]', NULL, NULL, 'QeG3Sq1IrrZXvZX1kz0OtwA84Rk', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'half-chop', 22, 'half-chop', 'First half of the chop', 'top', 'planned', '2032-02-19', '2032-03-25', '2032-02-03', '2032-03-08', '2032-03-02', NULL, NULL, NULL, false, 430, '[{"rule": "window", "text": "Opens 28 days before bud swell ({2032-03-18}, between {2032-03-02} and {2032-04-05} in eight years of ten), closes 7 days after bud swell ({2032-03-18})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2032-03-18", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2032-03-02"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2032-04-05"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 28}]}, {"rule": "order", "text": "1.5 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.5}]}]', NULL, 0.99, '[{"key": "roots-2", "days": 496}]', NULL, NULL, 'syM1MxCEcYtrq-_qNtFCjtMxuFg', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'half-chop.shoot-choice', 25, 'shoot-choice', 'Choose among the shoots', 'top', 'planned', '2032-05-26', '2032-07-05', '2032-05-16', '2032-06-09', '2032-06-09', NULL, NULL, NULL, false, 258, '[{"rule": "window", "text": "Once 0.22 of a growing season has passed since ‘First half of the chop’ ({2032-03-02}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.22}]}, {"rule": "order", "text": "After ‘First half of the chop’, planned for {2032-03-02}", "binding": false, "figures": []}]', 'half-chop', NULL, '[{"key": "half-chop", "days": 85}]', NULL, NULL, 'CBZOkNncYHpPT9Lty--bpxAdQPE', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'chop', 26, 'chop', 'Chop to a low branch or bud', 'top', 'planned', '2033-02-19', '2033-03-26', '2033-02-03', '2033-03-09', '2033-03-03', NULL, NULL, NULL, false, 430, '[{"rule": "window", "text": "Opens 28 days before bud swell ({2033-03-19}, between {2033-03-03} and {2033-04-06} in eight years of ten), closes 7 days after bud swell ({2033-03-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2033-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2033-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2033-04-06"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 28}]}, {"rule": "order", "text": "1.5 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.5}]}, {"rule": "order", "text": "0.8 growing seasons after ‘First half of the chop’, planned for {2032-03-02}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.8}]}]', NULL, 0.98, '[{"key": "roots-2", "days": 496}, {"key": "half-chop", "days": 206}]', NULL, NULL, '3311zukV2mtAAVeHCEQjUPGgxKo', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'chop.shoot-choice', 30, 'shoot-choice', 'Choose among the shoots', 'top', 'planned', '2033-05-27', '2033-07-06', '2033-05-17', '2033-06-10', '2033-06-10', NULL, NULL, NULL, false, 258, '[{"rule": "window", "text": "Once 0.22 of a growing season has passed since ‘Chop to a low branch or bud’ ({2033-03-03}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.22}]}, {"rule": "order", "text": "After ‘Chop to a low branch or bud’, planned for {2033-03-03}", "binding": false, "figures": []}]', 'chop', NULL, '[{"key": "chop", "days": 85}]', NULL, NULL, 'iaByctRSGgkzYFX4an8XPeZWc-Y', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'chop.stub-off', 31, 'stub-off', 'Take the stub off', 'top', 'planned', '2034-06-12', '2034-08-01', '2034-06-01', '2034-06-24', '2034-06-30', NULL, NULL, NULL, false, 258, '[{"rule": "window", "text": "Opens at the first flush hardening ({2034-06-12}, between {2034-06-01} and {2034-06-24} in eight years of ten), closes 50 days after the first flush hardening ({2034-06-12})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "the first flush hardening expected", "value": "2034-06-12"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2034-06-01"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2034-06-24"}]}, {"rule": "order", "text": "1 growing season after ‘Chop to a low branch or bud’, planned for {2033-03-03}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1}]}]', 'chop', NULL, '[{"key": "chop", "days": 247}]', NULL, NULL, 'IGW5v6S2_FmUghFOQtilNwaPrpQ', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-3', 32, 'root-work', 'Root work, into 32 cm baskets', 'roots', 'planned', '2034-02-26', '2034-04-16', '2034-02-10', '2034-03-16', '2034-03-15', NULL, 'basket-32', '{"take": 0.5, "limit": 0.8, "wanted": 0.5}', false, 1032, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2034-03-19}, between {2034-03-03} and {2034-04-06} in eight years of ten), closes 5 days after bud break ({2034-04-11})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2034-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2034-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2034-04-06"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2034-04-11"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2034-03-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2034-04-28"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "0.8 growing seasons after ‘Chop to a low branch or bud’, planned for {2033-03-03}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.8}]}, {"rule": "order", "text": "2 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 2}]}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 50 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.94}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]', NULL, 0.99, '[{"key": "chop", "days": 206}, {"key": "roots-2", "days": 600}]', NULL, NULL, '5vWLnpDZuatEIYkBfiN8dCTYLmo', NULL, NULL, NULL, '[{"unit": "L", "what": "mineral mix with a third of sieved bark", "amount": 715}, {"unit": "", "what": "chopstick to work dry mix in", "amount": null}, {"unit": "", "what": "mesh and wire clips", "amount": 86}, {"unit": "L", "what": "old mix, sieved, if healthy", "amount": 715}, {"unit": "m", "what": "tie-down wire", "amount": 56}]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-3.tie-check', 34, 'tie-check', 'Tie-downs: bite check; they stay until the next opening', 'care', 'planned', '2034-10-06', '2034-11-05', '2034-09-29', '2034-10-20', '2034-10-17', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Before the base has swollen by 6.2 mm since ‘Root work, into 32 cm baskets’ ({2034-03-15}), expected {2034-11-05}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the base may swell by", "value": 6.2}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 20}]}, {"rule": "order", "text": "After ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": []}]', 'roots-3', NULL, '[{"key": "roots-3", "days": 205}]', NULL, NULL, 'rg7rd0EaxgHHsxfgEfZLO0o5Njk', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-3.moss-off', 36, 'moss-off', 'Moss off, new growth shows', 'care', 'planned', '2034-05-06', '2034-06-10', '2034-04-26', '2034-05-20', '2034-05-18', NULL, NULL, NULL, false, 26, '[{"rule": "window", "text": "Once 0.12 of a growing season has passed since ‘Root work, into 32 cm baskets’ ({2034-03-15}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.12}]}, {"rule": "order", "text": "After ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": []}]', 'roots-3', NULL, '[{"key": "roots-3", "days": 52}]', NULL, NULL, 'NZGw5lwhzfEJfTjzolv--WqW3eM', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'roots-3.root-check', 37, 'root-check', 'Root check: lift and look at the holes', 'care', 'planned', '2034-09-25', '2034-11-09', '2034-09-15', '2034-10-09', '2034-10-11', NULL, NULL, NULL, false, 86, '[{"rule": "window", "text": "Once 0.8 of a growing season has passed since ‘Root work, into 32 cm baskets’ ({2034-03-15}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.8}]}, {"rule": "order", "text": "After ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": []}]', 'roots-3', NULL, '[{"key": "roots-3", "days": 194}]', NULL, NULL, '8vdSiZs3VhnE5QZzQtSMqEBnHzc', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'grade-2', 38, 'grade', 'Grade and cull', 'care', 'planned', '2035-10-06', '2035-11-19', '2035-09-27', '2035-10-15', '2035-10-21', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2035-11-05}, between {2035-10-27} and {2035-11-14} in eight years of ten), closes 14 days after leaf fall ({2035-11-05})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2035-11-05", "source": "model in the form of Delpierre et al. 2009, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2035-10-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2035-11-14"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "1.5 growing seasons after ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.5}]}]', NULL, NULL, '[{"key": "roots-3", "days": 496}]', NULL, NULL, 'nxcfWJ44iskpc5NAV-csrWEEb0E', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'training', 39, 'training-pot', 'Into the training pot', 'roots', 'planned', '2036-02-26', '2036-04-15', '2036-02-10', '2036-03-15', '2036-03-14', NULL, 'training-22', '{"take": 0.5, "limit": 0.8, "wanted": 0.5}', false, 2150, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2036-03-18}, between {2036-03-02} and {2036-04-05} in eight years of ten), closes 5 days after bud break ({2036-04-10})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2036-03-18", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2036-03-02"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2036-04-05"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2036-04-10"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2036-03-26"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2036-04-27"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "1.8 growing seasons after ‘Root work, into 32 cm baskets’, planned for {2034-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.8}]}, {"rule": "order", "text": "After ‘Grade and cull’, planned for {2035-10-21}", "binding": false, "figures": []}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 50 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.95}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]', NULL, 0.99, '[{"key": "roots-3", "days": 559}, {"key": "grade-2", "days": 0}]', NULL, NULL, 'z0-x9TDXkjjIgMsT-_iwlR4XFfI', NULL, NULL, '{"to": 2037, "from": 2036, "likely": 2036}', '[{"unit": "L", "what": "mineral mix with a third of sieved bark", "amount": 104}, {"unit": "", "what": "chopstick to work dry mix in", "amount": null}, {"unit": "", "what": "mesh and wire clips", "amount": 86}, {"unit": "L", "what": "old mix, sieved, if healthy", "amount": 104}, {"unit": "m", "what": "tie-down wire", "amount": 38}]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'training.tie-check', 41, 'tie-check', 'Tie-downs: bite check; they stay until the next opening', 'care', 'planned', '2036-10-05', '2036-11-04', '2036-09-28', '2036-10-19', '2036-10-16', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Before the base has swollen by 7.6 mm since ‘Into the training pot’ ({2036-03-14}), expected {2036-11-04}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the base may swell by", "value": 7.6}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 20}]}, {"rule": "order", "text": "After ‘Into the training pot’, planned for {2036-03-14}", "binding": false, "figures": []}]', 'training', NULL, '[{"key": "training", "days": 205}]', NULL, NULL, 'vNlobPbNXnqm1bg34IwNUMeJpo0', NULL, NULL, NULL, '[]');
INSERT INTO public.course_step VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'training.root-check', 43, 'root-check', 'Root check: lift and look at the holes', 'care', 'planned', '2036-09-24', '2036-11-08', '2036-09-14', '2036-10-08', '2036-10-10', NULL, NULL, NULL, false, 86, '[{"rule": "window", "text": "Once 0.8 of a growing season has passed since ‘Into the training pot’ ({2036-03-14}): growth decides", "binding": true, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "growth wanted", "value": 0.8}]}, {"rule": "order", "text": "After ‘Into the training pot’, planned for {2036-03-14}", "binding": false, "figures": []}]', 'training', NULL, '[{"key": "training", "days": 194}]', NULL, NULL, '8YOLCYATMziZ1NA0xYb8V59u_jI', NULL, NULL, NULL, '[]');
INSERT INTO public.knex_migrations VALUES (1, '001-ground', 1, '2026-11-26 15:29:34.987+00');
INSERT INTO public.knex_migrations VALUES (2, '002-ledger', 1, '2026-11-26 15:29:35.012+00');
INSERT INTO public.knex_migrations VALUES (3, '003-schedule', 1, '2026-11-26 15:29:35.065+00');
INSERT INTO public.knex_migrations VALUES (4, '004-propagation', 1, '2026-11-26 15:29:35.151+00');
INSERT INTO public.knex_migrations VALUES (5, '005-any-climate', 1, '2026-11-26 15:29:35.161+00');
INSERT INTO public.knex_migrations_lock VALUES (1, 0);
INSERT INTO public.ledger_entry VALUES ('bc839d3b-292a-4502-a9cb-3d42e02e03b5', 1, '85a51546-c1c1-483d-9774-944918757cbf', 'started', '2026-03-01', '2026-03-01', 120, 'seed', NULL, NULL, '', NULL, NULL, '4bbab8f2-45e9-46ce-a4ef-5368ee17d167', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:36.183134+00', NULL);
INSERT INTO public.ledger_entry VALUES ('46a7fbed-48ed-4d67-9170-249c849b0d47', 2, '85a51546-c1c1-483d-9774-944918757cbf', 'lost_before_emergence', '2026-05-01', '2026-05-01', 30, NULL, NULL, 'rot', '', NULL, NULL, '41557aaa-b6c6-4843-bfb2-9c3c1bf286c3', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:37.03869+00', NULL);
INSERT INTO public.ledger_entry VALUES ('3ce98bf4-6e2a-40a9-9dde-cba7d7172069', 3, '85a51546-c1c1-483d-9774-944918757cbf', 'emerged', '2026-05-01', '2026-05-01', 90, NULL, NULL, NULL, '', NULL, NULL, '41557aaa-b6c6-4843-bfb2-9c3c1bf286c3', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:37.03869+00', NULL);
INSERT INTO public.ledger_entry VALUES ('51bbcd6d-cfc8-41c9-be41-1d2326ea50bb', 4, '85a51546-c1c1-483d-9774-944918757cbf', 'lost', '2026-06-01', '2026-06-01', 4, NULL, NULL, 'slugs', '', NULL, NULL, 'c0894f36-b39c-4fd5-8b80-17ca9e60e16c', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:37.122241+00', NULL);
INSERT INTO public.nursery VALUES (true, '1c84d1b0-0fdd-49c2-99fb-94434394388e', 'Tessary Bank', 52, 0, 40, 'UTC', '{1,1,2,4,7,10,12,12,10,7,4,2}', '{7,7,10,13,17,20,22,22,19,14,10,7}', 4, 3, NULL, NULL, NULL, NULL, 1, '{}', NULL);
INSERT INTO public.person VALUES ('a56fadf0-6ffa-449b-bfec-95ff4cf828a4', 'Ines Tessary', 'owner', '$argon2id$v=19$m=65536,t=3,p=4$eNMaLu3UCM/vw8f3q7Sngg$0hk6o8xhetB/iz/HxMYTKlVy7iWAe771GNtJjUtrNGY', 1, '2026-11-26 15:29:36.141313+00', 0, false);
INSERT INTO public.place OVERRIDING SYSTEM VALUE VALUES ('ac78c140-cda6-418f-a3a2-39710d0ba2f2', 'Outdoors', 'outdoors', 0, 0, NULL, 1, 1, 'full');
INSERT INTO public.plan_change VALUES ('d60e5bc1-f960-42be-849c-d056ee38da2d', '85a51546-c1c1-483d-9774-944918757cbf', '2026-11-26 15:29:37.03869+00', '2026-11-26', '‘Count emergence’ was recorded', 'sow.guard-on.guard-off', 'Cover off', NULL, '2026-05-09', NULL, '2026-05-21', '{"rule": "window", "text": "Off before tips reach the cover: 60 mm clear, half up by {2026-05-01}", "binding": true, "figures": [{"unit": "mm", "basis": "common practice", "label": "clearance", "value": 60}, {"unit": "mm a day", "basis": "common practice", "label": "seedlings grow", "value": 2.5}]}');
INSERT INTO public.plan_change VALUES ('d7f24f2a-15ac-4090-b54f-74496a598d42', '85a51546-c1c1-483d-9774-944918757cbf', '2026-11-26 15:29:37.03869+00', '2026-11-26', '‘Count emergence’ was recorded', 'cells', 'Pot on into air-pruning cells', '2026-12-21', '2027-02-09', '2026-05-26', '2026-07-15', '{"rule": "order", "text": "25 days after ‘Count emergence’, done {2026-05-01}", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 25}]}');
INSERT INTO public.plan_change VALUES ('3d465834-0d4c-49ff-a473-02852a4214f3', '85a51546-c1c1-483d-9774-944918757cbf', '2026-11-26 15:29:37.03869+00', '2026-11-26', '‘Count emergence’ was recorded', 'correct.tie-check', 'Tie-downs: bite check; they stay until the next opening', '2028-06-06', '2028-07-06', '2028-06-07', '2028-07-07', '{"rule": "window", "text": "Before the base has swollen by 2 mm since ‘First root correction, into 18 cm baskets’ ({2028-03-14}), expected {2028-07-07}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the base may swell by", "value": 2}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 20}]}');
INSERT INTO public.plan_change VALUES ('4d62cf54-9971-4c97-bd7c-f0378fb55113', '85a51546-c1c1-483d-9774-944918757cbf', '2026-11-26 15:29:37.122241+00', '2026-11-26', 'a look was recorded', 'wire-1.wire-check', 'Wire check: off, on or again', '2028-05-29', '2028-06-19', '2028-05-30', '2028-06-20', '{"rule": "window", "text": "Before the stem has swollen by 2.1 mm since ‘First wiring’ ({2028-03-14}), expected {2028-06-20}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the stem may swell by", "value": 2.1}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 35}]}');
INSERT INTO public.plan_change VALUES ('f8ab62e5-d8d6-485f-b06b-7a717af1e50d', '85a51546-c1c1-483d-9774-944918757cbf', '2026-11-26 15:29:37.122241+00', '2026-11-26', 'a look was recorded', 'roots-2.tie-check', 'Tie-downs: bite check; they stay until the next opening', '2030-08-11', '2030-09-10', '2030-08-12', '2030-09-11', '{"rule": "window", "text": "Before the base has swollen by 3.8 mm since ‘Root work, into 25 cm baskets’ ({2030-03-15}), expected {2030-09-11}", "binding": true, "figures": [{"unit": "mm", "basis": "computed", "label": "the base may swell by", "value": 3.8}, {"unit": "%", "basis": "common practice", "label": "share of its thickness", "value": 20}]}');
INSERT INTO public.record OVERRIDING SYSTEM VALUE VALUES ('4bbab8f2-45e9-46ce-a4ef-5368ee17d167', 1, '85a51546-c1c1-483d-9774-944918757cbf', 'work', 'sow', NULL, '2026-03-01', NULL, NULL, 120, true, 'seed-flat', NULL, NULL, NULL, '{"heights": [], "calipers": []}', NULL, NULL, NULL, '', '', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:36.183134+00', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, false, NULL);
INSERT INTO public.record OVERRIDING SYSTEM VALUE VALUES ('41557aaa-b6c6-4843-bfb2-9c3c1bf286c3', 2, '85a51546-c1c1-483d-9774-944918757cbf', 'work', 'emergence', NULL, '2026-05-01', NULL, NULL, NULL, true, NULL, NULL, NULL, NULL, '{"heights": [], "calipers": []}', NULL, NULL, NULL, '', '', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:37.03869+00', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, false, NULL);
INSERT INTO public.record OVERRIDING SYSTEM VALUE VALUES ('c0894f36-b39c-4fd5-8b80-17ca9e60e16c', 3, '85a51546-c1c1-483d-9774-944918757cbf', 'look', NULL, NULL, '2026-06-01', NULL, NULL, NULL, true, NULL, NULL, 2.25, NULL, '{"heights": [], "calipers": [2, 2.5]}', NULL, 3, NULL, 'A look.', '', 'a56fadf0-6ffa-449b-bfec-95ff4cf828a4', '2026-11-26 15:29:37.122241+00', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, false, NULL);
INSERT INTO public.session VALUES ('oq0qPqrCZf-1YZZzbVaqvY7ZiEHdgyOf', '{"_csrf": "P45Jerq7oAFaEpi3TYs482Dm", "cookie": {"path": "/api", "domain": null, "secure": false, "expires": "2026-12-10T15:29:36.154Z", "httpOnly": true, "sameSite": "strict", "originalMaxAge": 1209600000, "originalExpires": "2026-12-10T15:29:35.780Z"}, "person": {"id": "a56fadf0-6ffa-449b-bfec-95ff4cf828a4", "name": "Ines Tessary", "role": "owner", "version": 1}}', '2026-12-10 15:29:36.154+00');
INSERT INTO public.write_receipt VALUES ('85a51546-c1c1-483d-9774-944918757cbf', 'cohort', '662a6439e75f0f40ecc793580aa6804b023abb62321092eb07799ca8877f0279', '{"value":{"recordId":"85a51546-c1c1-483d-9774-944918757cbf","live":0,"pending":120,"moved":[]}}', '2026-11-26 15:29:36.183134+00');
INSERT INTO public.write_receipt VALUES ('41557aaa-b6c6-4843-bfb2-9c3c1bf286c3', 'record', '012d1b9bd56496adb0e243c05d04dc742d6f58d49a47f44c5da74b913d657602', '{"value":{"recordId":"41557aaa-b6c6-4843-bfb2-9c3c1bf286c3","live":90,"pending":0,"moved":[{"key":"sow.guard-on.guard-off","title":"Cover off","was":{"opens":null,"closes":"2026-05-09"},"now":{"opens":null,"closes":"2026-05-21"},"days":null,"because":{"rule":"window","text":"Off before tips reach the cover: 60 mm clear, half up by {2026-05-01}","figures":[{"label":"clearance","value":60,"unit":"mm","basis":"common practice"},{"label":"seedlings grow","value":2.5,"unit":"mm a day","basis":"common practice"}],"binding":true}},{"key":"cells","title":"Pot on into air-pruning cells","was":{"opens":"2026-12-21","closes":"2027-02-09"},"now":{"opens":"2026-05-26","closes":"2026-07-15"},"days":-209,"because":{"rule":"order","text":"25 days after ‘Count emergence’, done {2026-05-01}","figures":[{"label":"lag","value":25,"unit":"days","basis":"common practice"}],"binding":true}},{"key":"correct.tie-check","title":"Tie-downs: bite check; they stay until the next opening","was":{"opens":"2028-06-06","closes":"2028-07-06"},"now":{"opens":"2028-06-07","closes":"2028-07-07"},"days":1,"because":{"rule":"window","text":"Before the base has swollen by 2 mm since ‘First root correction, into 18 cm baskets’ ({2028-03-14}), expected {2028-07-07}","figures":[{"label":"the base may swell by","value":2,"unit":"mm","basis":"computed"},{"label":"share of its thickness","value":20,"unit":"%","basis":"common practice"}],"binding":true}}]}}', '2026-11-26 15:29:37.03869+00');
INSERT INTO public.write_receipt VALUES ('c0894f36-b39c-4fd5-8b80-17ca9e60e16c', 'record', '0ce64a77a22a3e4a0aa2db244e9ac2a67ea6b29c8274b6da9d43d6145e7e78ff', '{"value":{"recordId":"c0894f36-b39c-4fd5-8b80-17ca9e60e16c","live":86,"pending":0,"moved":[{"key":"wire-1.wire-check","title":"Wire check: off, on or again","was":{"opens":"2028-05-29","closes":"2028-06-19"},"now":{"opens":"2028-05-30","closes":"2028-06-20"},"days":1,"because":{"rule":"window","text":"Before the stem has swollen by 2.1 mm since ‘First wiring’ ({2028-03-14}), expected {2028-06-20}","figures":[{"label":"the stem may swell by","value":2.1,"unit":"mm","basis":"computed"},{"label":"share of its thickness","value":35,"unit":"%","basis":"common practice"}],"binding":true}},{"key":"roots-2.tie-check","title":"Tie-downs: bite check; they stay until the next opening","was":{"opens":"2030-08-11","closes":"2030-09-10"},"now":{"opens":"2030-08-12","closes":"2030-09-11"},"days":1,"because":{"rule":"window","text":"Before the base has swollen by 3.8 mm since ‘Root work, into 25 cm baskets’ ({2030-03-15}), expected {2030-09-11}","figures":[{"label":"the base may swell by","value":3.8,"unit":"mm","basis":"computed"},{"label":"share of its thickness","value":20,"unit":"%","basis":"common practice"}],"binding":true}}]}}', '2026-11-26 15:29:37.122241+00');
SELECT pg_catalog.setval('public.identity_seq_seq', 1, false);
SELECT pg_catalog.setval('public.knex_migrations_id_seq', 5, true);
SELECT pg_catalog.setval('public.knex_migrations_lock_index_seq', 1, true);
SELECT pg_catalog.setval('public.layer_event_seq_seq', 1, false);
SELECT pg_catalog.setval('public.ledger_entry_seq_seq', 4, true);
SELECT pg_catalog.setval('public.observation_seq_seq', 1, false);
SELECT pg_catalog.setval('public.place_sort_seq', 1, true);
SELECT pg_catalog.setval('public.record_seq_seq', 3, true);
SELECT pg_catalog.setval('public.seed_event_seq_seq', 1, false);
SELECT pg_catalog.setval('public.tally_seq_seq', 1, false);
SELECT pg_catalog.setval('public.tray_mark_seq_seq', 1, false);
ALTER TABLE ONLY public.absence
    ADD CONSTRAINT absence_pkey PRIMARY KEY (person_id, week);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_code_key UNIQUE (code);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_tag_key UNIQUE (tag);
ALTER TABLE ONLY public.container_stock
    ADD CONSTRAINT container_stock_pkey PRIMARY KEY (container);
ALTER TABLE ONLY public.course_step
    ADD CONSTRAINT course_step_pkey PRIMARY KEY (cohort_id, key);
ALTER TABLE ONLY public.identity
    ADD CONSTRAINT identity_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.knex_migrations_lock
    ADD CONSTRAINT knex_migrations_lock_pkey PRIMARY KEY (index);
ALTER TABLE ONLY public.knex_migrations
    ADD CONSTRAINT knex_migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.layer_event
    ADD CONSTRAINT layer_event_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.layer
    ADD CONSTRAINT layer_pkey PRIMARY KEY (cohort_id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_reverses_key UNIQUE (reverses);
ALTER TABLE ONLY public.locked_week
    ADD CONSTRAINT locked_week_pkey PRIMARY KEY (week);
ALTER TABLE ONLY public.nursery
    ADD CONSTRAINT nursery_pkey PRIMARY KEY (only_one);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_withdraws_key UNIQUE (withdraws);
ALTER TABLE ONLY public.person
    ADD CONSTRAINT person_name_key UNIQUE (name);
ALTER TABLE ONLY public.person
    ADD CONSTRAINT person_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.picture
    ADD CONSTRAINT picture_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.place
    ADD CONSTRAINT place_name_key UNIQUE (name);
ALTER TABLE ONLY public.place
    ADD CONSTRAINT place_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plan_change
    ADD CONSTRAINT plan_change_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_tag_key UNIQUE (tag);
ALTER TABLE ONLY public.programme
    ADD CONSTRAINT programme_pkey PRIMARY KEY (id, version);
ALTER TABLE ONLY public.protection
    ADD CONSTRAINT protection_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_undoes_key UNIQUE (undoes);
ALTER TABLE ONLY public.seed_event
    ADD CONSTRAINT seed_event_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.seed_lot
    ADD CONSTRAINT seed_lot_name_key UNIQUE (name);
ALTER TABLE ONLY public.seed_lot
    ADD CONSTRAINT seed_lot_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_pkey PRIMARY KEY (sid);
ALTER TABLE ONLY public.setting
    ADD CONSTRAINT setting_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.start_goal
    ADD CONSTRAINT start_goal_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.station_reading
    ADD CONSTRAINT station_reading_pkey PRIMARY KEY (at);
ALTER TABLE ONLY public.tally
    ADD CONSTRAINT tally_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.tray_cell_entry
    ADD CONSTRAINT tray_cell_entry_pkey PRIMARY KEY (tray_id, cell, entry_id);
ALTER TABLE ONLY public.tray_cell
    ADD CONSTRAINT tray_cell_pkey PRIMARY KEY (tray_id, cell);
ALTER TABLE ONLY public.tray
    ADD CONSTRAINT tray_cohort_id_name_key UNIQUE (cohort_id, name);
ALTER TABLE ONLY public.tray_mark
    ADD CONSTRAINT tray_mark_pkey PRIMARY KEY (id, cell);
ALTER TABLE ONLY public.tray
    ADD CONSTRAINT tray_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.weather_day
    ADD CONSTRAINT weather_day_pkey PRIMARY KEY (on_date);
ALTER TABLE ONLY public.write_receipt
    ADD CONSTRAINT write_receipt_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.year_week
    ADD CONSTRAINT year_week_pkey PRIMARY KEY (cohort_id, key);
CREATE INDEX cohort_of_host ON public.cohort USING btree (host_id) WHERE (host_id IS NOT NULL);
CREATE INDEX cohort_of_parent ON public.cohort USING btree (parent_id) WHERE (parent_id IS NOT NULL);
CREATE INDEX cohort_of_place ON public.cohort USING btree (place_id) WHERE growing;
CREATE INDEX cohort_split_from ON public.cohort USING btree (split_from) WHERE (split_from IS NOT NULL);
CREATE INDEX course_step_chain ON public.course_step USING btree (cohort_id, chain) WHERE ((status = 'planned'::text) AND (chain IS NOT NULL));
CREATE INDEX course_step_done ON public.course_step USING btree (done_on) WHERE (status = 'done'::text);
CREATE INDEX course_step_open ON public.course_step USING btree (opens, closes) WHERE ((status = 'planned'::text) AND ready);
CREATE INDEX identity_of_cohort ON public.identity USING btree (cohort_id, seq DESC);
CREATE INDEX layer_event_of_layer ON public.layer_event USING btree (cohort_id, seq);
CREATE INDEX layer_of_parent ON public.layer USING btree (parent_id);
CREATE INDEX ledger_of_cohort ON public.ledger_entry USING btree (cohort_id, on_date, seq);
CREATE INDEX ledger_of_record ON public.ledger_entry USING btree (record_id) WHERE (record_id IS NOT NULL);
CREATE INDEX ledger_of_transfer ON public.ledger_entry USING btree (transfer_id) WHERE (transfer_id IS NOT NULL);
CREATE INDEX picture_of_cohort ON public.picture USING btree (cohort_id, on_date DESC);
CREATE INDEX plan_change_of_cohort ON public.plan_change USING btree (cohort_id, at DESC);
CREATE INDEX protection_of_cohort ON public.protection USING btree (cohort_id);
CREATE INDEX record_of_cohort ON public.record USING btree (cohort_id, seq);
CREATE INDEX record_that_follows ON public.record USING btree (follows) WHERE (follows IS NOT NULL);
CREATE INDEX seed_event_of_lot ON public.seed_event USING btree (lot_id, seq);
CREATE INDEX session_expires ON public.session USING btree (expires);
CREATE INDEX tally_of_cohort ON public.tally USING btree (cohort_id, seq DESC);
CREATE INDEX tray_cell_of_entry ON public.tray_cell_entry USING btree (entry_id);
CREATE INDEX tray_mark_of_tray ON public.tray_mark USING btree (tray_id, seq);
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.identity FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.layer_event FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.ledger_entry FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.observation FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.programme FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.record FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.seed_event FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.tally FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.tray_mark FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only_all BEFORE TRUNCATE ON public.ledger_entry FOR EACH STATEMENT EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only_all BEFORE TRUNCATE ON public.record FOR EACH STATEMENT EXECUTE FUNCTION public.refuse_change();
CREATE CONSTRAINT TRIGGER balance_transfer AFTER INSERT ON public.ledger_entry DEFERRABLE INITIALLY DEFERRED FOR EACH ROW WHEN ((new.transfer_id IS NOT NULL)) EXECUTE FUNCTION public.balance_transfer();
CREATE TRIGGER keep_counts AFTER INSERT ON public.ledger_entry REFERENCING NEW TABLE AS entered FOR EACH STATEMENT EXECUTE FUNCTION public.keep_counts();
ALTER TABLE ONLY public.absence
    ADD CONSTRAINT absence_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_goal_id_fkey FOREIGN KEY (goal_id) REFERENCES public.start_goal(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_host_id_fkey FOREIGN KEY (host_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_lot_id_fkey FOREIGN KEY (lot_id) REFERENCES public.seed_lot(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_parent_id_fkey FOREIGN KEY (parent_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_place_id_fkey FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_split_from_fkey FOREIGN KEY (split_from) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.course_step
    ADD CONSTRAINT course_step_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.identity
    ADD CONSTRAINT identity_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.identity
    ADD CONSTRAINT identity_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.layer
    ADD CONSTRAINT layer_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.layer_event
    ADD CONSTRAINT layer_event_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.layer(cohort_id);
ALTER TABLE ONLY public.layer_event
    ADD CONSTRAINT layer_event_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.layer_event
    ADD CONSTRAINT layer_event_record_id_fkey FOREIGN KEY (record_id) REFERENCES public.record(id);
ALTER TABLE ONLY public.layer
    ADD CONSTRAINT layer_parent_id_fkey FOREIGN KEY (parent_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_damage_id_fkey FOREIGN KEY (damage_id) REFERENCES public.ledger_entry(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_record_id_fkey FOREIGN KEY (record_id) REFERENCES public.record(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_reverses_fkey FOREIGN KEY (reverses) REFERENCES public.ledger_entry(id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_place_id_fkey FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.observation
    ADD CONSTRAINT observation_withdraws_fkey FOREIGN KEY (withdraws) REFERENCES public.observation(id);
ALTER TABLE ONLY public.picture
    ADD CONSTRAINT picture_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.picture
    ADD CONSTRAINT picture_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.picture
    ADD CONSTRAINT picture_record_id_fkey FOREIGN KEY (record_id) REFERENCES public.record(id);
ALTER TABLE ONLY public.plan_change
    ADD CONSTRAINT plan_change_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_entry_id_fkey FOREIGN KEY (entry_id) REFERENCES public.ledger_entry(id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_own_cohort_id_fkey FOREIGN KEY (own_cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.programme
    ADD CONSTRAINT programme_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.protection
    ADD CONSTRAINT protection_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.protection
    ADD CONSTRAINT protection_ended_by_fkey FOREIGN KEY (ended_by) REFERENCES public.record(id);
ALTER TABLE ONLY public.protection
    ADD CONSTRAINT protection_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.protection
    ADD CONSTRAINT protection_record_id_fkey FOREIGN KEY (record_id) REFERENCES public.record(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_follows_fkey FOREIGN KEY (follows) REFERENCES public.record(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_place_before_fkey FOREIGN KEY (place_before) REFERENCES public.place(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_place_id_fkey FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_undoes_fkey FOREIGN KEY (undoes) REFERENCES public.record(id);
ALTER TABLE ONLY public.seed_event
    ADD CONSTRAINT seed_event_lot_id_fkey FOREIGN KEY (lot_id) REFERENCES public.seed_lot(id);
ALTER TABLE ONLY public.seed_event
    ADD CONSTRAINT seed_event_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.seed_lot
    ADD CONSTRAINT seed_lot_parent_id_fkey FOREIGN KEY (parent_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.start_goal
    ADD CONSTRAINT start_goal_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.start_goal
    ADD CONSTRAINT start_goal_place_id_fkey FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.tally
    ADD CONSTRAINT tally_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.tally
    ADD CONSTRAINT tally_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.tray_cell_entry
    ADD CONSTRAINT tray_cell_entry_entry_id_fkey FOREIGN KEY (entry_id) REFERENCES public.ledger_entry(id);
ALTER TABLE ONLY public.tray_cell_entry
    ADD CONSTRAINT tray_cell_entry_tray_id_cell_fkey FOREIGN KEY (tray_id, cell) REFERENCES public.tray_cell(tray_id, cell);
ALTER TABLE ONLY public.tray_cell
    ADD CONSTRAINT tray_cell_tray_id_fkey FOREIGN KEY (tray_id) REFERENCES public.tray(id);
ALTER TABLE ONLY public.tray
    ADD CONSTRAINT tray_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.tray_mark
    ADD CONSTRAINT tray_mark_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.tray_mark
    ADD CONSTRAINT tray_mark_tray_id_fkey FOREIGN KEY (tray_id) REFERENCES public.tray(id);
ALTER TABLE ONLY public.year_week
    ADD CONSTRAINT year_week_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);

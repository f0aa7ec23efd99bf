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
      SELECT coalesce(sum(CASE l.type WHEN 'split_in' THEN l.count WHEN 'split_out' THEN -l.count ELSE 0 END), 0)
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
    school text,
    goal text DEFAULT ''::text NOT NULL,
    goal_caliper double precision,
    note text DEFAULT ''::text NOT NULL,
    live integer DEFAULT 0 NOT NULL,
    pending integer DEFAULT 0 NOT NULL,
    emerged integer DEFAULT 0 NOT NULL,
    rings jsonb DEFAULT '[]'::jsonb NOT NULL,
    ends_on date,
    next_title text,
    next_opens date,
    next_closes date,
    next_rule text,
    version integer DEFAULT 1 NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    growing boolean GENERATED ALWAYS AS (((live > 0) OR ((pending > 0) AND (emerged = 0)))) STORED,
    CONSTRAINT cohort_emerged_check CHECK ((emerged >= 0)),
    CONSTRAINT cohort_live_check CHECK ((live >= 0)),
    CONSTRAINT cohort_pending_check CHECK ((pending >= 0))
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
    reasons jsonb NOT NULL
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
    CONSTRAINT ledger_entry_check CHECK ((to_date >= on_date)),
    CONSTRAINT ledger_entry_check1 CHECK (((type = 'reversed'::text) = (reverses IS NOT NULL))),
    CONSTRAINT ledger_entry_check2 CHECK (((type = ANY (ARRAY['split_in'::text, 'split_out'::text])) <= (transfer_id IS NOT NULL))),
    CONSTRAINT ledger_entry_count_check CHECK ((count >= 0)),
    CONSTRAINT ledger_entry_into_count_check CHECK ((into_count >= 0)),
    CONSTRAINT ledger_entry_type_check CHECK ((type = ANY (ARRAY['started'::text, 'lost_before_emergence'::text, 'emerged'::text, 'potted'::text, 'lost'::text, 'culled'::text, 'split_out'::text, 'split_in'::text, 'fused'::text, 'promoted'::text, 'sold'::text, 'given'::text, 'recount'::text, 'reversed'::text]))),
    CONSTRAINT ledger_entry_unit_check CHECK ((unit = ANY (ARRAY['seed'::text, 'plant'::text])))
);
ALTER TABLE public.ledger_entry ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.ledger_entry_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
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
    CONSTRAINT nursery_only_one_check CHECK (only_one),
    CONSTRAINT nursery_tmax_check CHECK ((cardinality(tmax) = 12)),
    CONSTRAINT nursery_tmin_check CHECK ((cardinality(tmin) = 12))
);
CREATE TABLE public.person (
    id uuid NOT NULL,
    name text NOT NULL,
    role text NOT NULL,
    password_hash text,
    version integer DEFAULT 1 NOT NULL,
    created_at timestamp with time zone DEFAULT now() NOT NULL,
    CONSTRAINT person_role_check CHECK ((role = ANY (ARRAY['helper'::text, 'grower'::text, 'owner'::text])))
);
CREATE TABLE public.place (
    id uuid NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    night double precision NOT NULL,
    day double precision NOT NULL,
    heated_to double precision,
    sort integer NOT NULL,
    version integer DEFAULT 1 NOT NULL
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
    promoted_on date NOT NULL
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
    CONSTRAINT record_check CHECK (((kind = 'undo'::text) = (undoes IS NOT NULL))),
    CONSTRAINT record_check1 CHECK (((kind = 'put off'::text) = (until IS NOT NULL))),
    CONSTRAINT record_kind_check CHECK ((kind = ANY (ARRAY['work'::text, 'look'::text, 'put off'::text, 'undo'::text])))
);
ALTER TABLE public.record ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.record_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
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
ALTER TABLE ONLY public.knex_migrations ALTER COLUMN id SET DEFAULT nextval('public.knex_migrations_id_seq'::regclass);
ALTER TABLE ONLY public.knex_migrations_lock ALTER COLUMN index SET DEFAULT nextval('public.knex_migrations_lock_index_seq'::regclass);
INSERT INTO public.cohort VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'FM-26', 'acer-campestre', 'seed', '749de4c6-c8f8-4ad8-8320-4add49d427db', 'seed-flat', 'seed-broadleaf', '{"id": "seed-broadleaf", "name": "Seed-raised broadleaf, in baskets", "steps": [{"key": "sow", "after": [], "container": "seed-flat", "operation": "sow"}, {"key": "emergence", "after": [{"step": "sow"}], "operation": "emergence-count"}, {"key": "mesh-off", "after": [{"days": 14, "step": "emergence"}], "operation": "mesh-off"}, {"key": "cells", "after": [{"days": 25, "step": "emergence"}], "title": "Pot on into air-pruning cells", "container": "cell-60", "operation": "pot-on"}, {"key": "measure-1", "after": [{"step": "cells"}], "operation": "measure"}, {"key": "correct", "after": [{"step": "cells", "seasons": 0.4}], "title": "First root correction, into 18 cm baskets", "container": "basket-18", "operation": "root-correct"}, {"key": "look-1", "after": [{"step": "correct"}], "operation": "survival-look"}, {"key": "feed-1", "after": [{"step": "correct"}], "operation": "first-feed"}, {"key": "wire-1", "after": [{"step": "correct", "seasons": 0.8}], "operation": "wire", "conditions": [{"unit": "mm", "atLeast": 250, "measure": "height"}]}, {"key": "wire-check-1", "after": [{"step": "wire-1"}], "operation": "wire-check"}, {"key": "grade", "after": [{"step": "wire-check-1"}], "operation": "grade"}, {"key": "roots-2", "after": [{"step": "correct", "seasons": 1.8}, {"step": "grade"}], "title": "Root work, into 25 cm baskets", "container": "basket-25", "operation": "root-work"}, {"key": "look-2", "after": [{"step": "roots-2"}], "operation": "survival-look"}, {"key": "cut-back-1", "after": [{"step": "roots-2", "seasons": 0.8}], "operation": "cut-back"}, {"key": "measure-2", "after": [{"step": "cut-back-1"}], "operation": "measure"}, {"key": "chop", "after": [{"step": "roots-2", "seasons": 1.5}], "operation": "chop", "conditions": [{"unit": "mm", "atLeast": 22, "measure": "caliper"}]}, {"key": "shoots", "after": [{"step": "chop"}], "operation": "shoot-choice"}, {"key": "roots-3", "after": [{"step": "chop", "seasons": 0.8}, {"step": "roots-2", "seasons": 2}], "title": "Root work, into 32 cm baskets", "container": "basket-32", "operation": "root-work"}, {"key": "look-3", "after": [{"step": "roots-3"}], "operation": "survival-look"}, {"key": "grade-2", "after": [{"step": "roots-3", "seasons": 1.5}], "operation": "grade"}, {"key": "training", "after": [{"step": "roots-3", "seasons": 1.8}, {"step": "grade-2"}], "container": "training-22", "operation": "training-pot", "conditions": [{"unit": "mm", "atLeast": 35, "measure": "caliper"}]}, {"key": "look-4", "after": [{"step": "training"}], "operation": "survival-look"}], "method": "seed", "school": null, "vigour": 4, "summary": "Seed to a 40 mm trunk in air-pruning baskets, first chop at 22 mm"}', '2026-03-01', '2026-03-01', '2026-03-01', NULL, NULL, 'seed-flat', NULL, NULL, NULL, '', 40, '', 86, 0, 90, '[{"season": 2026, "caliper": 3.6, "measured": true}, {"season": 2027, "caliper": 7.1, "measured": false}, {"season": 2028, "caliper": 13.6, "measured": false}, {"season": 2029, "caliper": 17.7, "measured": false}, {"season": 2030, "caliper": 22.5, "measured": false}, {"season": 2031, "caliper": 26.2, "measured": false}, {"season": 2032, "caliper": 28.1, "measured": false}, {"season": 2033, "caliper": 32, "measured": false}, {"season": 2034, "caliper": 35.7, "measured": false}, {"season": 2035, "caliper": 36.7, "measured": false}]', '2035-03-31', 'Mesh off', '2026-05-15', '2026-06-10', 'order', 1, '2026-11-26 15:29:13.607621+00', DEFAULT);
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'sow', 0, 'sow', 'Sow', 'container', 'done', NULL, NULL, NULL, NULL, NULL, '2026-03-01', 'seed-flat', NULL, true, 18, '[]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'emergence', 1, 'emergence-count', 'Count emergence', 'care', 'done', NULL, NULL, NULL, NULL, NULL, '2026-05-01', NULL, NULL, true, 9, '[]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'mesh-off', 2, 'mesh-off', 'Mesh off', 'care', 'planned', '2026-05-15', '2026-06-10', '2026-05-15', '2026-05-15', '2026-11-26', NULL, NULL, NULL, true, 9, '[{"rule": "window", "text": "14 to 40 days after ‘Count emergence’ ({2026-05-01})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 14}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 40}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "14 days after ‘Count emergence’, done {2026-05-01}", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 14}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'look-3', 18, 'survival-look', 'Two-week look', 'care', 'planned', '2033-03-27', '2033-04-08', '2033-03-27', '2033-03-27', '2033-03-31', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘Root work, into 32 cm baskets’ ({2033-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Root work, into 32 cm baskets’, planned for {2033-03-15}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'cells', 3, 'pot-on', 'Pot on into air-pruning cells', 'container', 'planned', '2026-05-26', '2026-07-15', '2026-05-26', '2026-05-26', '2026-11-26', NULL, 'cell-60', '{"take": 0.15, "limit": 0.8, "wanted": 0.15}', true, 172, '[{"rule": "window", "text": "25 to 75 days after ‘Count emergence’ ({2026-05-01})", "binding": false, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 25}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 75}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "25 days after ‘Count emergence’, done {2026-05-01}", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 25}]}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 15 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.8}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'measure-1', 4, 'measure', 'Measure a sample', 'care', 'planned', '2026-11-26', '2026-12-03', '2026-11-26', '2026-11-26', '2026-11-28', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2026-11-19}, between {2026-11-07} and {2026-11-30} in eight years of ten), closes 14 days after leaf fall ({2026-11-19})", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2026-11-19"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2026-11-07"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2026-11-30"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Pot on into air-pruning cells’, planned for {2026-11-26}", "binding": true, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'correct', 5, 'root-correct', 'First root correction, into 18 cm baskets', 'roots', 'planned', '2028-02-26', '2028-04-15', '2028-02-10', '2028-03-15', '2028-03-14', NULL, 'basket-18', '{"take": 0.6, "limit": 0.8, "wanted": 0.6}', false, 516, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2028-03-18}, between {2028-03-02} and {2028-04-05} in eight years of ten), closes 5 days after bud break ({2028-04-10})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2028-03-18", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2028-03-02"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2028-04-05"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2028-04-10"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2028-03-26"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2028-04-27"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "0.4 growing seasons after ‘Pot on into air-pruning cells’, planned for {2026-11-26}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.4}]}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 60 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.66}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'look-1', 6, 'survival-look', 'Two-week look', 'care', 'planned', '2028-03-26', '2028-04-07', '2028-03-26', '2028-03-26', '2028-03-30', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘First root correction, into 18 cm baskets’ ({2028-03-14})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'feed-1', 7, 'first-feed', 'First feed after root work', 'care', 'planned', '2028-04-11', '2028-05-09', '2028-04-11', '2028-04-11', '2028-04-21', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "28 to 56 days after ‘First root correction, into 18 cm baskets’ ({2028-03-14})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 28}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 56}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'wire-1', 8, 'wire', 'Wire movement into stems', 'top', 'planned', '2029-01-21', '2029-03-26', '2029-01-21', '2029-01-21', '2029-02-12', NULL, NULL, NULL, false, 688, '[{"rule": "window", "text": "Opens 20 days after midwinter ({2029-01-01}, between {2029-01-01} and {2029-01-01} in eight years of ten), closes 7 days after bud swell ({2029-03-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "midwinter expected", "value": "2029-01-01"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2029-01-01"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2029-01-01"}, {"unit": "days", "basis": "common practice", "label": "after midwinter", "value": 20}, {"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2029-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2029-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2029-04-06"}, {"unit": "days", "basis": "common practice", "label": "after bud swell", "value": 7}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "0.8 growing seasons after ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.8}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'wire-check-1', 9, 'wire-check', 'Wire check: off, on or again', 'top', 'planned', '2029-05-29', '2029-07-17', '2029-05-18', '2029-06-10', '2029-06-15', NULL, NULL, NULL, false, 258, '[{"rule": "window", "text": "Opens 14 days before the first flush hardening ({2029-06-12}, between {2029-06-01} and {2029-06-24} in eight years of ten), closes 35 days after the first flush hardening ({2029-06-12})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "the first flush hardening expected", "value": "2029-06-12"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2029-06-01"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2029-06-24"}, {"unit": "days", "basis": "common practice", "label": "before the first flush hardening", "value": 14}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Wire movement into stems’, planned for {2029-02-12}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'grade', 10, 'grade', 'Grade and cull', 'care', 'planned', '2029-10-20', '2029-12-03', '2029-10-08', '2029-10-31', '2029-11-04', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2029-11-19}, between {2029-11-07} and {2029-11-30} in eight years of ten), closes 14 days after leaf fall ({2029-11-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2029-11-19"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2029-11-07"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2029-11-30"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Wire check: off, on or again’, planned for {2029-06-15}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'roots-2', 11, 'root-work', 'Root work, into 25 cm baskets', 'roots', 'planned', '2030-02-26', '2030-04-16', '2030-02-10', '2030-03-16', '2030-03-15', NULL, 'basket-25', '{"take": 0.5, "limit": 0.8, "wanted": 0.5}', false, 1032, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2030-03-19}, between {2030-03-03} and {2030-04-06} in eight years of ten), closes 5 days after bud break ({2030-04-11})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2030-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2030-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2030-04-06"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2030-04-11"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2030-03-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2030-04-28"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "1.8 growing seasons after ‘First root correction, into 18 cm baskets’, planned for {2028-03-14}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.8}]}, {"rule": "order", "text": "After ‘Grade and cull’, planned for {2029-11-04}", "binding": false, "figures": []}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 50 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.7}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'look-2', 12, 'survival-look', 'Two-week look', 'care', 'planned', '2030-03-27', '2030-04-08', '2030-03-27', '2030-03-27', '2030-03-31', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘Root work, into 25 cm baskets’ ({2030-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'cut-back-1', 13, 'cut-back', 'Cut back leaders', 'top', 'planned', '2031-01-21', '2031-03-26', '2031-01-21', '2031-01-21', '2031-02-12', NULL, NULL, NULL, false, 172, '[{"rule": "window", "text": "Opens 20 days after midwinter ({2031-01-01}, between {2031-01-01} and {2031-01-01} in eight years of ten), closes 7 days after bud swell ({2031-03-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "midwinter expected", "value": "2031-01-01"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2031-01-01"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2031-01-01"}, {"unit": "days", "basis": "common practice", "label": "after midwinter", "value": 20}, {"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2031-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2031-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2031-04-06"}, {"unit": "days", "basis": "common practice", "label": "after bud swell", "value": 7}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "0.8 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.8}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'measure-2', 14, 'measure', 'Measure a sample', 'care', 'planned', '2031-10-20', '2031-12-03', '2031-10-08', '2031-10-31', '2031-11-04', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2031-11-19}, between {2031-11-07} and {2031-11-30} in eight years of ten), closes 14 days after leaf fall ({2031-11-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2031-11-19"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2031-11-07"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2031-11-30"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Cut back leaders’, planned for {2031-02-12}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'chop', 15, 'chop', 'Chop to a low branch or bud', 'top', 'planned', '2032-02-19', '2032-03-25', '2032-02-03', '2032-03-08', '2032-03-02', NULL, NULL, NULL, false, 430, '[{"rule": "window", "text": "Opens 28 days before bud swell ({2032-03-18}, between {2032-03-02} and {2032-04-05} in eight years of ten), closes 7 days after bud swell ({2032-03-18})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2032-03-18", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2032-03-02"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2032-04-05"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 28}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "1.5 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.5}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'shoots', 16, 'shoot-choice', 'Choose among the shoots', 'top', 'planned', '2032-05-28', '2032-07-16', '2032-05-17', '2032-06-09', '2032-06-14', NULL, NULL, NULL, false, 258, '[{"rule": "window", "text": "Opens 14 days before the first flush hardening ({2032-06-11}, between {2032-05-31} and {2032-06-23} in eight years of ten), closes 35 days after the first flush hardening ({2032-06-11})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "the first flush hardening expected", "value": "2032-06-11"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2032-05-31"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2032-06-23"}, {"unit": "days", "basis": "common practice", "label": "before the first flush hardening", "value": 14}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Chop to a low branch or bud’, planned for {2032-03-02}", "binding": false, "figures": []}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'roots-3', 17, 'root-work', 'Root work, into 32 cm baskets', 'roots', 'planned', '2033-02-26', '2033-04-16', '2033-02-10', '2033-03-16', '2033-03-15', NULL, 'basket-32', '{"take": 0.5, "limit": 0.8, "wanted": 0.5}', false, 1032, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2033-03-19}, between {2033-03-03} and {2033-04-06} in eight years of ten), closes 5 days after bud break ({2033-04-11})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2033-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2033-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2033-04-06"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2033-04-11"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2033-03-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2033-04-28"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "0.8 growing seasons after ‘Chop to a low branch or bud’, planned for {2032-03-02}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 0.8}]}, {"rule": "order", "text": "2 growing seasons after ‘Root work, into 25 cm baskets’, planned for {2030-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 2}]}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 50 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.7}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'grade-2', 19, 'grade', 'Grade and cull', 'care', 'planned', '2034-10-20', '2034-12-03', '2034-10-08', '2034-10-31', '2034-11-04', NULL, NULL, NULL, false, 43, '[{"rule": "window", "text": "Opens 30 days before leaf fall ({2034-11-19}, between {2034-11-07} and {2034-11-30} in eight years of ten), closes 14 days after leaf fall ({2034-11-19})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "leaf fall expected", "value": "2034-11-19"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2034-11-07"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2034-11-30"}, {"unit": "days", "basis": "common practice", "label": "before leaf fall", "value": 30}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "1.5 growing seasons after ‘Root work, into 32 cm baskets’, planned for {2033-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.5}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'training', 20, 'training-pot', 'Into the training pot', 'roots', 'planned', '2035-02-26', '2035-04-16', '2035-02-10', '2035-03-16', '2035-03-15', NULL, 'training-22', '{"take": 0.5, "limit": 0.8, "wanted": 0.5}', false, 2150, '[{"rule": "window", "text": "Opens 21 days before bud swell ({2035-03-19}, between {2035-03-03} and {2035-04-06} in eight years of ten), closes 5 days after bud break ({2035-04-11})", "binding": true, "figures": [{"unit": "", "basis": "computed", "label": "bud swell expected", "value": "2035-03-19", "source": "model in the form of Cannell & Smith 1983, constants fitted"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2035-03-03"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2035-04-06"}, {"unit": "days", "basis": "common practice", "label": "before bud swell", "value": 21}, {"unit": "", "basis": "computed", "label": "bud break expected", "value": "2035-04-11"}, {"unit": "", "basis": "computed", "label": "one year in ten before", "value": "2035-03-27"}, {"unit": "", "basis": "computed", "label": "one year in ten after", "value": "2035-04-28"}, {"unit": "days", "basis": "common practice", "label": "after bud break", "value": 5}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "1.8 growing seasons after ‘Root work, into 32 cm baskets’, planned for {2033-03-15}", "binding": false, "figures": [{"unit": "growing seasons", "basis": "common practice", "label": "lag", "value": 1.8}]}, {"rule": "order", "text": "After ‘Grade and cull’, planned for {2034-11-04}", "binding": false, "figures": []}, {"rule": "reserve", "text": "Up to 80 % of the root may go that day; 50 % is wanted", "binding": false, "figures": [{"unit": "", "basis": "computed", "label": "reserve then", "value": 0.69}, {"unit": "", "basis": "common practice", "label": "floor for deciduous broadleaf", "value": 0.4}, {"unit": "of 1", "basis": "common practice", "label": "bears root loss", "value": 1}, {"unit": "% of root", "basis": "common practice", "label": "largest cut at once", "value": 80}, {"unit": "of 5", "basis": "computed", "label": "vigour", "value": 4}]}]');
INSERT INTO public.course_step VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'look-4', 21, 'survival-look', 'Two-week look', 'care', 'planned', '2035-03-27', '2035-04-08', '2035-03-27', '2035-03-27', '2035-03-31', NULL, NULL, NULL, false, 18, '[{"rule": "window", "text": "12 to 24 days after ‘Into the training pot’ ({2035-03-15})", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "opens after", "value": 12}, {"unit": "days", "basis": "common practice", "label": "closes after", "value": 24}]}, {"rule": "order", "text": "The cohort was started {2026-03-01}", "binding": false, "figures": []}, {"rule": "order", "text": "After ‘Into the training pot’, planned for {2035-03-15}", "binding": false, "figures": []}]');
INSERT INTO public.knex_migrations VALUES (1, '001-ground', 1, '2026-11-26 15:29:12.462+00');
INSERT INTO public.knex_migrations VALUES (2, '002-ledger', 1, '2026-11-26 15:29:12.498+00');
INSERT INTO public.knex_migrations_lock VALUES (1, 0);
INSERT INTO public.ledger_entry OVERRIDING SYSTEM VALUE VALUES ('90ad9a37-2d1c-4f02-8055-e5e8c99fa762', 1, '5792f7c3-d6a8-4308-a9d1-399773101153', 'started', '2026-03-01', '2026-03-01', 120, 'seed', NULL, NULL, '', NULL, NULL, 'd30fb125-2a1a-4ca0-a311-2f2e2b2bb2f6', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:13.607621+00');
INSERT INTO public.ledger_entry OVERRIDING SYSTEM VALUE VALUES ('e2588606-3c3b-446f-ba21-ce3666b04070', 2, '5792f7c3-d6a8-4308-a9d1-399773101153', 'lost_before_emergence', '2026-05-01', '2026-05-01', 30, NULL, NULL, 'rot', '', NULL, NULL, 'ee764a85-a6b7-4f7b-9c74-5284c7e7ac27', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:14.027138+00');
INSERT INTO public.ledger_entry OVERRIDING SYSTEM VALUE VALUES ('c5d610fd-24cb-403b-9dea-635f0a83a1a2', 3, '5792f7c3-d6a8-4308-a9d1-399773101153', 'emerged', '2026-05-01', '2026-05-01', 90, NULL, NULL, NULL, '', NULL, NULL, 'ee764a85-a6b7-4f7b-9c74-5284c7e7ac27', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:14.027138+00');
INSERT INTO public.ledger_entry OVERRIDING SYSTEM VALUE VALUES ('ed62d3ba-99c5-4aca-a630-eedb32f7c7ac', 4, '5792f7c3-d6a8-4308-a9d1-399773101153', 'lost', '2026-06-01', '2026-06-01', 4, NULL, NULL, 'slugs', '', NULL, NULL, '403d3d50-51fe-4d65-8137-fba6ef17e86c', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:14.095193+00');
INSERT INTO public.nursery VALUES (true, '2b5532f1-4b9c-49eb-bea5-1650f077a788', 'Tessary Bank', 52, 0, 40, 'UTC', '{1,1,2,4,7,10,12,12,10,7,4,2}', '{7,7,10,13,17,20,22,22,19,14,10,7}', 4, 3, NULL, NULL, NULL, NULL, 1);
INSERT INTO public.person VALUES ('600e642b-0cd0-4853-ae0d-db9bea921568', 'Ines Tessary', 'owner', '$argon2id$v=19$m=65536,t=3,p=4$QO06j00ft/kyMscxirMKMA$1JUMphERJojLtTn4EK0L+kPRPmuSIRDt1a8VmQG1K6k', 1, '2026-11-26 15:29:13.583185+00');
INSERT INTO public.place OVERRIDING SYSTEM VALUE VALUES ('749de4c6-c8f8-4ad8-8320-4add49d427db', 'Outdoors', 'outdoors', 0, 0, NULL, 1, 1);
INSERT INTO public.plan_change VALUES ('0eacf957-b172-4801-9b6e-0cda382f144f', '5792f7c3-d6a8-4308-a9d1-399773101153', '2026-11-26 15:29:14.027138+00', '2026-11-26', '‘Count emergence’ was recorded', 'mesh-off', 'Mesh off', '2026-12-10', '2027-01-05', '2026-05-15', '2026-06-10', '{"rule": "order", "text": "14 days after ‘Count emergence’, done {2026-05-01}", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 14}]}');
INSERT INTO public.plan_change VALUES ('0a9292a0-5291-4232-b43b-4377432e0124', '5792f7c3-d6a8-4308-a9d1-399773101153', '2026-11-26 15:29:14.027138+00', '2026-11-26', '‘Count emergence’ was recorded', 'cells', 'Pot on into air-pruning cells', '2026-12-21', '2027-02-09', '2026-05-26', '2026-07-15', '{"rule": "order", "text": "25 days after ‘Count emergence’, done {2026-05-01}", "binding": true, "figures": [{"unit": "days", "basis": "common practice", "label": "lag", "value": 25}]}');
INSERT INTO public.plan_change VALUES ('8db86be2-db8c-4466-b09e-743eaa874adb', '5792f7c3-d6a8-4308-a9d1-399773101153', '2026-11-26 15:29:14.027138+00', '2026-11-26', '‘Count emergence’ was recorded', 'measure-1', 'Measure a sample', '2027-10-20', '2027-12-03', '2026-11-26', '2026-12-03', '{"rule": "order", "text": "After ‘Pot on into air-pruning cells’, planned for {2026-11-26}", "binding": true, "figures": []}');
INSERT INTO public.record OVERRIDING SYSTEM VALUE VALUES ('d30fb125-2a1a-4ca0-a311-2f2e2b2bb2f6', 1, '5792f7c3-d6a8-4308-a9d1-399773101153', 'work', 'sow', NULL, '2026-03-01', NULL, NULL, 120, true, 'seed-flat', NULL, NULL, NULL, '{"heights": [], "calipers": []}', NULL, NULL, NULL, '', '', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:13.607621+00');
INSERT INTO public.record OVERRIDING SYSTEM VALUE VALUES ('ee764a85-a6b7-4f7b-9c74-5284c7e7ac27', 2, '5792f7c3-d6a8-4308-a9d1-399773101153', 'work', 'emergence', NULL, '2026-05-01', NULL, NULL, NULL, true, NULL, NULL, NULL, NULL, '{"heights": [], "calipers": []}', NULL, NULL, NULL, '', '', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:14.027138+00');
INSERT INTO public.record OVERRIDING SYSTEM VALUE VALUES ('403d3d50-51fe-4d65-8137-fba6ef17e86c', 3, '5792f7c3-d6a8-4308-a9d1-399773101153', 'look', NULL, NULL, '2026-06-01', NULL, NULL, NULL, true, NULL, NULL, 2.25, NULL, '{"heights": [], "calipers": [2, 2.5]}', NULL, 3, NULL, 'A look.', '', '600e642b-0cd0-4853-ae0d-db9bea921568', '2026-11-26 15:29:14.095193+00');
INSERT INTO public.session VALUES ('7_PbyiUnhVeOPMl7vyxIxjl9rMaRRQI3', '{"_csrf": "X2fiXtYv61u77LsNHt4ZQIU3", "cookie": {"path": "/", "domain": null, "secure": false, "expires": "2026-12-10T15:29:13.592Z", "httpOnly": true, "sameSite": "strict", "originalMaxAge": 1209600000, "originalExpires": "2026-12-10T15:29:13.162Z"}, "person": {"id": "600e642b-0cd0-4853-ae0d-db9bea921568", "name": "Ines Tessary", "role": "owner", "version": 1}}', '2026-12-10 15:29:13.592+00');
INSERT INTO public.write_receipt VALUES ('5792f7c3-d6a8-4308-a9d1-399773101153', 'cohort', 'ad7cd44acd3b67ca899dd8ae11c6675409bee8bfe4c82f24d3806820b2f0377a', '{"value":{"recordId":"5792f7c3-d6a8-4308-a9d1-399773101153","live":0,"pending":120,"moved":[]}}', '2026-11-26 15:29:13.607621+00');
INSERT INTO public.write_receipt VALUES ('ee764a85-a6b7-4f7b-9c74-5284c7e7ac27', 'record', '756f9a81ea000546c21fb2620f7999947bbae2f77b5f8705c7b10f4e88e82faf', '{"value":{"recordId":"ee764a85-a6b7-4f7b-9c74-5284c7e7ac27","live":90,"pending":0,"moved":[{"key":"mesh-off","title":"Mesh off","was":{"opens":"2026-12-10","closes":"2027-01-05"},"now":{"opens":"2026-05-15","closes":"2026-06-10"},"days":-209,"because":{"rule":"order","text":"14 days after ‘Count emergence’, done {2026-05-01}","figures":[{"label":"lag","value":14,"unit":"days","basis":"common practice"}],"binding":true}},{"key":"cells","title":"Pot on into air-pruning cells","was":{"opens":"2026-12-21","closes":"2027-02-09"},"now":{"opens":"2026-05-26","closes":"2026-07-15"},"days":-209,"because":{"rule":"order","text":"25 days after ‘Count emergence’, done {2026-05-01}","figures":[{"label":"lag","value":25,"unit":"days","basis":"common practice"}],"binding":true}},{"key":"measure-1","title":"Measure a sample","was":{"opens":"2027-10-20","closes":"2027-12-03"},"now":{"opens":"2026-11-26","closes":"2026-12-03"},"days":-328,"because":{"rule":"order","text":"After ‘Pot on into air-pruning cells’, planned for {2026-11-26}","figures":[],"binding":true}}]}}', '2026-11-26 15:29:14.027138+00');
INSERT INTO public.write_receipt VALUES ('403d3d50-51fe-4d65-8137-fba6ef17e86c', 'record', '6ec445a018ed1c1268df16bfb5cd831acc52a44d625726ff7d6f712fd5113a39', '{"value":{"recordId":"403d3d50-51fe-4d65-8137-fba6ef17e86c","live":86,"pending":0,"moved":[]}}', '2026-11-26 15:29:14.095193+00');
SELECT pg_catalog.setval('public.knex_migrations_id_seq', 2, true);
SELECT pg_catalog.setval('public.knex_migrations_lock_index_seq', 1, true);
SELECT pg_catalog.setval('public.ledger_entry_seq_seq', 4, true);
SELECT pg_catalog.setval('public.place_sort_seq', 1, true);
SELECT pg_catalog.setval('public.record_seq_seq', 3, true);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_code_key UNIQUE (code);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.course_step
    ADD CONSTRAINT course_step_pkey PRIMARY KEY (cohort_id, key);
ALTER TABLE ONLY public.knex_migrations_lock
    ADD CONSTRAINT knex_migrations_lock_pkey PRIMARY KEY (index);
ALTER TABLE ONLY public.knex_migrations
    ADD CONSTRAINT knex_migrations_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_reverses_key UNIQUE (reverses);
ALTER TABLE ONLY public.nursery
    ADD CONSTRAINT nursery_pkey PRIMARY KEY (only_one);
ALTER TABLE ONLY public.person
    ADD CONSTRAINT person_name_key UNIQUE (name);
ALTER TABLE ONLY public.person
    ADD CONSTRAINT person_pkey PRIMARY KEY (id);
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
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_undoes_key UNIQUE (undoes);
ALTER TABLE ONLY public.session
    ADD CONSTRAINT session_pkey PRIMARY KEY (sid);
ALTER TABLE ONLY public.setting
    ADD CONSTRAINT setting_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.weather_day
    ADD CONSTRAINT weather_day_pkey PRIMARY KEY (on_date);
ALTER TABLE ONLY public.write_receipt
    ADD CONSTRAINT write_receipt_pkey PRIMARY KEY (id);
CREATE INDEX course_step_open ON public.course_step USING btree (opens, closes) WHERE ((status = 'planned'::text) AND ready);
CREATE INDEX ledger_of_cohort ON public.ledger_entry USING btree (cohort_id, on_date, seq);
CREATE INDEX ledger_of_record ON public.ledger_entry USING btree (record_id) WHERE (record_id IS NOT NULL);
CREATE INDEX ledger_of_transfer ON public.ledger_entry USING btree (transfer_id) WHERE (transfer_id IS NOT NULL);
CREATE INDEX plan_change_of_cohort ON public.plan_change USING btree (cohort_id, at DESC);
CREATE INDEX record_of_cohort ON public.record USING btree (cohort_id, seq);
CREATE INDEX session_expires ON public.session USING btree (expires);
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.ledger_entry FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only BEFORE DELETE OR UPDATE ON public.record FOR EACH ROW EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only_all BEFORE TRUNCATE ON public.ledger_entry FOR EACH STATEMENT EXECUTE FUNCTION public.refuse_change();
CREATE TRIGGER append_only_all BEFORE TRUNCATE ON public.record FOR EACH STATEMENT EXECUTE FUNCTION public.refuse_change();
CREATE CONSTRAINT TRIGGER balance_transfer AFTER INSERT ON public.ledger_entry DEFERRABLE INITIALLY DEFERRED FOR EACH ROW WHEN ((new.transfer_id IS NOT NULL)) EXECUTE FUNCTION public.balance_transfer();
CREATE TRIGGER keep_counts AFTER INSERT ON public.ledger_entry REFERENCING NEW TABLE AS entered FOR EACH STATEMENT EXECUTE FUNCTION public.keep_counts();
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_parent_id_fkey FOREIGN KEY (parent_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_place_id_fkey FOREIGN KEY (place_id) REFERENCES public.place(id);
ALTER TABLE ONLY public.cohort
    ADD CONSTRAINT cohort_split_from_fkey FOREIGN KEY (split_from) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.course_step
    ADD CONSTRAINT course_step_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_record_id_fkey FOREIGN KEY (record_id) REFERENCES public.record(id);
ALTER TABLE ONLY public.ledger_entry
    ADD CONSTRAINT ledger_entry_reverses_fkey FOREIGN KEY (reverses) REFERENCES public.ledger_entry(id);
ALTER TABLE ONLY public.plan_change
    ADD CONSTRAINT plan_change_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.plant
    ADD CONSTRAINT plant_entry_id_fkey FOREIGN KEY (entry_id) REFERENCES public.ledger_entry(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_cohort_id_fkey FOREIGN KEY (cohort_id) REFERENCES public.cohort(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_person_id_fkey FOREIGN KEY (person_id) REFERENCES public.person(id);
ALTER TABLE ONLY public.record
    ADD CONSTRAINT record_undoes_fkey FOREIGN KEY (undoes) REFERENCES public.record(id);

CREATE TABLE public.absence (
    id uuid NOT NULL,
    keeper_id uuid,
    from_day date NOT NULL,
    until_day date NOT NULL,
    sitter text,
    call text,
    page_sha256 text,
    undone_at timestamp with time zone,
    CONSTRAINT absence_check CHECK ((until_day >= from_day))
);
CREATE TABLE public.entry (
    id uuid NOT NULL,
    kind text NOT NULL,
    resident_id uuid,
    home_id uuid,
    on_day date NOT NULL,
    at timestamp with time zone NOT NULL,
    keeper text,
    note text,
    data jsonb NOT NULL,
    undone_at timestamp with time zone,
    seq bigint NOT NULL,
    pair uuid,
    CONSTRAINT entry_check CHECK (((resident_id IS NOT NULL) OR (home_id IS NOT NULL)))
);
CREATE TABLE public.entry_photo (
    entry_id uuid NOT NULL,
    jpeg bytea NOT NULL
);
ALTER TABLE public.entry ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.entry_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.feeder_culture (
    id uuid NOT NULL,
    called text NOT NULL,
    kind text NOT NULL,
    breeders integer NOT NULL,
    harvested text NOT NULL,
    begun_on date NOT NULL,
    CONSTRAINT feeder_culture_breeders_check CHECK ((breeders >= 0))
);
CREATE TABLE public.forbidden_food (
    resident_id uuid NOT NULL,
    food text NOT NULL,
    why text NOT NULL
);
CREATE TABLE public.home (
    id uuid NOT NULL,
    code text NOT NULL,
    shelf_id uuid NOT NULL,
    place integer NOT NULL,
    container jsonb NOT NULL,
    furniture jsonb,
    litter_depth_mm double precision,
    nest jsonb,
    mix_id text,
    weight_limit_kg double precision,
    quarantine_since date,
    heat jsonb,
    dish_area_cm2 double precision,
    factors jsonb
);
CREATE TABLE public.home_photo (
    home_id uuid NOT NULL,
    jpeg bytea NOT NULL,
    version bigint NOT NULL
);
CREATE VIEW public.home_now AS
 SELECT h.id,
    h.code,
    h.shelf_id,
    h.place,
    h.container,
    h.furniture,
    h.litter_depth_mm,
    h.nest,
    h.mix_id,
    h.weight_limit_kg,
    h.quarantine_since,
    h.heat,
    h.dish_area_cm2,
    h.factors,
    filled.substrate_depth_mm,
    filled.soil,
    photo.version AS photo_version
   FROM ((public.home h
     CROSS JOIN LATERAL ( SELECT ((e.data ->> 'substrateDepthMm'::text))::double precision AS substrate_depth_mm,
            (e.data -> 'soil'::text) AS soil
           FROM public.entry e
          WHERE ((e.home_id = h.id) AND (e.kind = 'soil-set'::text) AND (e.undone_at IS NULL))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) filled)
     LEFT JOIN public.home_photo photo ON ((photo.home_id = h.id)));
ALTER TABLE public.home_photo ALTER COLUMN version ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.home_photo_version_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.keeper (
    id uuid NOT NULL,
    name text NOT NULL,
    room_ids jsonb DEFAULT '[]'::jsonb NOT NULL,
    walk_at text NOT NULL,
    zone text NOT NULL,
    calendar_sha256 text
);
CREATE TABLE public.keeper_busy (
    keeper_id uuid NOT NULL,
    on_day date NOT NULL
);
CREATE TABLE public.meta (
    key text NOT NULL,
    value text NOT NULL
);
CREATE TABLE public.own_card (
    name text NOT NULL,
    common_name text,
    profile text NOT NULL,
    notes jsonb DEFAULT '{}'::jsonb NOT NULL,
    synonyms jsonb DEFAULT '[]'::jsonb NOT NULL,
    keeper text,
    changed_at timestamp with time zone NOT NULL
);
CREATE TABLE public.own_material (
    id text NOT NULL,
    numbers jsonb NOT NULL
);
CREATE TABLE public.own_profile (
    id text NOT NULL,
    profile jsonb NOT NULL
);
CREATE TABLE public.price_list (
    supplier text NOT NULL,
    csv text NOT NULL,
    set_at timestamp with time zone NOT NULL
);
CREATE TABLE public.probe (
    id uuid NOT NULL,
    name text NOT NULL,
    kind text NOT NULL,
    place text NOT NULL,
    home_id uuid,
    room_id uuid,
    token_sha256 text,
    device text,
    fault text DEFAULT 'none'::text NOT NULL,
    fault_from timestamp with time zone,
    added_at timestamp with time zone NOT NULL,
    CONSTRAINT probe_check CHECK (((home_id IS NULL) <> (room_id IS NULL)))
);
CREATE TABLE public.reading (
    probe_id uuid NOT NULL,
    at timestamp with time zone NOT NULL,
    temperature_c real,
    relative_humidity_pct real,
    mass_g real,
    mark text
);
CREATE TABLE public.reading_hour (
    probe_id uuid NOT NULL,
    hour timestamp with time zone NOT NULL,
    readings integer NOT NULL,
    last_at timestamp with time zone NOT NULL,
    temperature_c real,
    relative_humidity_pct real,
    mass_g real,
    low_pct real,
    high_pct real
);
CREATE TABLE public.reading_import (
    id uuid NOT NULL,
    probe_id uuid NOT NULL,
    begun_at timestamp with time zone NOT NULL
);
CREATE UNLOGGED TABLE public.reading_staged (
    import_id uuid NOT NULL,
    at timestamp with time zone NOT NULL,
    temperature_c real,
    relative_humidity_pct real,
    mark text
);
CREATE TABLE public.resident (
    id uuid NOT NULL,
    called text,
    scientific_name text NOT NULL,
    common_name text,
    profile text NOT NULL,
    sex text NOT NULL,
    source text,
    permit text,
    school text,
    form text DEFAULT 'single'::text NOT NULL,
    born_on date,
    mother_id uuid,
    father_id uuid,
    out_of_id uuid,
    batch text
);
CREATE VIEW public.resident_ever AS
 SELECT r.id,
    r.called,
    r.scientific_name,
    r.common_name,
    r.profile,
    r.source,
    r.permit,
    r.school,
    r.form,
    r.mother_id,
    r.father_id,
    r.out_of_id,
    r.batch,
    COALESCE(hatched.on_day, r.born_on) AS born_on,
    COALESCE(sexed.sex, r.sex) AS sex,
    sexed.by AS sex_by,
    taken.on_day AS taken_in_on,
    lives.home_id,
    grown.stage,
    COALESCE(sized.measures, '{}'::jsonb) AS measures,
    COALESCE(sized.on_day, taken.on_day) AS measured_on,
    weighed.mass_g,
    (counted.head_count + COALESCE(changed.heads, 0)) AS head_count,
    (stepped.instar + COALESCE(moulted.times, 0)) AS instar,
    gone.on_day AS left_on,
    gone.at AS left_at,
    gone.kind AS left_by
   FROM ((((((((((((public.resident r
     CROSS JOIN LATERAL ( SELECT e.on_day
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = 'taken-in'::text) AND (e.undone_at IS NULL))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) taken)
     CROSS JOIN LATERAL ( SELECT e.home_id
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moved'::text])) AND (e.undone_at IS NULL))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) lives)
     CROSS JOIN LATERAL ( SELECT (e.data ->> 'stage'::text) AS stage
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text, 'hatched'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'stage'::text))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) grown)
     LEFT JOIN LATERAL ( SELECT jsonb_strip_nulls(jsonb_build_object('legSpanMm', (e.data -> 'legSpanMm'::text), 'bodyLengthMm', (e.data -> 'bodyLengthMm'::text), 'carapaceWidthMm', (e.data -> 'carapaceWidthMm'::text))) AS measures,
            e.on_day
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text, 'hatched'::text])) AND (e.undone_at IS NULL) AND (e.data ?| ARRAY['legSpanMm'::text, 'bodyLengthMm'::text, 'carapaceWidthMm'::text]))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) sized ON (true))
     LEFT JOIN LATERAL ( SELECT ((e.data ->> 'massG'::text))::double precision AS mass_g
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'massG'::text))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) weighed ON (true))
     LEFT JOIN LATERAL ( SELECT ((e.data ->> 'headCount'::text))::integer AS head_count,
            e.on_day,
            e.at,
            e.seq
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text, 'hatched'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'headCount'::text))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) counted ON (true))
     LEFT JOIN LATERAL ( SELECT (sum((((e.data ->> 'count'::text))::integer *
                CASE
                    WHEN (e.kind = 'joined'::text) THEN 1
                    ELSE '-1'::integer
                END)))::integer AS heads
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['died'::text, 'passed-on'::text, 'parted'::text, 'joined'::text, 'joined-into'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'count'::text) AND (ROW(e.on_day, e.at, e.seq) > ROW(counted.on_day, counted.at, counted.seq)))) changed ON (true))
     LEFT JOIN LATERAL ( SELECT (e.data ->> 'sex'::text) AS sex,
            (e.data ->> 'by'::text) AS by
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = 'sexed'::text) AND (e.undone_at IS NULL))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) sexed ON (true))
     LEFT JOIN LATERAL ( SELECT e.on_day
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = 'hatched'::text) AND (e.undone_at IS NULL))
          ORDER BY e.on_day, e.at, e.seq
         LIMIT 1) hatched ON (true))
     LEFT JOIN LATERAL ( SELECT ((e.data ->> 'instar'::text))::integer AS instar,
            e.on_day,
            e.at,
            e.seq
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'instar'::text) AND (NOT (e.data ? 'count'::text)))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) stepped ON (true))
     LEFT JOIN LATERAL ( SELECT (count(*))::integer AS times
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = 'moulted'::text) AND (e.undone_at IS NULL) AND (NOT (e.data ? 'count'::text)) AND (ROW(e.on_day, e.at, e.seq) > ROW(stepped.on_day, stepped.at, stepped.seq)))) moulted ON (true))
     LEFT JOIN LATERAL ( SELECT e.on_day,
            e.at,
            e.kind
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['died'::text, 'passed-on'::text, 'joined-into'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'everybody'::text))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) gone ON (true));
CREATE VIEW public.resident_now AS
 SELECT resident_ever.id,
    resident_ever.called,
    resident_ever.scientific_name,
    resident_ever.common_name,
    resident_ever.profile,
    resident_ever.source,
    resident_ever.permit,
    resident_ever.school,
    resident_ever.form,
    resident_ever.mother_id,
    resident_ever.father_id,
    resident_ever.out_of_id,
    resident_ever.batch,
    resident_ever.born_on,
    resident_ever.sex,
    resident_ever.sex_by,
    resident_ever.taken_in_on,
    resident_ever.home_id,
    resident_ever.stage,
    resident_ever.measures,
    resident_ever.measured_on,
    resident_ever.mass_g,
    resident_ever.head_count,
    resident_ever.instar,
    resident_ever.left_on,
    resident_ever.left_at,
    resident_ever.left_by
   FROM public.resident_ever
  WHERE (resident_ever.left_on IS NULL);
CREATE TABLE public.room (
    id uuid NOT NULL,
    name text NOT NULL,
    air jsonb
);
CREATE TABLE public.schema_migration (
    number integer NOT NULL,
    name text NOT NULL,
    applied_at timestamp with time zone DEFAULT '2026-03-01 12:00:00+00'::timestamp with time zone NOT NULL
);
CREATE TABLE public.school_choice (
    scope text NOT NULL,
    about text NOT NULL,
    topic text NOT NULL,
    school text NOT NULL,
    CONSTRAINT school_choice_scope_check CHECK ((scope = ANY (ARRAY['room'::text, 'kind'::text, 'resident'::text])))
);
CREATE TABLE public.shelf (
    id uuid NOT NULL,
    room_id uuid NOT NULL,
    name text NOT NULL,
    "position" integer NOT NULL,
    load_limit_kg double precision
);
CREATE TABLE public.stock_entry (
    id uuid NOT NULL,
    item text NOT NULL,
    kind text NOT NULL,
    amount double precision NOT NULL,
    on_day date NOT NULL,
    at timestamp with time zone NOT NULL,
    keeper text,
    note text,
    undone_at timestamp with time zone,
    seq bigint NOT NULL,
    CONSTRAINT stock_entry_amount_check CHECK ((amount >= (0)::double precision)),
    CONSTRAINT stock_entry_kind_check CHECK ((kind = ANY (ARRAY['bought'::text, 'harvested'::text, 'counted'::text, 'died'::text, 'thrown'::text])))
);
ALTER TABLE public.stock_entry ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.stock_entry_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.training_answer (
    id uuid NOT NULL,
    keeper text NOT NULL,
    kind text NOT NULL,
    is_right boolean NOT NULL,
    at timestamp with time zone NOT NULL
);
INSERT INTO public.absence VALUES ('90000000-0000-4000-8000-000000000001', '80000000-0000-4000-8000-000000000001', '2026-03-20', '2026-03-27', 'Wren', NULL, NULL, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000001', 'soil-set', NULL, '30000000-0000-4000-8000-000000000001', '2026-01-01', '2026-01-01 10:00:00+00', NULL, NULL, '{"substrateDepthMm": 40}', NULL, 1, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000002', 'soil-set', NULL, '30000000-0000-4000-8000-000000000002', '2026-01-01', '2026-01-01 10:00:00+00', NULL, NULL, '{"substrateDepthMm": 60}', NULL, 2, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000003', 'soil-set', NULL, '30000000-0000-4000-8000-000000000003', '2026-01-01', '2026-01-01 10:00:00+00', NULL, NULL, '{"substrateDepthMm": 0}', NULL, 3, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000004', 'taken-in', '40000000-0000-4000-8000-000000000001', '30000000-0000-4000-8000-000000000001', '2026-01-02', '2026-01-02 10:00:00+00', 'Imre Talsk', NULL, '{"stage": "juvenile", "legSpanMm": 60}', NULL, 4, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000005', 'taken-in', '40000000-0000-4000-8000-000000000002', '30000000-0000-4000-8000-000000000002', '2026-01-02', '2026-01-02 10:00:00+00', NULL, NULL, '{"stage": "spiderling", "legSpanMm": 22}', NULL, 5, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000006', 'taken-in', '40000000-0000-4000-8000-000000000003', '30000000-0000-4000-8000-000000000003', '2026-01-02', '2026-01-02 10:00:00+00', NULL, NULL, '{"stage": "adult", "headCount": 24, "bodyLengthMm": 10}', NULL, 6, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000007', 'offered', '40000000-0000-4000-8000-000000000001', NULL, '2026-02-20', '2026-02-20 18:00:00+00', 'Odalys Fenn', NULL, '{"preyCount": 2, "preyLengthMm": 10}', NULL, 7, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000008', 'moulted', '40000000-0000-4000-8000-000000000001', NULL, '2026-02-25', '2026-02-25 18:00:00+00', NULL, 'Its skin lay by the bark.', '{"legSpanMm": 72}', NULL, 8, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000009', 'looked', '40000000-0000-4000-8000-000000000002', NULL, '2026-02-26', '2026-02-26 18:00:00+00', NULL, NULL, '{}', '2026-02-26 18:01:00+00', 9, NULL);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000010', 'photo', '40000000-0000-4000-8000-000000000001', NULL, '2026-03-01', '2026-03-01 10:00:00+00', NULL, NULL, '{}', NULL, 10, NULL);
INSERT INTO public.entry_photo VALUES ('50000000-0000-4000-8000-000000000010', '\xffd8ffe000104a4649460001');
INSERT INTO public.forbidden_food VALUES ('40000000-0000-4000-8000-000000000002', 'dubia-roach-small', 'It was bitten.');
INSERT INTO public.home VALUES ('30000000-0000-4000-8000-000000000002', 'A2', '20000000-0000-4000-8000-000000000001', 2, '{"lid": "solid", "shape": "cylinder", "vents": [], "heightMm": 160, "diameterMm": 90}', NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL, NULL);
INSERT INTO public.home VALUES ('30000000-0000-4000-8000-000000000001', 'A1', '20000000-0000-4000-8000-000000000001', 1, '{"lid": "solid", "shape": "box", "vents": [{"side": "left", "count": 12, "shape": "hole", "diameterMm": 3, "centreHeightMm": 150}, {"side": "right", "count": 12, "shape": "hole", "diameterMm": 3, "centreHeightMm": 150}], "widthMm": 200, "heightMm": 300, "lengthMm": 200}', '[{"kind": "bark", "heightMm": 200}]', NULL, NULL, NULL, 8, NULL, NULL, NULL, NULL);
INSERT INTO public.home VALUES ('30000000-0000-4000-8000-000000000003', 'F1', '20000000-0000-4000-8000-000000000001', 3, '{"lid": "solid", "shape": "box", "vents": [], "widthMm": 150, "heightMm": 60, "lengthMm": 200}', NULL, NULL, '{"chambers": [{"widthMm": 60, "heightMm": 15, "lengthMm": 90}], "tubeBoreMm": 14}', NULL, NULL, NULL, NULL, NULL, NULL);
INSERT INTO public.home_photo OVERRIDING SYSTEM VALUE VALUES ('30000000-0000-4000-8000-000000000001', '\xffd8ffe000104a4649460001', 1);
INSERT INTO public.keeper VALUES ('80000000-0000-4000-8000-000000000001', 'Imre Talsk', '[]', '19:00', 'Europe/London', NULL);
INSERT INTO public.own_card VALUES ('Caribena versicolor', 'blue fringe', 'tree-tarantula', '{"home": "Bark that stands."}', '[]', 'Imre Talsk', '2026-03-02 10:00:00+00');
INSERT INTO public.own_material VALUES ('coir', '{"waterHeldMlPerL": 500, "looseDensityGPerL": 90}');
INSERT INTO public.probe VALUES ('60000000-0000-4000-8000-000000000001', 'A1 air', 'device', 'air', '30000000-0000-4000-8000-000000000001', NULL, NULL, NULL, 'none', NULL, '2026-02-01 10:00:00+00');
INSERT INTO public.reading VALUES ('60000000-0000-4000-8000-000000000001', '2026-03-14 17:00:00+00', 24.5, 78, NULL, NULL);
INSERT INTO public.reading_hour VALUES ('60000000-0000-4000-8000-000000000001', '2026-03-14 17:00:00+00', 1, '2026-03-14 17:00:00+00', 24.5, 78, NULL, 78, 78);
INSERT INTO public.resident VALUES ('40000000-0000-4000-8000-000000000001', 'Vesper', 'Caribena versicolor', NULL, 'tree-tarantula', 'female', 'a breeder in Saltmere', NULL, 'mist-to-a-number', 'single', NULL, NULL, NULL, NULL, NULL);
INSERT INTO public.resident VALUES ('40000000-0000-4000-8000-000000000003', 'Old Timber', 'Camponotus ligniperda', NULL, 'ant-large-mediterranean', 'unknown', NULL, NULL, NULL, 'colony', NULL, NULL, NULL, NULL, NULL);
INSERT INTO public.resident VALUES ('40000000-0000-4000-8000-000000000002', NULL, 'Grammostola pulchra', NULL, 'ground-tarantula', 'unknown', NULL, NULL, NULL, 'single', '2025-09-01', NULL, NULL, NULL, 'Pulchra 25');
INSERT INTO public.room VALUES ('10000000-0000-4000-8000-000000000001', 'Boiler Room', '{"draughtMS": 0.1, "temperatureC": 25, "relativeHumidityPct": 48}');
INSERT INTO public.schema_migration VALUES (1, '001_begin.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.schema_migration VALUES (2, '002_homes_of_every_kind.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.schema_migration VALUES (3, '003_air_and_water.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.schema_migration VALUES (4, '004_residents_of_every_form.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.schema_migration VALUES (5, '005_feeding_and_store.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.schema_migration VALUES (6, '006_keepers_and_absences.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.schema_migration VALUES (7, '007_handbook.sql', '2026-03-14 18:00:00+00');
INSERT INTO public.school_choice VALUES ('resident', '40000000-0000-4000-8000-000000000001', 'air', 'mist-to-a-number');
INSERT INTO public.shelf VALUES ('20000000-0000-4000-8000-000000000001', '10000000-0000-4000-8000-000000000001', 'Shelf A', 0, 40);
INSERT INTO public.stock_entry OVERRIDING SYSTEM VALUE VALUES ('70000000-0000-4000-8000-000000000001', 'field-cricket-medium', 'counted', 40, '2026-03-10', '2026-03-10 10:00:00+00', NULL, NULL, NULL, 1);
INSERT INTO public.training_answer VALUES ('a0000000-0000-4000-8000-000000000001', 'Imre Talsk', 'water', true, '2026-03-03 10:00:00+00');
ALTER TABLE ONLY public.absence
    ADD CONSTRAINT absence_page_sha256_key UNIQUE (page_sha256);
ALTER TABLE ONLY public.absence
    ADD CONSTRAINT absence_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.entry_photo
    ADD CONSTRAINT entry_photo_pkey PRIMARY KEY (entry_id);
ALTER TABLE ONLY public.entry
    ADD CONSTRAINT entry_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.feeder_culture
    ADD CONSTRAINT feeder_culture_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.forbidden_food
    ADD CONSTRAINT forbidden_food_pkey PRIMARY KEY (resident_id, food);
ALTER TABLE ONLY public.home_photo
    ADD CONSTRAINT home_photo_pkey PRIMARY KEY (home_id);
ALTER TABLE ONLY public.home
    ADD CONSTRAINT home_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.keeper_busy
    ADD CONSTRAINT keeper_busy_pkey PRIMARY KEY (keeper_id, on_day);
ALTER TABLE ONLY public.keeper
    ADD CONSTRAINT keeper_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.meta
    ADD CONSTRAINT meta_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.own_card
    ADD CONSTRAINT own_card_pkey PRIMARY KEY (name);
ALTER TABLE ONLY public.own_material
    ADD CONSTRAINT own_material_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.own_profile
    ADD CONSTRAINT own_profile_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.price_list
    ADD CONSTRAINT price_list_pkey PRIMARY KEY (supplier);
ALTER TABLE ONLY public.probe
    ADD CONSTRAINT probe_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.probe
    ADD CONSTRAINT probe_token_sha256_key UNIQUE (token_sha256);
ALTER TABLE ONLY public.reading_hour
    ADD CONSTRAINT reading_hour_pkey PRIMARY KEY (probe_id, hour);
ALTER TABLE ONLY public.reading_import
    ADD CONSTRAINT reading_import_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.reading
    ADD CONSTRAINT reading_pkey PRIMARY KEY (probe_id, at);
ALTER TABLE ONLY public.resident
    ADD CONSTRAINT resident_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.room
    ADD CONSTRAINT room_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.schema_migration
    ADD CONSTRAINT schema_migration_pkey PRIMARY KEY (number);
ALTER TABLE ONLY public.school_choice
    ADD CONSTRAINT school_choice_pkey PRIMARY KEY (scope, about, topic);
ALTER TABLE ONLY public.shelf
    ADD CONSTRAINT shelf_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.stock_entry
    ADD CONSTRAINT stock_entry_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.training_answer
    ADD CONSTRAINT training_answer_pkey PRIMARY KEY (id);
CREATE UNIQUE INDEX entry_answers ON public.entry USING btree (resident_id, ((data ->> 'answers'::text))) WHERE ((undone_at IS NULL) AND (data ? 'answers'::text));
CREATE INDEX entry_history ON public.entry USING btree (resident_id, on_day DESC, at DESC, seq DESC) WHERE (undone_at IS NULL);
CREATE INDEX entry_of_day ON public.entry USING btree (on_day) WHERE (undone_at IS NULL);
CREATE INDEX entry_of_home ON public.entry USING btree (home_id, kind, on_day DESC, at DESC, seq DESC) WHERE (undone_at IS NULL);
CREATE INDEX entry_of_resident ON public.entry USING btree (resident_id, kind, on_day DESC, at DESC, seq DESC) WHERE (undone_at IS NULL);
CREATE INDEX entry_pair ON public.entry USING btree (pair) WHERE (pair IS NOT NULL);
CREATE UNIQUE INDEX home_code ON public.home USING btree (lower(code));
CREATE UNIQUE INDEX keeper_calendar ON public.keeper USING btree (calendar_sha256) WHERE (calendar_sha256 IS NOT NULL);
CREATE UNIQUE INDEX keeper_name ON public.keeper USING btree (lower(name));
CREATE INDEX probe_of_home ON public.probe USING btree (home_id);
CREATE INDEX probe_of_room ON public.probe USING btree (room_id);
CREATE INDEX reading_doubted ON public.reading USING btree (probe_id, at) WHERE (mark IS NOT NULL);
CREATE INDEX resident_out_of ON public.resident USING btree (out_of_id) WHERE (out_of_id IS NOT NULL);
CREATE UNIQUE INDEX room_name ON public.room USING btree (lower(name));
CREATE UNIQUE INDEX shelf_name ON public.shelf USING btree (room_id, lower(name));
CREATE INDEX staged_of_import ON public.reading_staged USING btree (import_id);
CREATE INDEX stock_of_item ON public.stock_entry USING btree (item, on_day, at, seq) WHERE (undone_at IS NULL);
CREATE INDEX training_answer_keeper ON public.training_answer USING btree (keeper, kind);
ALTER TABLE ONLY public.absence
    ADD CONSTRAINT absence_keeper_id_fkey FOREIGN KEY (keeper_id) REFERENCES public.keeper(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.entry
    ADD CONSTRAINT entry_home_id_fkey FOREIGN KEY (home_id) REFERENCES public.home(id);
ALTER TABLE ONLY public.entry_photo
    ADD CONSTRAINT entry_photo_entry_id_fkey FOREIGN KEY (entry_id) REFERENCES public.entry(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.entry
    ADD CONSTRAINT entry_resident_id_fkey FOREIGN KEY (resident_id) REFERENCES public.resident(id);
ALTER TABLE ONLY public.forbidden_food
    ADD CONSTRAINT forbidden_food_resident_id_fkey FOREIGN KEY (resident_id) REFERENCES public.resident(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.home_photo
    ADD CONSTRAINT home_photo_home_id_fkey FOREIGN KEY (home_id) REFERENCES public.home(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.home
    ADD CONSTRAINT home_shelf_id_fkey FOREIGN KEY (shelf_id) REFERENCES public.shelf(id);
ALTER TABLE ONLY public.keeper_busy
    ADD CONSTRAINT keeper_busy_keeper_id_fkey FOREIGN KEY (keeper_id) REFERENCES public.keeper(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.probe
    ADD CONSTRAINT probe_home_id_fkey FOREIGN KEY (home_id) REFERENCES public.home(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.probe
    ADD CONSTRAINT probe_room_id_fkey FOREIGN KEY (room_id) REFERENCES public.room(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.reading_hour
    ADD CONSTRAINT reading_hour_probe_id_fkey FOREIGN KEY (probe_id) REFERENCES public.probe(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.reading_import
    ADD CONSTRAINT reading_import_probe_id_fkey FOREIGN KEY (probe_id) REFERENCES public.probe(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.reading
    ADD CONSTRAINT reading_probe_id_fkey FOREIGN KEY (probe_id) REFERENCES public.probe(id) ON DELETE CASCADE;
ALTER TABLE ONLY public.resident
    ADD CONSTRAINT resident_father_id_fkey FOREIGN KEY (father_id) REFERENCES public.resident(id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.resident
    ADD CONSTRAINT resident_mother_id_fkey FOREIGN KEY (mother_id) REFERENCES public.resident(id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.resident
    ADD CONSTRAINT resident_out_of_id_fkey FOREIGN KEY (out_of_id) REFERENCES public.resident(id) DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.shelf
    ADD CONSTRAINT shelf_room_id_fkey FOREIGN KEY (room_id) REFERENCES public.room(id);

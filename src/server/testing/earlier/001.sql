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
    CONSTRAINT entry_check CHECK (((resident_id IS NOT NULL) OR (home_id IS NOT NULL)))
);
ALTER TABLE public.entry ALTER COLUMN seq ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.entry_seq_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
CREATE TABLE public.home (
    id uuid NOT NULL,
    code text NOT NULL,
    shelf_id uuid NOT NULL,
    place integer NOT NULL,
    container jsonb NOT NULL
);
CREATE VIEW public.home_now AS
 SELECT h.id,
    h.code,
    h.shelf_id,
    h.place,
    h.container,
    soil.substrate_depth_mm
   FROM (public.home h
     CROSS JOIN LATERAL ( SELECT ((e.data ->> 'substrateDepthMm'::text))::double precision AS substrate_depth_mm
           FROM public.entry e
          WHERE ((e.home_id = h.id) AND (e.kind = 'soil-set'::text) AND (e.undone_at IS NULL))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) soil);
CREATE TABLE public.meta (
    key text NOT NULL,
    value text NOT NULL
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
    school text
);
CREATE VIEW public.resident_now AS
 SELECT r.id,
    r.called,
    r.scientific_name,
    r.common_name,
    r.profile,
    r.sex,
    r.source,
    r.permit,
    r.school,
    taken.on_day AS taken_in_on,
    lives.home_id,
    grown.stage,
    sized.measures,
    sized.on_day AS measured_on
   FROM ((((public.resident r
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
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text])) AND (e.undone_at IS NULL) AND (e.data ? 'stage'::text))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) grown)
     CROSS JOIN LATERAL ( SELECT (e.data - 'stage'::text) AS measures,
            e.on_day
           FROM public.entry e
          WHERE ((e.resident_id = r.id) AND (e.kind = ANY (ARRAY['taken-in'::text, 'moulted'::text, 'measured'::text])) AND (e.undone_at IS NULL) AND (e.data ?| ARRAY['legSpanMm'::text, 'bodyLengthMm'::text, 'carapaceWidthMm'::text]))
          ORDER BY e.on_day DESC, e.at DESC, e.seq DESC
         LIMIT 1) sized);
CREATE TABLE public.room (
    id uuid NOT NULL,
    name text NOT NULL
);
CREATE TABLE public.schema_migration (
    number integer NOT NULL,
    name text NOT NULL,
    applied_at timestamp with time zone DEFAULT '2026-03-01 12:00:00+00'::timestamp with time zone NOT NULL
);
CREATE TABLE public.shelf (
    id uuid NOT NULL,
    room_id uuid NOT NULL,
    name text NOT NULL,
    "position" integer NOT NULL
);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000001', 'soil-set', NULL, '30000000-0000-4000-8000-000000000001', '2026-01-01', '2026-01-01 10:00:00+00', NULL, NULL, '{"substrateDepthMm": 40}', NULL, 1);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000002', 'soil-set', NULL, '30000000-0000-4000-8000-000000000002', '2026-01-01', '2026-01-01 10:00:00+00', NULL, NULL, '{"substrateDepthMm": 60}', NULL, 2);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000003', 'soil-set', NULL, '30000000-0000-4000-8000-000000000003', '2026-01-01', '2026-01-01 10:00:00+00', NULL, NULL, '{"substrateDepthMm": 0}', NULL, 3);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000004', 'taken-in', '40000000-0000-4000-8000-000000000001', '30000000-0000-4000-8000-000000000001', '2026-01-02', '2026-01-02 10:00:00+00', 'Imre Talsk', NULL, '{"stage": "juvenile", "legSpanMm": 60}', NULL, 4);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000005', 'taken-in', '40000000-0000-4000-8000-000000000002', '30000000-0000-4000-8000-000000000002', '2026-01-02', '2026-01-02 10:00:00+00', NULL, NULL, '{"stage": "spiderling", "legSpanMm": 22}', NULL, 5);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000006', 'taken-in', '40000000-0000-4000-8000-000000000003', '30000000-0000-4000-8000-000000000003', '2026-01-02', '2026-01-02 10:00:00+00', NULL, NULL, '{"stage": "adult", "headCount": 24, "bodyLengthMm": 10}', NULL, 6);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000007', 'offered', '40000000-0000-4000-8000-000000000001', NULL, '2026-02-20', '2026-02-20 18:00:00+00', 'Odalys Fenn', NULL, '{"preyCount": 2, "preyLengthMm": 10}', NULL, 7);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000008', 'moulted', '40000000-0000-4000-8000-000000000001', NULL, '2026-02-25', '2026-02-25 18:00:00+00', NULL, 'Its skin lay by the bark.', '{"legSpanMm": 72}', NULL, 8);
INSERT INTO public.entry OVERRIDING SYSTEM VALUE VALUES ('50000000-0000-4000-8000-000000000009', 'looked', '40000000-0000-4000-8000-000000000002', NULL, '2026-02-26', '2026-02-26 18:00:00+00', NULL, NULL, '{}', '2026-02-26 18:01:00+00', 9);
INSERT INTO public.home VALUES ('30000000-0000-4000-8000-000000000001', 'A1', '20000000-0000-4000-8000-000000000001', 1, '{"lid": "solid", "shape": "box", "vents": [{"side": "left", "count": 12, "shape": "hole", "diameterMm": 3, "centreHeightMm": 150}, {"side": "right", "count": 12, "shape": "hole", "diameterMm": 3, "centreHeightMm": 150}], "widthMm": 200, "heightMm": 300, "lengthMm": 200}');
INSERT INTO public.home VALUES ('30000000-0000-4000-8000-000000000002', 'A2', '20000000-0000-4000-8000-000000000001', 2, '{"lid": "solid", "shape": "cylinder", "vents": [], "heightMm": 160, "diameterMm": 90}');
INSERT INTO public.home VALUES ('30000000-0000-4000-8000-000000000003', 'F1', '20000000-0000-4000-8000-000000000001', 3, '{"lid": "solid", "shape": "box", "vents": [], "widthMm": 150, "heightMm": 60, "lengthMm": 200}');
INSERT INTO public.resident VALUES ('40000000-0000-4000-8000-000000000001', 'Vesper', 'Caribena versicolor', NULL, 'tree-tarantula', 'female', 'a breeder in Saltmere', NULL, 'mist-to-a-number');
INSERT INTO public.resident VALUES ('40000000-0000-4000-8000-000000000002', NULL, 'Grammostola pulchra', NULL, 'ground-tarantula', 'unknown', NULL, NULL, NULL);
INSERT INTO public.resident VALUES ('40000000-0000-4000-8000-000000000003', 'Old Timber', 'Camponotus ligniperda', NULL, 'ant-large-mediterranean', 'unknown', NULL, NULL, NULL);
INSERT INTO public.room VALUES ('10000000-0000-4000-8000-000000000001', 'Boiler Room');
INSERT INTO public.schema_migration VALUES (1, '001_begin.sql', '2026-03-01 12:00:00+00');
INSERT INTO public.shelf VALUES ('20000000-0000-4000-8000-000000000001', '10000000-0000-4000-8000-000000000001', 'Shelf A', 0);
SELECT pg_catalog.setval('public.entry_seq_seq', 9, true);
ALTER TABLE ONLY public.entry
    ADD CONSTRAINT entry_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.home
    ADD CONSTRAINT home_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.meta
    ADD CONSTRAINT meta_pkey PRIMARY KEY (key);
ALTER TABLE ONLY public.resident
    ADD CONSTRAINT resident_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.room
    ADD CONSTRAINT room_pkey PRIMARY KEY (id);
ALTER TABLE ONLY public.schema_migration
    ADD CONSTRAINT schema_migration_pkey PRIMARY KEY (number);
ALTER TABLE ONLY public.shelf
    ADD CONSTRAINT shelf_pkey PRIMARY KEY (id);
CREATE INDEX entry_of_day ON public.entry USING btree (on_day) WHERE (undone_at IS NULL);
CREATE INDEX entry_of_home ON public.entry USING btree (home_id, kind, on_day DESC, at DESC, seq DESC) WHERE (undone_at IS NULL);
CREATE INDEX entry_of_resident ON public.entry USING btree (resident_id, kind, on_day DESC, at DESC, seq DESC) WHERE (undone_at IS NULL);
CREATE UNIQUE INDEX home_code ON public.home USING btree (lower(code));
CREATE UNIQUE INDEX room_name ON public.room USING btree (lower(name));
CREATE UNIQUE INDEX shelf_name ON public.shelf USING btree (room_id, lower(name));
ALTER TABLE ONLY public.entry
    ADD CONSTRAINT entry_home_id_fkey FOREIGN KEY (home_id) REFERENCES public.home(id);
ALTER TABLE ONLY public.entry
    ADD CONSTRAINT entry_resident_id_fkey FOREIGN KEY (resident_id) REFERENCES public.resident(id);
ALTER TABLE ONLY public.home
    ADD CONSTRAINT home_shelf_id_fkey FOREIGN KEY (shelf_id) REFERENCES public.shelf(id);
ALTER TABLE ONLY public.shelf
    ADD CONSTRAINT shelf_room_id_fkey FOREIGN KEY (room_id) REFERENCES public.room(id);

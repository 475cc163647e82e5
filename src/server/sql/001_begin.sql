-- Rooms, shelves, homes and residents are what they are; what changes about them is written down as entries, and the
-- present state is read off the entries that have not been undone.

CREATE TABLE room (
  id uuid PRIMARY KEY,
  name text NOT NULL
);
CREATE UNIQUE INDEX room_name ON room (lower(name));

CREATE TABLE shelf (
  id uuid PRIMARY KEY,
  room_id uuid NOT NULL REFERENCES room (id),
  name text NOT NULL,
  position integer NOT NULL
);
CREATE UNIQUE INDEX shelf_name ON shelf (room_id, lower(name));

CREATE TABLE home (
  id uuid PRIMARY KEY,
  code text NOT NULL,
  shelf_id uuid NOT NULL REFERENCES shelf (id),
  place integer NOT NULL,
  container jsonb NOT NULL
);
CREATE UNIQUE INDEX home_code ON home (lower(code));

CREATE TABLE resident (
  id uuid PRIMARY KEY,
  called text,
  scientific_name text NOT NULL,
  common_name text,
  profile text NOT NULL,
  sex text NOT NULL,
  source text,
  permit text,
  school text
);

CREATE TABLE entry (
  id uuid PRIMARY KEY,
  kind text NOT NULL,
  resident_id uuid REFERENCES resident (id),
  home_id uuid REFERENCES home (id),
  on_day date NOT NULL,
  at timestamptz NOT NULL,
  keeper text,
  note text,
  data jsonb NOT NULL,
  undone_at timestamptz,
  -- Tells entries of one instant apart, in the order in which they came.
  seq bigint GENERATED ALWAYS AS IDENTITY,
  CHECK (resident_id IS NOT NULL OR home_id IS NOT NULL)
);
CREATE INDEX entry_of_resident ON entry (resident_id, kind, on_day DESC, at DESC, seq DESC) WHERE undone_at IS NULL;
CREATE INDEX entry_of_home ON entry (home_id, kind, on_day DESC, at DESC, seq DESC) WHERE undone_at IS NULL;
CREATE INDEX entry_of_day ON entry (on_day) WHERE undone_at IS NULL;

-- Facts about the data itself: when the demo was laid, and the like.
CREATE TABLE meta (
  key text PRIMARY KEY,
  value text NOT NULL
);

-- A resident is here as long as its taking in stands. Its home, stage and size are the latest written down.
CREATE VIEW resident_now AS
SELECT r.*, taken.on_day AS taken_in_on, lives.home_id, grown.stage, sized.measures, sized.on_day AS measured_on
FROM resident r
CROSS JOIN LATERAL (
  SELECT e.on_day FROM entry e
  WHERE e.resident_id = r.id AND e.kind = 'taken-in' AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) taken
CROSS JOIN LATERAL (
  SELECT e.home_id FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moved') AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) lives
CROSS JOIN LATERAL (
  SELECT e.data ->> 'stage' AS stage FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
    AND e.data ? 'stage'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) grown
CROSS JOIN LATERAL (
  SELECT e.data - 'stage' AS measures, e.on_day FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
    AND e.data ?| ARRAY['legSpanMm', 'bodyLengthMm', 'carapaceWidthMm']
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) sized;

CREATE VIEW home_now AS
SELECT h.*, soil.substrate_depth_mm
FROM home h
CROSS JOIN LATERAL (
  SELECT (e.data ->> 'substrateDepthMm')::double precision AS substrate_depth_mm FROM entry e
  WHERE e.home_id = h.id AND e.kind = 'soil-set' AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) soil;

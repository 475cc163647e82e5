-- The air of rooms and homes: what keepers say of it, what probes read, and what the readings have taught.

ALTER TABLE room
  ADD COLUMN air jsonb;

ALTER TABLE home
  ADD COLUMN heat jsonb,
  ADD COLUMN dish_area_cm2 double precision,
  -- Draught and surface of this box against one of its kind, from its own readings.
  ADD COLUMN factors jsonb;

CREATE TABLE probe (
  id uuid PRIMARY KEY,
  name text NOT NULL,
  kind text NOT NULL,
  place text NOT NULL,
  home_id uuid REFERENCES home (id) ON DELETE CASCADE,
  room_id uuid REFERENCES room (id) ON DELETE CASCADE,
  -- Of the token only its digest is kept: it is shown once.
  token_sha256 text UNIQUE,
  -- The device that uses the token, once it has said who it is.
  device text,
  fault text NOT NULL DEFAULT 'none',
  fault_from timestamptz,
  added_at timestamptz NOT NULL,
  CHECK ((home_id IS NULL) <> (room_id IS NULL))
);
CREATE INDEX probe_of_home ON probe (home_id);
CREATE INDEX probe_of_room ON probe (room_id);

CREATE TABLE reading (
  probe_id uuid NOT NULL REFERENCES probe (id) ON DELETE CASCADE,
  at timestamptz NOT NULL,
  temperature_c real,
  relative_humidity_pct real,
  mass_g real,
  mark text,
  PRIMARY KEY (probe_id, at)
);
CREATE INDEX reading_doubted ON reading (probe_id, at) WHERE mark IS NOT NULL;

-- What a probe said hour by hour, doubted readings left out: alarms and long courses are read off this.
CREATE TABLE reading_hour (
  probe_id uuid NOT NULL REFERENCES probe (id) ON DELETE CASCADE,
  hour timestamptz NOT NULL,
  readings integer NOT NULL,
  last_at timestamptz NOT NULL,
  temperature_c real,
  relative_humidity_pct real,
  mass_g real,
  low_pct real,
  high_pct real,
  PRIMARY KEY (probe_id, hour)
);

-- Rows of a file on their way in: nobody sees them until the whole file has come.
CREATE TABLE reading_import (
  id uuid PRIMARY KEY,
  probe_id uuid NOT NULL REFERENCES probe (id) ON DELETE CASCADE,
  begun_at timestamptz NOT NULL
);
-- Lost with the power: then the file is sent again.
CREATE UNLOGGED TABLE reading_staged (
  import_id uuid NOT NULL,
  at timestamptz NOT NULL,
  temperature_c real,
  relative_humidity_pct real,
  mark text
);
CREATE INDEX staged_of_import ON reading_staged (import_id);

DROP VIEW home_now;
CREATE VIEW home_now AS
SELECT h.*, filled.substrate_depth_mm, filled.soil, photo.version AS photo_version
FROM home h
CROSS JOIN LATERAL (
  SELECT (e.data ->> 'substrateDepthMm')::double precision AS substrate_depth_mm, e.data -> 'soil' AS soil FROM entry e
  WHERE e.home_id = h.id AND e.kind = 'soil-set' AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) filled
LEFT JOIN home_photo photo ON photo.home_id = h.id;

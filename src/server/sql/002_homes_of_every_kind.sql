-- What is in a home besides its soil; profiles and materials of the keepers' own; shelves that bear so much.

ALTER TABLE shelf ADD COLUMN load_limit_kg double precision;

ALTER TABLE home
  ADD COLUMN furniture jsonb,
  ADD COLUMN litter_depth_mm double precision,
  ADD COLUMN nest jsonb,
  ADD COLUMN mix_id text,
  ADD COLUMN weight_limit_kg double precision,
  ADD COLUMN quarantine_since date;

CREATE TABLE home_photo (
  home_id uuid PRIMARY KEY REFERENCES home (id) ON DELETE CASCADE,
  jpeg bytea NOT NULL,
  -- Part of the picture's address: another picture is another address.
  version bigint GENERATED ALWAYS AS IDENTITY
);

CREATE TABLE own_profile (
  id text PRIMARY KEY,
  profile jsonb NOT NULL
);

CREATE TABLE own_material (
  id text PRIMARY KEY,
  numbers jsonb NOT NULL
);

-- Kinds that are counted need not be measured: their size may be missing, their number is read off like a size.
DROP VIEW resident_now;
CREATE VIEW resident_now AS
SELECT r.*, taken.on_day AS taken_in_on, lives.home_id, grown.stage,
  coalesce(sized.measures, '{}'::jsonb) AS measures, coalesce(sized.on_day, taken.on_day) AS measured_on,
  counted.head_count
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
LEFT JOIN LATERAL (
  SELECT e.data - 'stage' - 'headCount' AS measures, e.on_day FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
    AND e.data ?| ARRAY['legSpanMm', 'bodyLengthMm', 'carapaceWidthMm']
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) sized ON true
LEFT JOIN LATERAL (
  SELECT (e.data ->> 'headCount')::integer AS head_count FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
    AND e.data ? 'headCount'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) counted ON true;

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

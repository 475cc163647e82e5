-- Schools on every topic, for a room, a kind or one resident; food that one is never given; what the store holds.

-- `about` is the id of a room, a profile or a resident. The nearest choice holds.
CREATE TABLE school_choice (
  scope text NOT NULL CHECK (scope IN ('room', 'kind', 'resident')),
  about text NOT NULL,
  topic text NOT NULL,
  school text NOT NULL,
  PRIMARY KEY (scope, about, topic)
);
-- From here on nothing reads resident.school; it stays for the views that were made with it.
INSERT INTO school_choice (scope, about, topic, school)
SELECT 'resident', id::text,
  CASE WHEN school IN ('small-and-often', 'large-and-rarely') THEN 'feeding' ELSE 'air' END, school
FROM resident WHERE school IS NOT NULL;

CREATE TABLE forbidden_food (
  resident_id uuid NOT NULL REFERENCES resident (id) ON DELETE CASCADE,
  food text NOT NULL,
  why text NOT NULL,
  PRIMARY KEY (resident_id, food)
);

-- A job is answered once: of two keepers who log the same meal the first counts.
CREATE UNIQUE INDEX entry_answers ON entry (resident_id, (data ->> 'answers'))
  WHERE undone_at IS NULL AND data ? 'answers';

-- What came into the store and went out of it, beside what was fed. Items are sizes of feeders, foods and materials.
CREATE TABLE stock_entry (
  id uuid PRIMARY KEY,
  item text NOT NULL,
  kind text NOT NULL CHECK (kind IN ('bought', 'harvested', 'counted', 'died', 'thrown')),
  amount double precision NOT NULL CHECK (amount >= 0),
  on_day date NOT NULL,
  at timestamptz NOT NULL,
  keeper text,
  note text,
  undone_at timestamptz,
  seq bigint GENERATED ALWAYS AS IDENTITY
);
CREATE INDEX stock_of_item ON stock_entry (item, on_day, at, seq) WHERE undone_at IS NULL;

CREATE TABLE feeder_culture (
  id uuid PRIMARY KEY,
  called text NOT NULL,
  kind text NOT NULL,
  breeders integer NOT NULL CHECK (breeders >= 0),
  -- The size that is taken out of it.
  harvested text NOT NULL,
  begun_on date NOT NULL
);

-- The keepers' own price list in the place of the one that ships.
CREATE TABLE price_list (
  supplier text PRIMARY KEY,
  csv text NOT NULL,
  set_at timestamptz NOT NULL
);

-- Who keeps the house: which rooms each walks, when, in which time zone; the days on which each has no time; absences.

CREATE TABLE keeper (
  id uuid PRIMARY KEY,
  name text NOT NULL,
  -- Rooms that this keeper walks; none for all of them.
  room_ids jsonb NOT NULL DEFAULT '[]'::jsonb,
  -- When the walk begins, on the clock of the time zone: '19:00'.
  walk_at text NOT NULL,
  zone text NOT NULL,
  -- The secret part of the address of the calendar, as its SHA-256; null while nobody has asked for one.
  calendar_sha256 text
);
CREATE UNIQUE INDEX keeper_name ON keeper (lower(name));
CREATE UNIQUE INDEX keeper_calendar ON keeper (calendar_sha256) WHERE calendar_sha256 IS NOT NULL;

CREATE TABLE keeper_busy (
  keeper_id uuid NOT NULL REFERENCES keeper (id) ON DELETE CASCADE,
  on_day date NOT NULL,
  PRIMARY KEY (keeper_id, on_day)
);

CREATE TABLE absence (
  id uuid PRIMARY KEY,
  -- Who is away; null for all keepers.
  keeper_id uuid REFERENCES keeper (id) ON DELETE CASCADE,
  from_day date NOT NULL,
  until_day date NOT NULL CHECK (until_day >= from_day),
  sitter text,
  -- Whom to call, as the sheet says it.
  call text,
  -- The secret part of the address of the sitter's page.
  page_sha256 text UNIQUE,
  undone_at timestamptz
);

-- Lists of boxes, residents and past events that were brought in, each taken back as one act.
CREATE TABLE brought_list (
  id uuid PRIMARY KEY,
  kind text NOT NULL CHECK (kind IN ('boxes', 'residents', 'events')),
  name text,
  rows integer NOT NULL,
  -- Of its rows: the same list is not brought in twice.
  hash text NOT NULL,
  at timestamptz NOT NULL,
  entry_ids uuid[] NOT NULL,
  home_ids uuid[] NOT NULL,
  undone_at timestamptz
);
CREATE UNIQUE INDEX brought_once ON brought_list (kind, hash) WHERE undone_at IS NULL;

-- A home as it was before it was changed: how a colony grew is followed in the room that it had then.

CREATE TABLE home_was (
  home_id uuid NOT NULL REFERENCES home (id) ON DELETE CASCADE,
  -- The day on which it was changed; of several changes on a day the first.
  until_day date NOT NULL,
  container jsonb NOT NULL,
  furniture jsonb,
  nest jsonb,
  PRIMARY KEY (home_id, until_day)
);

-- How an entry stood before it was put right. The entry itself keeps its id, so that what rests on it still finds it.
CREATE TABLE entry_version (
  entry_id uuid NOT NULL REFERENCES entry (id),
  number integer NOT NULL,
  was jsonb NOT NULL,
  changed_at timestamptz NOT NULL,
  changed_by text,
  PRIMARY KEY (entry_id, number)
);

-- Windows as they were shown, each once: of a moult, of a drying, of a hatching, of what the house will eat. What came of them is
-- read off the log, so that what is written late or taken back counts as it should.
CREATE TABLE forecast_kept (
  engine text NOT NULL CHECK (engine IN ('moult', 'drying', 'hatch', 'need')),
  -- Whose: a resident, a home by the entry that decides it, or a kind of feeder; and from which day its days are counted.
  subject text NOT NULL,
  since date NOT NULL,
  -- The kind that ships it is of.
  kind text NOT NULL,
  made_on date NOT NULL,
  p10 double precision NOT NULL,
  p50 double precision NOT NULL,
  p90 double precision NOT NULL,
  is_log boolean NOT NULL,
  -- What a naive forecast would have said.
  naive double precision,
  -- The window was made so many times as wide as the engine alone would have.
  spread_times double precision NOT NULL DEFAULT 1,
  -- A moult within so many days counted as close.
  close_days double precision,
  -- Worked out afterwards from what was known on that day.
  is_replayed boolean NOT NULL,
  -- Of a drying: what a handful told of it.
  happened double precision,
  PRIMARY KEY (engine, subject, since)
);

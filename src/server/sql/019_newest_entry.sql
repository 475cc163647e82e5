-- The newest entry is looked for whenever the time is told: is the clock behind it?
CREATE INDEX entry_newest ON entry (at) WHERE undone_at IS NULL;

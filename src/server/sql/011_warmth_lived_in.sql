-- How warm it has been, week by week and since when: an interval between two moults counts with the warmth it was lived in.

CREATE TABLE reading_week (
  probe_id uuid NOT NULL REFERENCES probe (id) ON DELETE CASCADE,
  -- Its Monday, UTC.
  week date NOT NULL,
  -- Mean of its hours, each at least as warm as the base of development. C, to a tenth: no single reading makes another answer.
  warmth_c double precision NOT NULL,
  PRIMARY KEY (probe_id, week)
);
INSERT INTO reading_week (probe_id, week, warmth_c)
  SELECT h.probe_id, (date_bin('7 days', h.hour, TIMESTAMPTZ '2000-01-03Z') AT TIME ZONE 'UTC')::date,
    round(avg(greatest(h.temperature_c, 10))::numeric, 1)
  FROM reading_hour h WHERE h.temperature_c IS NOT NULL
  GROUP BY 1, 2 HAVING count(*) >= 24;

-- What keepers said of the warmth of a room, and from which day on; null where they took it back.
CREATE TABLE room_warmth (
  room_id uuid NOT NULL REFERENCES room (id) ON DELETE CASCADE,
  from_day date NOT NULL,
  temperature_c double precision,
  PRIMARY KEY (room_id, from_day)
);
-- Nobody wrote down since when; the first that is said of a room holds for the time before, too.
INSERT INTO room_warmth (room_id, from_day, temperature_c)
  SELECT r.id, DATE '2000-01-01', (r.air ->> 'temperatureC')::double precision FROM room r WHERE r.air ? 'temperatureC';

ALTER TABLE touched DROP CONSTRAINT touched_what_check;
-- 'warmth' is how warm it was in a home or a room in some week.
ALTER TABLE touched ADD CONSTRAINT touched_what_check
  CHECK (what IN ('resident', 'home', 'air', 'warmth', 'room', 'store', 'all'));

CREATE FUNCTION touch_warmth() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about)
    SELECT DISTINCT 'warmth', coalesce(p.home_id, p.room_id) FROM probe p WHERE p.id IN (SELECT r.probe_id FROM changed r);
  RETURN NULL;
END $$;
CREATE TRIGGER touched_in AFTER INSERT ON reading_week REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION touch_warmth();
CREATE TRIGGER touched_up AFTER UPDATE ON reading_week REFERENCING NEW TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION touch_warmth();
CREATE TRIGGER touched_out AFTER DELETE ON reading_week REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION touch_warmth();
CREATE TRIGGER touched AFTER INSERT OR UPDATE OR DELETE ON room_warmth FOR EACH STATEMENT EXECUTE FUNCTION touch_all();

-- The weeks of a probe go with it, after the probe itself.
CREATE FUNCTION touch_warmth_of_probes() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about) SELECT DISTINCT 'warmth', coalesce(r.home_id, r.room_id) FROM changed r;
  RETURN NULL;
END $$;
CREATE TRIGGER touched_warmth_out AFTER DELETE ON probe REFERENCING OLD TABLE AS changed
  FOR EACH STATEMENT EXECUTE FUNCTION touch_warmth_of_probes();

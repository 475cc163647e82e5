-- Which residents, homes and rooms something was written about, and in which transaction: whoever keeps answers works out anew
-- what was touched, and nothing else. Also what another program writes to the same database is told here.
CREATE TABLE touched (
  id bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  tx xid8 NOT NULL DEFAULT pg_current_xact_id(),
  -- 'resident', 'home' and 'room' say whose; 'air' is what the probes in a home say; 'store' is what lies in it; 'all' may
  -- have changed anything.
  what text NOT NULL CHECK (what IN ('resident', 'home', 'air', 'room', 'store', 'all')),
  about uuid
);
CREATE INDEX touched_tx ON touched (tx);

CREATE FUNCTION touch_entries() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about)
    SELECT DISTINCT 'resident', r.resident_id FROM changed r WHERE r.resident_id IS NOT NULL
    UNION SELECT DISTINCT 'home', r.home_id FROM changed r WHERE r.home_id IS NOT NULL;
  -- What was fed is taken out of the store.
  IF EXISTS (SELECT 1 FROM changed r WHERE r.kind = 'offered') THEN
    INSERT INTO touched (what) VALUES ('store');
  END IF;
  RETURN NULL;
END $$;

CREATE FUNCTION touch_residents() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about) SELECT DISTINCT 'resident', r.id FROM changed r;
  RETURN NULL;
END $$;

CREATE FUNCTION touch_foods() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about) SELECT DISTINCT 'resident', r.resident_id FROM changed r;
  RETURN NULL;
END $$;

CREATE FUNCTION touch_homes() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about) SELECT DISTINCT 'home', r.id FROM changed r;
  RETURN NULL;
END $$;

CREATE FUNCTION touch_photos() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about) SELECT DISTINCT 'home', r.home_id FROM changed r;
  RETURN NULL;
END $$;

CREATE FUNCTION touch_choices() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about)
    SELECT 'resident', r.about::uuid FROM changed r WHERE r.scope = 'resident'
    UNION SELECT 'all', NULL FROM changed r WHERE r.scope <> 'resident';
  RETURN NULL;
END $$;

CREATE FUNCTION touch_probes() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about)
    SELECT DISTINCT 'air', r.home_id FROM changed r WHERE r.home_id IS NOT NULL
    UNION SELECT DISTINCT 'room', r.room_id FROM changed r WHERE r.room_id IS NOT NULL;
  RETURN NULL;
END $$;

CREATE FUNCTION touch_readings() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what, about)
    SELECT DISTINCT 'air', p.home_id FROM probe p WHERE p.home_id IS NOT NULL
      AND p.id IN (SELECT r.probe_id FROM changed r)
    UNION SELECT DISTINCT 'room', p.room_id FROM probe p WHERE p.room_id IS NOT NULL
      AND p.id IN (SELECT r.probe_id FROM changed r);
  RETURN NULL;
END $$;

CREATE FUNCTION touch_store() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what) VALUES ('store');
  RETURN NULL;
END $$;

CREATE FUNCTION touch_all() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
  INSERT INTO touched (what) VALUES ('all');
  RETURN NULL;
END $$;

DO $$
DECLARE
  tables CONSTANT text[] := ARRAY['entry touch_entries', 'resident touch_residents', 'forbidden_food touch_foods',
    'home touch_homes', 'home_photo touch_photos', 'school_choice touch_choices', 'probe touch_probes',
    'reading touch_readings'];
  pair text;
  named text;
  does text;
BEGIN
  FOREACH pair IN ARRAY tables LOOP
    named := split_part(pair, ' ', 1);
    does := split_part(pair, ' ', 2);
    EXECUTE format('CREATE TRIGGER touched_in AFTER INSERT ON %I REFERENCING NEW TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION %I()', named, does);
    EXECUTE format('CREATE TRIGGER touched_up AFTER UPDATE ON %I REFERENCING NEW TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION %I()', named, does);
    EXECUTE format('CREATE TRIGGER touched_out AFTER DELETE ON %I REFERENCING OLD TABLE AS changed
      FOR EACH STATEMENT EXECUTE FUNCTION %I()', named, does);
    EXECUTE format('CREATE TRIGGER touched_whole AFTER TRUNCATE ON %I
      FOR EACH STATEMENT EXECUTE FUNCTION touch_all()', named);
  END LOOP;
  FOREACH named IN ARRAY ARRAY['stock_entry', 'feeder_culture'] LOOP
    EXECUTE format('CREATE TRIGGER touched AFTER INSERT OR UPDATE OR DELETE ON %I
      FOR EACH STATEMENT EXECUTE FUNCTION touch_store()', named);
  END LOOP;
  FOREACH named IN ARRAY ARRAY['room', 'shelf', 'own_profile', 'own_material', 'meta'] LOOP
    EXECUTE format('CREATE TRIGGER touched AFTER INSERT OR UPDATE OR DELETE ON %I
      FOR EACH STATEMENT EXECUTE FUNCTION touch_all()', named);
  END LOOP;
END $$;

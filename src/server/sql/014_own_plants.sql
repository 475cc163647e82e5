-- Food plants of the keepers' own, and the plants that one is given, where its keeper chose them.
CREATE TABLE own_plant (
  id text PRIMARY KEY,
  food jsonb NOT NULL
);
CREATE TRIGGER touched AFTER INSERT OR UPDATE OR DELETE ON own_plant FOR EACH STATEMENT EXECUTE FUNCTION touch_all();
ALTER TABLE resident ADD COLUMN plants jsonb;

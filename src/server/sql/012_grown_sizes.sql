-- What keepers say of how large one becomes: of one animal, and of a species on their own card. mm, of the measure that is taken.
ALTER TABLE resident ADD COLUMN grown_mm double precision;
ALTER TABLE own_card ADD COLUMN grown_mm double precision;

-- Everybody's numbers may rest on a card.
CREATE TRIGGER touched AFTER INSERT OR UPDATE OR DELETE ON own_card FOR EACH STATEMENT EXECUTE FUNCTION touch_all();

-- A copy of a profile is of the kind that it was copied from: its eggs, its winter and its dangers are those of that kind. Copies
-- that were made before tell it by their ids.
UPDATE own_profile SET profile = profile || jsonb_build_object('kind', regexp_replace(id, '(-own(-[0-9]+)?)+$', ''))
  WHERE id ~ '-own(-[0-9]+)?$';

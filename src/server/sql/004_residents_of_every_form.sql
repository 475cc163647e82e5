-- Residents of every form, from their parents to their leaving; their sex with its evidence, their weight and photos.

ALTER TABLE resident
  ADD COLUMN form text NOT NULL DEFAULT 'single',
  ADD COLUMN born_on date,
  ADD COLUMN mother_id uuid REFERENCES resident (id) DEFERRABLE INITIALLY DEFERRED,
  ADD COLUMN father_id uuid REFERENCES resident (id) DEFERRABLE INITIALLY DEFERRED,
  -- The egg batch or the group of this house that it came out of.
  ADD COLUMN out_of_id uuid REFERENCES resident (id) DEFERRABLE INITIALLY DEFERRED,
  -- What its batch was called where it came from: those of one batch are siblings.
  ADD COLUMN batch text;
CREATE INDEX resident_out_of ON resident (out_of_id) WHERE out_of_id IS NOT NULL;

UPDATE resident r SET form = CASE WHEN r.profile LIKE 'ant-%' THEN 'colony' ELSE 'group' END
WHERE r.profile LIKE 'ant-%' OR EXISTS (
  SELECT 1 FROM entry e WHERE e.resident_id = r.id AND e.data ? 'headCount');

-- Two entries that are one act (one left a group, another began) are undone together.
ALTER TABLE entry ADD COLUMN pair uuid;
CREATE INDEX entry_pair ON entry (pair) WHERE pair IS NOT NULL;
-- History is read newest first, whatever the kind.
CREATE INDEX entry_history ON entry (resident_id, on_day DESC, at DESC, seq DESC) WHERE undone_at IS NULL;

CREATE TABLE entry_photo (
  entry_id uuid PRIMARY KEY REFERENCES entry (id) ON DELETE CASCADE,
  jpeg bytea NOT NULL
);

DROP VIEW resident_now;
-- Whoever was ever taken in, as last written down; `left_on` of those that are here no longer.
CREATE VIEW resident_ever AS
SELECT r.id, r.called, r.scientific_name, r.common_name, r.profile, r.source, r.permit, r.school, r.form,
  r.mother_id, r.father_id, r.out_of_id, r.batch,
  coalesce(hatched.on_day, r.born_on) AS born_on,
  coalesce(sexed.sex, r.sex) AS sex, sexed.by AS sex_by,
  taken.on_day AS taken_in_on, lives.home_id, grown.stage,
  coalesce(sized.measures, '{}'::jsonb) AS measures, coalesce(sized.on_day, taken.on_day) AS measured_on,
  weighed.mass_g,
  counted.head_count + coalesce(changed.heads, 0) AS head_count,
  stepped.instar + coalesce(moulted.times, 0) AS instar,
  gone.on_day AS left_on, gone.at AS left_at, gone.kind AS left_by
FROM resident r
CROSS JOIN LATERAL (
  SELECT e.on_day FROM entry e
  WHERE e.resident_id = r.id AND e.kind = 'taken-in' AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) taken
CROSS JOIN LATERAL (
  SELECT e.home_id FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moved') AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) lives
CROSS JOIN LATERAL (
  SELECT e.data ->> 'stage' AS stage FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured', 'hatched') AND e.undone_at IS NULL
    AND e.data ? 'stage'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) grown
LEFT JOIN LATERAL (
  SELECT jsonb_strip_nulls(jsonb_build_object('legSpanMm', e.data -> 'legSpanMm', 'bodyLengthMm',
      e.data -> 'bodyLengthMm', 'carapaceWidthMm', e.data -> 'carapaceWidthMm')) AS measures, e.on_day
  FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured', 'hatched') AND e.undone_at IS NULL
    AND e.data ?| ARRAY['legSpanMm', 'bodyLengthMm', 'carapaceWidthMm']
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) sized ON true
LEFT JOIN LATERAL (
  SELECT (e.data ->> 'massG')::double precision AS mass_g FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
    AND e.data ? 'massG'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) weighed ON true
LEFT JOIN LATERAL (
  SELECT (e.data ->> 'headCount')::integer AS head_count, e.on_day, e.at, e.seq FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured', 'hatched') AND e.undone_at IS NULL
    AND e.data ? 'headCount'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) counted ON true
-- Heads that came or went since they were last counted.
LEFT JOIN LATERAL (
  SELECT sum((e.data ->> 'count')::integer * CASE WHEN e.kind = 'joined' THEN 1 ELSE -1 END)::integer AS heads
  FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('died', 'passed-on', 'parted', 'joined', 'joined-into')
    AND e.undone_at IS NULL AND e.data ? 'count'
    AND (e.on_day, e.at, e.seq) > (counted.on_day, counted.at, counted.seq)
) changed ON true
LEFT JOIN LATERAL (
  SELECT e.data ->> 'sex' AS sex, e.data ->> 'by' AS by FROM entry e
  WHERE e.resident_id = r.id AND e.kind = 'sexed' AND e.undone_at IS NULL
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) sexed ON true
LEFT JOIN LATERAL (
  SELECT e.on_day FROM entry e
  WHERE e.resident_id = r.id AND e.kind = 'hatched' AND e.undone_at IS NULL
  ORDER BY e.on_day, e.at, e.seq LIMIT 1
) hatched ON true
LEFT JOIN LATERAL (
  SELECT (e.data ->> 'instar')::integer AS instar, e.on_day, e.at, e.seq FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('taken-in', 'moulted', 'measured') AND e.undone_at IS NULL
    AND e.data ? 'instar' AND NOT e.data ? 'count'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) stepped ON true
LEFT JOIN LATERAL (
  SELECT count(*)::integer AS times FROM entry e
  WHERE e.resident_id = r.id AND e.kind = 'moulted' AND e.undone_at IS NULL AND NOT e.data ? 'count'
    AND (e.on_day, e.at, e.seq) > (stepped.on_day, stepped.at, stepped.seq)
) moulted ON true
LEFT JOIN LATERAL (
  SELECT e.on_day, e.at, e.kind FROM entry e
  WHERE e.resident_id = r.id AND e.kind IN ('died', 'passed-on', 'joined-into') AND e.undone_at IS NULL
    AND e.data ? 'everybody'
  ORDER BY e.on_day DESC, e.at DESC, e.seq DESC LIMIT 1
) gone ON true;

CREATE VIEW resident_now AS SELECT * FROM resident_ever WHERE left_on IS NULL;

-- Minutes, and days between meals, say what they rest on, as every other number of a profile does.
UPDATE own_profile
SET profile = profile || jsonb_strip_nulls(jsonb_build_object(
  'homeWork', jsonb_build_object('basis', 'your own setting') || (profile -> 'homeWork'),
  'feeding', jsonb_build_object('basis', 'your own setting') || (profile -> 'feeding'),
  'diet', jsonb_build_object('basis', 'your own setting') || (profile -> 'diet')
));

-- A photo as lists show it: made when it is first asked for.
ALTER TABLE entry_photo ADD COLUMN small bytea;

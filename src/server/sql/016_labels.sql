-- Labels as they were printed: a label whose words are others now is to be printed anew.
CREATE TABLE label_print (
  id uuid PRIMARY KEY,
  printed_at timestamptz NOT NULL,
  -- On the label printer, or as a file for sheets.
  went_to text NOT NULL CHECK (went_to IN ('printer', 'file')),
  stock jsonb NOT NULL,
  start_at int NOT NULL,
  address text NOT NULL,
  cut_marks boolean NOT NULL,
  undone_at timestamptz
);
CREATE INDEX label_print_at ON label_print (printed_at);

CREATE TABLE label_printed (
  print_id uuid NOT NULL REFERENCES label_print (id) ON DELETE CASCADE,
  place int NOT NULL,
  -- A resident, or a home in which nobody lives.
  about uuid NOT NULL,
  home_id uuid NOT NULL,
  says text NOT NULL,
  PRIMARY KEY (print_id, place)
);
CREATE INDEX label_printed_about ON label_printed (about);

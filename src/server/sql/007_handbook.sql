-- The keepers' own handbook: their cards, and how helpers answered the trainer's cases.

CREATE TABLE own_card (
  -- The scientific name without its author: one card for a species.
  name text PRIMARY KEY,
  common_name text,
  profile text NOT NULL,
  -- What its keepers write, by the part of the card: {"home": "..."}.
  notes jsonb NOT NULL DEFAULT '{}'::jsonb,
  -- Names that lead to it.
  synonyms jsonb NOT NULL DEFAULT '[]'::jsonb,
  keeper text,
  changed_at timestamptz NOT NULL
);

CREATE TABLE training_answer (
  id uuid PRIMARY KEY,
  keeper text NOT NULL,
  kind text NOT NULL,
  is_right boolean NOT NULL,
  at timestamptz NOT NULL
);
CREATE INDEX training_answer_keeper ON training_answer (keeper, kind);

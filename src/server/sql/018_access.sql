-- Who may come in. In a schema of its own: a backup holds no password and no session, and a file that is brought in lets
-- nobody in and locks nobody out.

CREATE SCHEMA access;

CREATE TABLE access.person (
  id uuid PRIMARY KEY,
  -- As entries carry it, and the keepers who walk.
  name text NOT NULL,
  role text NOT NULL CHECK (role IN ('keeper', 'helper', 'reader')),
  -- Argon2id, or scrypt, in the form that names the method and its costs; null for who signs in otherwise.
  password text,
  pin text
);
CREATE UNIQUE INDEX person_name ON access.person (lower(name));

CREATE TABLE access.session (
  id uuid PRIMARY KEY,
  token_sha256 text NOT NULL UNIQUE,
  person_id uuid NOT NULL REFERENCES access.person (id) ON DELETE CASCADE,
  device text NOT NULL,
  is_shared boolean NOT NULL,
  lock_after_min integer,
  made_at timestamptz NOT NULL,
  seen_at timestamptz NOT NULL,
  -- When somebody last touched the page.
  touched_at timestamptz NOT NULL,
  ends_at timestamptz NOT NULL,
  locked_at timestamptz,
  wrong_pins integer NOT NULL DEFAULT 0
);

CREATE TABLE access.pairing (
  sha256 text PRIMARY KEY,
  person_id uuid NOT NULL REFERENCES access.person (id) ON DELETE CASCADE,
  ends_at timestamptz NOT NULL
);

CREATE TABLE access.passkey (
  id text PRIMARY KEY,
  person_id uuid NOT NULL REFERENCES access.person (id) ON DELETE CASCADE,
  -- The name of the house under which it was made: it opens no other.
  site text NOT NULL,
  name text NOT NULL,
  public_key text NOT NULL,
  counter bigint NOT NULL,
  transports jsonb NOT NULL,
  made_at timestamptz NOT NULL,
  used_at timestamptz
);

CREATE TABLE access.log (
  seq bigint GENERATED ALWAYS AS IDENTITY PRIMARY KEY,
  at timestamptz NOT NULL,
  who text,
  what text NOT NULL,
  detail text NOT NULL,
  address text NOT NULL
);

-- Who may come in, and where to. What a studio knows of its trainees lies in its own file.
CREATE TABLE account (
  id            TEXT PRIMARY KEY,
  sign_in_name  TEXT NOT NULL UNIQUE CHECK (length(sign_in_name) BETWEEN 3 AND 60),
  name          TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  initials      TEXT NOT NULL CHECK (length(initials) BETWEEN 2 AND 4),
  password_hash TEXT NOT NULL,
  made_at       TEXT NOT NULL
) STRICT;

CREATE TABLE studio (
  id      TEXT PRIMARY KEY,
  name    TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  made_at TEXT NOT NULL
) STRICT;

-- A membership that ended stays, since records name the account.
CREATE TABLE membership (
  account_id TEXT NOT NULL REFERENCES account (id),
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  role       TEXT NOT NULL CHECK (role IN ('owner', 'coach', 'assistant')),
  since      TEXT NOT NULL,
  ended_at   TEXT,
  PRIMARY KEY (account_id, studio_id)
) STRICT;

-- A device on which somebody is signed in. The token itself is known to the device alone.
CREATE TABLE sign_in (
  id           TEXT PRIMARY KEY,
  token_hash   TEXT NOT NULL UNIQUE,
  account_id   TEXT NOT NULL REFERENCES account (id),
  studio_id    TEXT REFERENCES studio (id),
  made_at      TEXT NOT NULL,
  seen_at      TEXT NOT NULL,
  -- When the password was typed last.
  confirmed_at TEXT NOT NULL,
  device       TEXT NOT NULL CHECK (length(device) <= 60),
  address      TEXT NOT NULL,
  ended_at     TEXT
) STRICT;
CREATE INDEX sign_in_of_account ON sign_in (account_id);

-- Codes for one use: an invitation into a studio, or a new password for an account.
CREATE TABLE one_time_code (
  id         TEXT PRIMARY KEY,
  code_hash  TEXT NOT NULL UNIQUE,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  role       TEXT CHECK (role IN ('owner', 'coach', 'assistant')),
  account_id TEXT REFERENCES account (id),
  made_by    TEXT NOT NULL REFERENCES account (id),
  made_at    TEXT NOT NULL,
  lapses_at  TEXT NOT NULL,
  used_at    TEXT,
  CHECK ((role IS NULL) <> (account_id IS NULL))
) STRICT;

-- What happened to accounts: kept when they change.
CREATE TABLE account_event (
  id         INTEGER PRIMARY KEY,
  at         TEXT NOT NULL,
  account_id TEXT REFERENCES account (id),
  studio_id  TEXT REFERENCES studio (id),
  what       TEXT NOT NULL,
  about      TEXT REFERENCES account (id),
  address    TEXT NOT NULL
) STRICT;
CREATE INDEX account_event_by_studio ON account_event (studio_id, at);

-- The private link to a trainee's own page. Digests only: whoever reads this file cannot open a page with it.
CREATE TABLE trainee_link (
  id         TEXT PRIMARY KEY,
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  token_hash TEXT NOT NULL UNIQUE CHECK (length(token_hash) = 64),
  feed_hash  TEXT NOT NULL UNIQUE CHECK (length(feed_hash) = 64),
  pin_hash   TEXT CHECK (pin_hash IS NULL OR length(pin_hash) <= 200),
  lapses_on  TEXT CHECK (lapses_on GLOB '????-??-??'),
  -- Whether the page shows how far the trainee has come.
  progress   INTEGER NOT NULL CHECK (progress IN (0, 1)),
  made_at    TEXT NOT NULL CHECK (made_at GLOB '????-??-??T??:??:??.???Z'),
  revoked_at TEXT CHECK (revoked_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX trainee_link_by_trainee ON trainee_link (trainee_id);
-- One link at a time.
CREATE UNIQUE INDEX trainee_link_standing ON trainee_link (trainee_id) WHERE revoked_at IS NULL;

-- Phones on which a link was opened.
CREATE TABLE trainee_device (
  id         TEXT PRIMARY KEY,
  link_id    TEXT NOT NULL REFERENCES trainee_link (id),
  token_hash TEXT NOT NULL UNIQUE CHECK (length(token_hash) = 64),
  device     TEXT NOT NULL CHECK (length(device) <= 60),
  opened_at  TEXT NOT NULL CHECK (opened_at GLOB '????-??-??T??:??:??.???Z'),
  seen_at    TEXT NOT NULL CHECK (seen_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX trainee_device_by_link ON trainee_device (link_id);

-- Told by the trainee, with no coach by.
ALTER TABLE session ADD COLUMN reported_by TEXT CHECK (reported_by IS NULL OR reported_by = 'trainee');
ALTER TABLE symptom ADD COLUMN reported_by TEXT CHECK (reported_by IS NULL OR reported_by = 'trainee');

-- How the morning after a session was, told once.
CREATE TABLE morning (
  id          TEXT PRIMARY KEY,
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  session_id  TEXT NOT NULL UNIQUE REFERENCES session (id),
  at          TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  how         TEXT NOT NULL CHECK (how IN ('fresh', 'as usual', 'tired', 'sore or stiff')),
  recorded_at TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX morning_by_trainee ON morning (trainee_id);

-- Words between a trainee and the coaches, oldest first a thread.
CREATE TABLE note (
  id          TEXT PRIMARY KEY,
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  -- Who wrote it; none: the trainee.
  coach_id    TEXT REFERENCES coach (id),
  drill_id    TEXT CHECK (length(drill_id) <= 80),
  at          TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  text        TEXT NOT NULL CHECK (length(text) BETWEEN 1 AND 1000),
  recorded_at TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z'),
  -- When a coach had read it; of a trainee's alone.
  seen_at     TEXT CHECK (seen_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX note_by_trainee ON note (trainee_id, at);
CREATE INDEX note_unseen ON note (trainee_id) WHERE seen_at IS NULL AND coach_id IS NULL;

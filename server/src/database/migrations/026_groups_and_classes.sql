-- People who come together, with their usual days.
CREATE TABLE named_group (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  revision   TEXT NOT NULL UNIQUE,
  name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  place      TEXT NOT NULL CHECK (length(place) <= 80),
  note       TEXT NOT NULL,
  routine_id TEXT,
  days       TEXT NOT NULL CHECK (json_valid(days)),
  saved_at   TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  retired_at TEXT CHECK (retired_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;

CREATE TABLE group_member (
  group_id   TEXT NOT NULL REFERENCES named_group (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  PRIMARY KEY (group_id, trainee_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX group_member_by_trainee ON group_member (trainee_id);

-- A class under one clock. Who takes part, and what happened to whom, are rows of their own: they go with a trainee.
CREATE TABLE class_run (
  id           TEXT PRIMARY KEY,
  studio_id    TEXT NOT NULL REFERENCES studio (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  group_id     TEXT REFERENCES named_group (id),
  name         TEXT NOT NULL,
  opened_at    TEXT NOT NULL CHECK (opened_at GLOB '????-??-??T??:??:??.???Z'),
  head         TEXT NOT NULL CHECK (json_valid(head)),
  head_version INTEGER NOT NULL DEFAULT 1 CHECK (head_version >= 1),
  ended        INTEGER NOT NULL DEFAULT 0 CHECK (ended IN (0, 1))
) STRICT;
CREATE INDEX class_run_by_time ON class_run (studio_id, opened_at);

CREATE TABLE class_member (
  class_id         TEXT NOT NULL REFERENCES class_run (id),
  trainee_id       TEXT NOT NULL REFERENCES trainee (id),
  document         TEXT NOT NULL CHECK (json_valid(document)),
  document_version INTEGER NOT NULL DEFAULT 1 CHECK (document_version >= 1),
  PRIMARY KEY (class_id, trainee_id)
) STRICT, WITHOUT ROWID;
CREATE INDEX class_member_by_trainee ON class_member (trainee_id);

CREATE TABLE class_event (
  id            TEXT PRIMARY KEY,
  class_id      TEXT NOT NULL REFERENCES class_run (id),
  -- Of what is about one person.
  trainee_id    TEXT REFERENCES trainee (id),
  ordinal       INTEGER NOT NULL,
  received_at   TEXT NOT NULL CHECK (received_at GLOB '????-??-??T??:??:??.???Z'),
  event         TEXT NOT NULL CHECK (json_valid(event)),
  event_version INTEGER NOT NULL DEFAULT 1 CHECK (event_version >= 1)
) STRICT;
CREATE INDEX class_event_by_class ON class_event (class_id);
CREATE INDEX class_event_by_trainee ON class_event (trainee_id);

-- The class that a session was part of.
ALTER TABLE session ADD COLUMN class_id TEXT REFERENCES class_run (id);
CREATE INDEX session_by_class ON session (class_id) WHERE class_id IS NOT NULL;
ALTER TABLE symptom ADD COLUMN class_id TEXT REFERENCES class_run (id);

-- That the emergency button was pressed for a trainee; what was seen, and that it was a mistake, come as facts of their own.
CREATE TABLE emergency (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  coach_id    TEXT NOT NULL REFERENCES coach (id),
  at          TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  recorded_at TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX emergency_by_trainee ON emergency (trainee_id, at);
CREATE INDEX emergency_by_studio ON emergency (studio_id);
CREATE TRIGGER emergencies_are_facts BEFORE UPDATE ON emergency BEGIN SELECT RAISE(ABORT, 'emergencies are facts'); END;

CREATE TABLE emergency_seen (
  id           TEXT PRIMARY KEY,
  emergency_id TEXT NOT NULL REFERENCES emergency (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  recorded_at  TEXT NOT NULL,
  signs        TEXT NOT NULL CHECK (json_valid(signs)),
  note         TEXT NOT NULL
) STRICT;
CREATE INDEX emergency_seen_by_emergency ON emergency_seen (emergency_id, recorded_at);

CREATE TABLE emergency_mistake (
  id           TEXT PRIMARY KEY,
  emergency_id TEXT NOT NULL UNIQUE REFERENCES emergency (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  recorded_at  TEXT NOT NULL,
  reason       TEXT NOT NULL
) STRICT;

-- Whom to call, and where the studio is.
CREATE TABLE emergency_care (
  id        TEXT PRIMARY KEY,
  studio_id TEXT NOT NULL REFERENCES studio (id),
  coach_id  TEXT NOT NULL REFERENCES coach (id),
  based_on  TEXT UNIQUE REFERENCES emergency_care (id),
  saved_at  TEXT NOT NULL,
  number    TEXT NOT NULL,
  place     TEXT NOT NULL
) STRICT;
CREATE INDEX emergency_care_by_studio ON emergency_care (studio_id, saved_at);

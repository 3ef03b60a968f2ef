-- The short form before a session, resting blood pressure, and what those responsible for a child said: facts, the newest counts.
CREATE TABLE before_session (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  coach_id    TEXT NOT NULL REFERENCES coach (id),
  at          TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  yes         TEXT NOT NULL CHECK (json_valid(yes)),
  ill_since   TEXT CHECK (ill_since IS NULL OR ill_since GLOB '????-??-??'),
  clear_since TEXT CHECK (clear_since IS NULL OR clear_since GLOB '????-??-??T??:??:??.???Z'),
  replaces    TEXT,
  recorded_at TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX before_session_by_trainee ON before_session (trainee_id, at);
CREATE INDEX before_session_with_yes ON before_session (studio_id, trainee_id) WHERE yes <> '[]';
CREATE TRIGGER before_session_is_fact BEFORE UPDATE ON before_session BEGIN SELECT RAISE(ABORT, 'a form is a fact'); END;
CREATE TRIGGER before_session_stays BEFORE DELETE ON before_session BEGIN SELECT RAISE(ABORT, 'a form is a fact'); END;

CREATE TABLE blood_pressure (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  coach_id    TEXT NOT NULL REFERENCES coach (id),
  taken_at    TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  systolic    INTEGER NOT NULL CHECK (systolic BETWEEN 60 AND 260),
  diastolic   INTEGER NOT NULL CHECK (diastolic BETWEEN 30 AND 160 AND diastolic < systolic),
  recorded_at TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX blood_pressure_by_trainee ON blood_pressure (trainee_id, taken_at);
CREATE TRIGGER blood_pressure_is_fact BEFORE UPDATE ON blood_pressure BEGIN SELECT RAISE(ABORT, 'a reading is a fact'); END;
CREATE TRIGGER blood_pressure_stays BEFORE DELETE ON blood_pressure BEGIN SELECT RAISE(ABORT, 'a reading is a fact'); END;

CREATE TABLE guardian_consent (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  coach_id    TEXT NOT NULL REFERENCES coach (id),
  role        TEXT NOT NULL,
  given_on    TEXT NOT NULL CHECK (given_on GLOB '????-??-??'),
  agreed      INTEGER NOT NULL CHECK (agreed IN (0, 1)),
  recorded_at TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX guardian_consent_by_trainee ON guardian_consent (trainee_id, recorded_at);
CREATE TRIGGER guardian_consent_is_fact BEFORE UPDATE ON guardian_consent BEGIN SELECT RAISE(ABORT, 'a consent is a fact'); END;
CREATE TRIGGER guardian_consent_stays BEFORE DELETE ON guardian_consent BEGIN SELECT RAISE(ABORT, 'a consent is a fact'); END;

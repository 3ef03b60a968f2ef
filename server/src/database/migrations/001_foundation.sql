-- Who works here.
CREATE TABLE studio (
  id   TEXT PRIMARY KEY,
  name TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80)
) STRICT;

CREATE TABLE coach (
  id        TEXT PRIMARY KEY,
  studio_id TEXT NOT NULL REFERENCES studio (id),
  name      TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  initials  TEXT NOT NULL CHECK (length(initials) BETWEEN 2 AND 4)
) STRICT;

-- Every write is known by a client-made id; the same id with the same content is the same write.
CREATE TABLE accepted_write (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  content     TEXT NOT NULL CHECK (length(content) = 64),
  accepted_at TEXT NOT NULL CHECK (accepted_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;

-- Trainees: each save is a new revision; the newest one is current.
CREATE TABLE trainee (
  id               TEXT PRIMARY KEY,
  studio_id        TEXT NOT NULL REFERENCES studio (id),
  current_revision TEXT NOT NULL UNIQUE REFERENCES trainee_revision (id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX trainee_by_studio ON trainee (studio_id);

CREATE TABLE trainee_revision (
  id              TEXT PRIMARY KEY,
  trainee_id      TEXT NOT NULL REFERENCES trainee (id),
  coach_id        TEXT NOT NULL REFERENCES coach (id),
  based_on        TEXT REFERENCES trainee_revision (id),
  saved_at        TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  name            TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  birth_year      INTEGER NOT NULL CHECK (birth_year BETWEEN 1900 AND 2200),
  sex             TEXT NOT NULL CHECK (sex IN ('female', 'male', 'unstated')),
  stature_cm      REAL NOT NULL CHECK (stature_cm BETWEEN 100 AND 230),
  mass_kg         REAL NOT NULL CHECK (mass_kg BETWEEN 20 AND 250),
  dominant_hand   TEXT NOT NULL CHECK (dominant_hand IN ('left', 'right', 'both')),
  cautions        TEXT NOT NULL CHECK (json_valid(cautions)),
  history         TEXT NOT NULL CHECK (length(history) <= 2000),
  ladder_id       TEXT NOT NULL,
  training_days   TEXT NOT NULL CHECK (json_valid(training_days)),
  session_minutes INTEGER NOT NULL CHECK (session_minutes BETWEEN 5 AND 300),
  equipment       TEXT NOT NULL CHECK (json_valid(equipment))
) STRICT;

-- Checks: one occasion, its trials, and the capacities worked out from them.
CREATE TABLE check_occasion (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  taken_at   TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  note       TEXT NOT NULL CHECK (length(note) <= 2000)
) STRICT;
CREATE INDEX check_by_trainee ON check_occasion (trainee_id, taken_at);

CREATE TABLE trial (
  id         TEXT PRIMARY KEY,
  check_id   TEXT NOT NULL REFERENCES check_occasion (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  position   INTEGER NOT NULL CHECK (position >= 0),
  measure_id TEXT NOT NULL,
  side       TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  value      REAL NOT NULL CHECK (value BETWEEN 0 AND 1000),
  replaces   TEXT UNIQUE REFERENCES trial (id),
  reason     TEXT CHECK ((replaces IS NULL) = (reason IS NULL))
) STRICT;
CREATE INDEX trial_by_check ON trial (check_id, position);

-- Worked out from trials and recomputed when one is corrected; is_current marks the newest of its kind.
CREATE TABLE capacity (
  check_id       TEXT NOT NULL REFERENCES check_occasion (id),
  trainee_id     TEXT NOT NULL REFERENCES trainee (id),
  measure_id     TEXT NOT NULL,
  side           TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  taken_at       TEXT NOT NULL,
  value          REAL NOT NULL,
  band           REAL NOT NULL CHECK (band >= 0),
  standard_error REAL NOT NULL CHECK (standard_error >= 0),
  trials         INTEGER NOT NULL CHECK (trials >= 1),
  error_basis    TEXT NOT NULL,
  -- set when the next check of the same kind came later than the freshness limit
  followed_late  INTEGER NOT NULL CHECK (followed_late IN (0, 1)),
  is_current     INTEGER NOT NULL CHECK (is_current IN (0, 1)),
  PRIMARY KEY (check_id, measure_id, side)
) STRICT, WITHOUT ROWID;
CREATE INDEX capacity_history ON capacity (trainee_id, measure_id, side, taken_at);
CREATE INDEX capacity_late ON capacity (trainee_id, measure_id, side, taken_at) WHERE followed_late = 1;
CREATE UNIQUE INDEX capacity_current ON capacity (trainee_id, measure_id, side) WHERE is_current = 1;

-- Plans: a week's document in immutable revisions.
CREATE TABLE plan (
  id               TEXT PRIMARY KEY,
  studio_id        TEXT NOT NULL REFERENCES studio (id),
  trainee_id       TEXT NOT NULL REFERENCES trainee (id),
  week_start       TEXT NOT NULL CHECK (week_start GLOB '????-??-??'),
  current_revision TEXT NOT NULL UNIQUE REFERENCES plan_revision (id) DEFERRABLE INITIALLY DEFERRED,
  -- days with a session, so that lists need not read the document
  session_days     TEXT NOT NULL CHECK (json_valid(session_days)),
  UNIQUE (trainee_id, week_start)
) STRICT;
CREATE INDEX plan_by_week ON plan (studio_id, week_start);

CREATE TABLE plan_revision (
  id       TEXT PRIMARY KEY,
  plan_id  TEXT NOT NULL REFERENCES plan (id),
  coach_id TEXT NOT NULL REFERENCES coach (id),
  based_on TEXT REFERENCES plan_revision (id),
  saved_at TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  document TEXT NOT NULL CHECK (json_valid(document))
) STRICT;

-- Sessions as they were done.
CREATE TABLE session (
  id                 TEXT PRIMARY KEY,
  studio_id          TEXT NOT NULL REFERENCES studio (id),
  trainee_id         TEXT NOT NULL REFERENCES trainee (id),
  coach_id           TEXT NOT NULL REFERENCES coach (id),
  planned_session_id TEXT,
  performed_at       TEXT NOT NULL CHECK (performed_at GLOB '????-??-??T??:??:??.???Z'),
  effort             INTEGER NOT NULL CHECK (effort BETWEEN 0 AND 10),
  minutes            INTEGER NOT NULL CHECK (minutes BETWEEN 1 AND 300),
  note               TEXT NOT NULL CHECK (length(note) <= 2000),
  clean              INTEGER NOT NULL CHECK (clean IN (0, 1)),
  clean_reason       TEXT NOT NULL,
  push_dose          REAL NOT NULL CHECK (push_dose >= 0),
  pull_dose          REAL NOT NULL CHECK (pull_dose >= 0),
  drill_ids          TEXT NOT NULL CHECK (json_valid(drill_ids))
) STRICT;
CREATE INDEX session_by_trainee ON session (trainee_id, performed_at);
CREATE INDEX session_by_time ON session (studio_id, performed_at);

CREATE TABLE session_item (
  id           TEXT PRIMARY KEY,
  session_id   TEXT NOT NULL REFERENCES session (id),
  position     INTEGER NOT NULL CHECK (position >= 0),
  drill_id     TEXT NOT NULL,
  planned_sets INTEGER NOT NULL CHECK (planned_sets BETWEEN 1 AND 20),
  min_dose     INTEGER NOT NULL CHECK (min_dose >= 1),
  max_dose     INTEGER NOT NULL CHECK (max_dose >= min_dose)
) STRICT;
CREATE INDEX item_by_session ON session_item (session_id, position);

CREATE TABLE session_set (
  id       TEXT PRIMARY KEY,
  item_id  TEXT NOT NULL REFERENCES session_item (id),
  position INTEGER NOT NULL CHECK (position >= 0),
  side     TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  amount   INTEGER NOT NULL CHECK (amount BETWEEN 0 AND 3600),
  faults   TEXT NOT NULL CHECK (json_valid(faults))
) STRICT;
CREATE INDEX set_by_item ON session_set (item_id, position);

-- Symptoms; stop_reason is set when the report was a stop sign.
CREATE TABLE symptom (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  trainee_id  TEXT NOT NULL REFERENCES trainee (id),
  coach_id    TEXT NOT NULL REFERENCES coach (id),
  session_id  TEXT REFERENCES session (id),
  at          TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  intensity   INTEGER NOT NULL CHECK (intensity BETWEEN 0 AND 10),
  place       TEXT NOT NULL,
  side        TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  kind        TEXT NOT NULL,
  moment      TEXT NOT NULL CHECK (moment IN ('before', 'during', 'after', 'next morning')),
  note        TEXT NOT NULL CHECK (length(note) <= 2000),
  stop_reason TEXT
) STRICT;
CREATE INDEX symptom_by_trainee ON symptom (trainee_id, at);
CREATE INDEX symptom_by_session ON symptom (session_id);
CREATE INDEX symptom_stop ON symptom (trainee_id) WHERE stop_reason IS NOT NULL;

CREATE TABLE stop_sign_closure (
  id         TEXT PRIMARY KEY,
  symptom_id TEXT NOT NULL UNIQUE REFERENCES symptom (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  closed_at  TEXT NOT NULL CHECK (closed_at GLOB '????-??-??T??:??:??.???Z'),
  ground     TEXT NOT NULL CHECK (length(ground) BETWEEN 5 AND 500)
) STRICT;

-- Clearances, with the figures they rested on, and what took them back.
CREATE TABLE clearance (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  ladder_id  TEXT NOT NULL,
  rung_id    TEXT NOT NULL,
  initials   TEXT NOT NULL CHECK (length(initials) BETWEEN 2 AND 4),
  signed_at  TEXT NOT NULL CHECK (signed_at GLOB '????-??-??T??:??:??.???Z'),
  figures    TEXT NOT NULL CHECK (json_valid(figures))
) STRICT;
CREATE INDEX clearance_by_trainee ON clearance (trainee_id, ladder_id);

CREATE TABLE withdrawal (
  id           TEXT PRIMARY KEY,
  clearance_id TEXT NOT NULL UNIQUE REFERENCES clearance (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  symptom_id   TEXT REFERENCES symptom (id),
  withdrawn_at TEXT NOT NULL CHECK (withdrawn_at GLOB '????-??-??T??:??:??.???Z'),
  reason       TEXT NOT NULL CHECK (length(reason) BETWEEN 5 AND 500)
) STRICT;

-- Facts are appended, never changed or removed.
CREATE TRIGGER trial_is_fact BEFORE UPDATE ON trial BEGIN SELECT RAISE(ABORT, 'trials are facts'); END;
CREATE TRIGGER trial_stays BEFORE DELETE ON trial BEGIN SELECT RAISE(ABORT, 'trials are facts'); END;
CREATE TRIGGER session_is_fact BEFORE UPDATE ON session BEGIN SELECT RAISE(ABORT, 'sessions are facts'); END;
CREATE TRIGGER session_stays BEFORE DELETE ON session BEGIN SELECT RAISE(ABORT, 'sessions are facts'); END;
CREATE TRIGGER set_is_fact BEFORE UPDATE ON session_set BEGIN SELECT RAISE(ABORT, 'sets are facts'); END;
CREATE TRIGGER set_stays BEFORE DELETE ON session_set BEGIN SELECT RAISE(ABORT, 'sets are facts'); END;
CREATE TRIGGER symptom_is_fact BEFORE UPDATE ON symptom BEGIN SELECT RAISE(ABORT, 'symptoms are facts'); END;
CREATE TRIGGER symptom_stays BEFORE DELETE ON symptom BEGIN SELECT RAISE(ABORT, 'symptoms are facts'); END;
CREATE TRIGGER clearance_is_fact BEFORE UPDATE ON clearance BEGIN SELECT RAISE(ABORT, 'clearances are facts'); END;
CREATE TRIGGER clearance_stays BEFORE DELETE ON clearance BEGIN SELECT RAISE(ABORT, 'clearances are facts'); END;
CREATE TRIGGER withdrawal_is_fact BEFORE UPDATE ON withdrawal BEGIN SELECT RAISE(ABORT, 'withdrawals are facts'); END;
CREATE TRIGGER withdrawal_stays BEFORE DELETE ON withdrawal BEGIN SELECT RAISE(ABORT, 'withdrawals are facts'); END;

-- The one studio and coach until accounts follow.
INSERT INTO studio (id, name) VALUES ('0190d0a0-0000-7000-8000-000000000001', 'Home studio');
INSERT INTO coach (id, studio_id, name, initials)
VALUES ('0190d0a0-0000-7000-8000-000000000002', '0190d0a0-0000-7000-8000-000000000001', 'Built-in coach', 'BC');

-- A session being run: what it began with, and everything that happened in it.
CREATE TABLE floor_run (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  opened_at  TEXT NOT NULL CHECK (opened_at GLOB '????-??-??T??:??:??.???Z'),
  head       TEXT NOT NULL CHECK (json_valid(head)),
  -- closed or given up: no longer offered to be gone on with
  ended      INTEGER NOT NULL DEFAULT 0 CHECK (ended IN (0, 1))
) STRICT;
CREATE INDEX floor_run_by_trainee ON floor_run (trainee_id, opened_at);

CREATE TABLE floor_event (
  id          TEXT PRIMARY KEY,
  run_id      TEXT NOT NULL REFERENCES floor_run (id),
  ordinal     INTEGER NOT NULL CHECK (ordinal >= 1),
  received_at TEXT NOT NULL CHECK (received_at GLOB '????-??-??T??:??:??.???Z'),
  event       TEXT NOT NULL CHECK (json_valid(event))
) STRICT;
CREATE INDEX floor_event_by_run ON floor_event (run_id, ordinal);
CREATE TRIGGER floor_event_is_fact BEFORE UPDATE ON floor_event BEGIN SELECT RAISE(ABORT, 'floor events are facts'); END;
CREATE TRIGGER floor_event_stays BEFORE DELETE ON floor_event BEGIN SELECT RAISE(ABORT, 'floor events are facts'); END;

-- A picture taken at the end of a run. The image may be taken off the record.
CREATE TABLE floor_photo (
  id       TEXT PRIMARY KEY,
  run_id   TEXT NOT NULL REFERENCES floor_run (id),
  taken_at TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  image    BLOB
) STRICT;
CREATE INDEX floor_photo_by_run ON floor_photo (run_id);

-- A session that came from a run; a second version, when sets of another device came in later, names the first.
ALTER TABLE session ADD COLUMN run_id TEXT REFERENCES floor_run (id);
ALTER TABLE session ADD COLUMN replaces TEXT REFERENCES session (id);
CREATE UNIQUE INDEX session_replaced ON session (replaces) WHERE replaces IS NOT NULL;
CREATE INDEX session_by_run ON session (run_id) WHERE run_id IS NOT NULL;
CREATE VIEW session_in_force AS
  SELECT * FROM session s WHERE NOT EXISTS (SELECT 1 FROM session c WHERE c.replaces = s.id);

-- Why a drill was left out.
ALTER TABLE session_item ADD COLUMN skipped TEXT CHECK (skipped IS NULL OR length(skipped) <= 40);

-- A symptom reported in a run counts at once, before the session is logged.
ALTER TABLE symptom ADD COLUMN run_id TEXT REFERENCES floor_run (id);

-- Capacities that a session showed: a third kind that opens no gate.
CREATE TABLE capacity_with_sessions (
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
  followed_late  INTEGER NOT NULL CHECK (followed_late IN (0, 1)),
  is_current     INTEGER NOT NULL CHECK (is_current IN (0, 1)),
  scatter        REAL NOT NULL DEFAULT 0 CHECK (scatter >= 0),
  provisional    TEXT CHECK (provisional IN ('simulated', 'suggested', 'in a session')),
  PRIMARY KEY (check_id, measure_id, side)
) STRICT, WITHOUT ROWID;
INSERT INTO capacity_with_sessions (
  check_id, trainee_id, measure_id, side, taken_at, value, band, standard_error, trials, error_basis, followed_late, is_current, scatter,
  provisional
)
SELECT check_id, trainee_id, measure_id, side, taken_at, value, band, standard_error, trials, error_basis, followed_late, is_current, scatter,
  provisional
FROM capacity;
DROP TABLE capacity;
ALTER TABLE capacity_with_sessions RENAME TO capacity;
CREATE INDEX capacity_history ON capacity (trainee_id, measure_id, side, taken_at);
CREATE INDEX capacity_late ON capacity (trainee_id, measure_id, side, taken_at) WHERE followed_late = 1;
CREATE UNIQUE INDEX capacity_current ON capacity (trainee_id, measure_id, side) WHERE is_current = 1;
CREATE INDEX capacity_by_measure ON capacity (measure_id, taken_at);

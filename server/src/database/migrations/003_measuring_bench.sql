-- How a trial was read (instrument, trace, picture); NULL for one that was typed.
ALTER TABLE trial ADD COLUMN reading TEXT CHECK (reading IS NULL OR json_valid(reading));

-- Checks of a battery that were left out, with the reason.
CREATE TABLE check_skip (
  check_id   TEXT NOT NULL REFERENCES check_occasion (id),
  measure_id TEXT NOT NULL,
  reason     TEXT NOT NULL CHECK (reason IN ('pain', 'not safe today', 'no equipment', 'out of time', 'asked not to')),
  PRIMARY KEY (check_id, measure_id)
) STRICT, WITHOUT ROWID;
CREATE TRIGGER skip_is_fact BEFORE UPDATE ON check_skip BEGIN SELECT RAISE(ABORT, 'skips are facts'); END;
CREATE TRIGGER skip_stays BEFORE DELETE ON check_skip BEGIN SELECT RAISE(ABORT, 'skips are facts'); END;

-- Sum of squared deviations of the trials: what a coach's own measuring error is pooled from.
ALTER TABLE capacity ADD COLUMN scatter REAL NOT NULL DEFAULT 0 CHECK (scatter >= 0);
-- Set when a trial may not open a gate.
ALTER TABLE capacity ADD COLUMN provisional TEXT CHECK (provisional IN ('simulated', 'suggested'));
UPDATE capacity SET scatter = coalesce((
  SELECT max(0, sum(t.value * t.value) - sum(t.value) * sum(t.value) / count(*))
  FROM trial t
  WHERE t.check_id = capacity.check_id AND t.measure_id = capacity.measure_id AND t.side = capacity.side
    AND NOT EXISTS (SELECT 1 FROM trial c WHERE c.replaces = t.id)
), 0);
CREATE INDEX capacity_by_measure ON capacity (measure_id, taken_at);

-- A battery that is being taken, on whichever device: it becomes the check of the same id, or is given up.
CREATE TABLE battery_run (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL UNIQUE REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  started_at TEXT NOT NULL CHECK (started_at GLOB '????-??-??T??:??:??.???Z'),
  touched_at TEXT NOT NULL CHECK (touched_at GLOB '????-??-??T??:??:??.???Z'),
  scope      TEXT NOT NULL CHECK (length(scope) <= 1200),
  note       TEXT NOT NULL CHECK (length(note) <= 2000)
) STRICT;

CREATE TABLE battery_cell (
  run_id     TEXT NOT NULL REFERENCES battery_run (id) ON DELETE CASCADE,
  measure_id TEXT NOT NULL,
  side       TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  ordinal    INTEGER NOT NULL CHECK (ordinal BETWEEN 0 AND 20),
  trial_id   TEXT NOT NULL,
  text       TEXT NOT NULL CHECK (length(text) <= 20),
  reading    TEXT CHECK (reading IS NULL OR json_valid(reading)),
  PRIMARY KEY (run_id, measure_id, side, ordinal)
) STRICT, WITHOUT ROWID;

CREATE TABLE battery_skip (
  run_id     TEXT NOT NULL REFERENCES battery_run (id) ON DELETE CASCADE,
  measure_id TEXT NOT NULL,
  reason     TEXT NOT NULL,
  PRIMARY KEY (run_id, measure_id)
) STRICT, WITHOUT ROWID;

-- Pictures of positions. The image may be taken off the record; what was read from it stays.
CREATE TABLE picture (
  id             TEXT PRIMARY KEY,
  studio_id      TEXT NOT NULL REFERENCES studio (id),
  trainee_id     TEXT NOT NULL REFERENCES trainee (id),
  coach_id       TEXT NOT NULL REFERENCES coach (id),
  taken_at       TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  measure_id     TEXT NOT NULL,
  side           TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  width          INTEGER NOT NULL CHECK (width > 0),
  height         INTEGER NOT NULL CHECK (height > 0),
  facing         TEXT NOT NULL CHECK (facing IN ('left', 'right')),
  points         TEXT NOT NULL CHECK (json_valid(points)),
  value          REAL NOT NULL,
  standard_error REAL NOT NULL CHECK (standard_error >= 0),
  image          BLOB
) STRICT;
CREATE INDEX picture_by_trainee ON picture (trainee_id, taken_at);
CREATE TRIGGER picture_is_fact BEFORE UPDATE ON picture WHEN NEW.image IS NOT NULL
BEGIN SELECT RAISE(ABORT, 'pictures are facts'); END;
CREATE TRIGGER picture_stays BEFORE DELETE ON picture BEGIN SELECT RAISE(ABORT, 'pictures are facts'); END;

-- The same bodies measured twice: what the figures of a check are worth.
CREATE TABLE repeatability_test (
  id          TEXT PRIMARY KEY,
  studio_id   TEXT NOT NULL REFERENCES studio (id),
  coach_id    TEXT NOT NULL REFERENCES coach (id),
  taken_at    TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  measure_id  TEXT NOT NULL,
  kind        TEXT NOT NULL CHECK (kind IN ('one coach', 'two coaches')),
  other_coach TEXT NOT NULL CHECK (length(other_coach) <= 80),
  repeated    TEXT NOT NULL CHECK (json_valid(repeated))
) STRICT;
CREATE INDEX repeatability_by_measure ON repeatability_test (studio_id, measure_id, taken_at);
CREATE TRIGGER repeatability_is_fact BEFORE UPDATE ON repeatability_test BEGIN SELECT RAISE(ABORT, 'tests are facts'); END;
CREATE TRIGGER repeatability_stays BEFORE DELETE ON repeatability_test BEGIN SELECT RAISE(ABORT, 'tests are facts'); END;

-- The trainee's own measures, where they were taken; NULL: scaled to stature.
ALTER TABLE trainee_revision ADD COLUMN arm_length_cm REAL CHECK (arm_length_cm BETWEEN 25 AND 95);
ALTER TABLE trainee_revision ADD COLUMN leg_length_cm REAL CHECK (leg_length_cm BETWEEN 40 AND 130);

-- What a bathroom scale showed in a named set-up; the model of the trainee learns from it.
CREATE TABLE scale_reading (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  taken_at   TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  set_up     TEXT NOT NULL CHECK (json_valid(set_up)),
  under      TEXT NOT NULL CHECK (length(under) <= 20),
  kg         REAL NOT NULL CHECK (kg BETWEEN 0 AND 400),
  mass_kg    REAL NOT NULL CHECK (mass_kg BETWEEN 20 AND 250),
  insisted   INTEGER NOT NULL CHECK (insisted IN (0, 1)),
  note       TEXT NOT NULL CHECK (length(note) <= 500)
) STRICT;
CREATE INDEX scale_reading_by_trainee ON scale_reading (trainee_id, taken_at);
CREATE TRIGGER scale_reading_is_fact BEFORE UPDATE ON scale_reading BEGIN SELECT RAISE(ABORT, 'scale readings are facts'); END;
CREATE TRIGGER scale_reading_stays BEFORE DELETE ON scale_reading BEGIN SELECT RAISE(ABORT, 'scale readings are facts'); END;

-- A reading that shall no longer count.
CREATE TABLE scale_reading_set_aside (
  reading_id TEXT PRIMARY KEY REFERENCES scale_reading (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  at         TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  reason     TEXT NOT NULL CHECK (length(reason) BETWEEN 1 AND 500)
) STRICT, WITHOUT ROWID;

-- The studio's elastic bands, by its own names; each save is a new revision.
CREATE TABLE band_revision (
  id         TEXT PRIMARY KEY,
  band_id    TEXT NOT NULL,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  based_on   TEXT UNIQUE REFERENCES band_revision (id),
  saved_at   TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  name       TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  slack_cm   REAL NOT NULL CHECK (slack_cm BETWEEN 1 AND 400),
  readings   TEXT NOT NULL CHECK (json_valid(readings)),
  in_use     INTEGER NOT NULL CHECK (in_use IN (0, 1))
) STRICT;
CREATE INDEX band_by_studio ON band_revision (studio_id, band_id, saved_at);

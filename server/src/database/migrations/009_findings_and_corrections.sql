-- Verdicts are kept as findings with the version of the rules; what older programs wrote stays as the prose that it was.
ALTER TABLE session ADD COLUMN clean_finding TEXT CHECK (clean_finding IS NULL OR json_valid(clean_finding));
ALTER TABLE session ADD COLUMN practised TEXT CHECK (practised IS NULL OR json_valid(practised));
ALTER TABLE session ADD COLUMN rules_version INTEGER NOT NULL DEFAULT 1 CHECK (rules_version >= 1);
ALTER TABLE session ADD COLUMN recorded_at TEXT CHECK (recorded_at IS NULL OR recorded_at GLOB '????-??-??T??:??:??.???Z');
-- The first version of what this session corrects, so that what was reported with it finds the newest.
ALTER TABLE session ADD COLUMN origin_id TEXT REFERENCES session (id);
CREATE INDEX session_by_origin ON session (coalesce(origin_id, id));
-- Why a session or a symptom took the place of another; the record shows both.
ALTER TABLE session ADD COLUMN reason TEXT CHECK (reason IS NULL OR length(reason) BETWEEN 3 AND 500);
ALTER TABLE symptom ADD COLUMN replaces TEXT REFERENCES symptom (id);
ALTER TABLE symptom ADD COLUMN reason TEXT CHECK (reason IS NULL OR length(reason) BETWEEN 3 AND 500);
ALTER TABLE symptom ADD COLUMN recorded_at TEXT CHECK (recorded_at IS NULL OR recorded_at GLOB '????-??-??T??:??:??.???Z');
CREATE UNIQUE INDEX symptom_replaced ON symptom (replaces) WHERE replaces IS NOT NULL;

-- A fact that counts no more, and why. It stays on record.
CREATE TABLE taken_back (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  kind       TEXT NOT NULL CHECK (kind IN ('session', 'symptom', 'check', 'screening')),
  fact_id    TEXT NOT NULL UNIQUE,
  at         TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  reason     TEXT NOT NULL CHECK (length(reason) BETWEEN 3 AND 500)
) STRICT;
CREATE INDEX taken_back_by_trainee ON taken_back (trainee_id);
CREATE TRIGGER taken_back_is_fact BEFORE UPDATE ON taken_back BEGIN SELECT RAISE(ABORT, 'what was taken back is a fact'); END;
CREATE TRIGGER taken_back_stays BEFORE DELETE ON taken_back BEGIN SELECT RAISE(ABORT, 'what was taken back is a fact'); END;

DROP VIEW session_in_force;
CREATE VIEW session_in_force AS
  SELECT * FROM session s
  WHERE NOT EXISTS (SELECT 1 FROM session c WHERE c.replaces = s.id)
    AND NOT EXISTS (SELECT 1 FROM taken_back b WHERE b.fact_id = s.id);
CREATE VIEW symptom_in_force AS
  SELECT * FROM symptom s
  WHERE NOT EXISTS (SELECT 1 FROM symptom c WHERE c.replaces = s.id)
    AND NOT EXISTS (SELECT 1 FROM taken_back b WHERE b.fact_id = s.id);
CREATE VIEW screening_in_force AS
  SELECT * FROM screening s
  WHERE NOT EXISTS (SELECT 1 FROM taken_back b WHERE b.fact_id = s.id);

-- A signature keeps every line as it was found, the version of the rules, how likely it was that all was truly met, and the reason
-- where the coach signed against lines that were not met.
ALTER TABLE clearance ADD COLUMN findings TEXT CHECK (findings IS NULL OR json_valid(findings));
ALTER TABLE clearance ADD COLUMN rules_version INTEGER NOT NULL DEFAULT 1 CHECK (rules_version >= 1);
ALTER TABLE clearance ADD COLUMN likelihood REAL CHECK (likelihood IS NULL OR likelihood BETWEEN 0 AND 1);
ALTER TABLE clearance ADD COLUMN against TEXT CHECK (against IS NULL OR length(against) BETWEEN 10 AND 500);

-- What took a clearance back: the coach, a stop sign, or a correction of something it rested on.
ALTER TABLE withdrawal ADD COLUMN cause TEXT NOT NULL DEFAULT 'coach' CHECK (cause IN ('coach', 'stop sign', 'correction'));

-- What a studio has set about its gates, for all or for one trainee; the newest row counts.
CREATE TABLE gate_settings (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  based_on   TEXT UNIQUE REFERENCES gate_settings (id),
  saved_at   TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  choices    TEXT NOT NULL CHECK (json_valid(choices)),
  reason     TEXT NOT NULL CHECK (length(reason) <= 500)
) STRICT;
CREATE INDEX gate_settings_by_studio ON gate_settings (studio_id, trainee_id);
CREATE TRIGGER gate_settings_are_facts BEFORE UPDATE ON gate_settings BEGIN SELECT RAISE(ABORT, 'settings are facts'); END;

-- Whether what was sharp went on a second try, and how a symptom was judged beside what was known when it was recorded. Symptoms from
-- before have no judgement of their own: they are read by the strict rule.
ALTER TABLE symptom ADD COLUMN retest TEXT CHECK (retest IS NULL OR retest IN ('gone', 'still there'));
ALTER TABLE symptom ADD COLUMN judged TEXT CHECK (judged IS NULL OR json_valid(judged));

-- Who closed a stop sign: a licensed professional by role, heard on a day; neither where the coach did.
ALTER TABLE stop_sign_closure ADD COLUMN role TEXT;
ALTER TABLE stop_sign_closure ADD COLUMN consulted_on TEXT CHECK (consulted_on IS NULL OR consulted_on GLOB '????-??-??');

-- A pain that is known, lasting, and looked at by a licensed professional; of each place the newest word counts, level 0 ends it.
CREATE TABLE lasting_pain (
  id           TEXT PRIMARY KEY,
  studio_id    TEXT NOT NULL REFERENCES studio (id),
  trainee_id   TEXT NOT NULL REFERENCES trainee (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  place        TEXT NOT NULL,
  side         TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  level        INTEGER NOT NULL CHECK (level BETWEEN 0 AND 3),
  role         TEXT NOT NULL,
  consulted_on TEXT NOT NULL CHECK (consulted_on GLOB '????-??-??'),
  said         TEXT NOT NULL CHECK (length(said) BETWEEN 5 AND 500),
  recorded_at  TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX lasting_pain_by_trainee ON lasting_pain (trainee_id, recorded_at);
CREATE TRIGGER lasting_pain_is_fact BEFORE UPDATE ON lasting_pain BEGIN SELECT RAISE(ABORT, 'a word is a fact'); END;
CREATE TRIGGER lasting_pain_stays BEFORE DELETE ON lasting_pain BEGIN SELECT RAISE(ABORT, 'a word is a fact'); END;

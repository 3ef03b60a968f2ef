-- The studio's own drills, ladders and faults over the built-in ones. Revisions are kept; the newest counts.
CREATE TABLE library_entry (
  studio_id        TEXT NOT NULL REFERENCES studio (id),
  kind             TEXT NOT NULL CHECK (kind IN ('drill', 'ladder', 'fault')),
  entry_id         TEXT NOT NULL CHECK (length(entry_id) BETWEEN 1 AND 64),
  current_revision TEXT NOT NULL UNIQUE REFERENCES library_revision (id) DEFERRABLE INITIALLY DEFERRED,
  PRIMARY KEY (studio_id, kind, entry_id)
) STRICT, WITHOUT ROWID;

CREATE TABLE library_revision (
  id               TEXT PRIMARY KEY,
  studio_id        TEXT NOT NULL,
  kind             TEXT NOT NULL,
  entry_id         TEXT NOT NULL,
  coach_id         TEXT NOT NULL REFERENCES coach (id),
  based_on         TEXT REFERENCES library_revision (id),
  saved_at         TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  -- the version of the built-in library this was written beside
  built_in_version TEXT NOT NULL,
  -- 'built in': back to the built-in entry; 'set aside': kept for the record, no longer offered
  standing         TEXT NOT NULL CHECK (standing IN ('own', 'built in', 'set aside')),
  document         TEXT CHECK ((document IS NULL) = (standing = 'built in') AND (document IS NULL OR json_valid(document))),
  FOREIGN KEY (studio_id, kind, entry_id) REFERENCES library_entry (studio_id, kind, entry_id) DEFERRABLE INITIALLY DEFERRED
) STRICT;
CREATE INDEX library_revision_by_entry ON library_revision (studio_id, kind, entry_id);

-- The schools a studio works by; the newest row counts.
CREATE TABLE schools_revision (
  id        TEXT PRIMARY KEY,
  studio_id TEXT NOT NULL REFERENCES studio (id),
  coach_id  TEXT NOT NULL REFERENCES coach (id),
  based_on  TEXT UNIQUE REFERENCES schools_revision (id),
  saved_at  TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  choices   TEXT NOT NULL CHECK (json_valid(choices))
) STRICT;
CREATE INDEX schools_by_studio ON schools_revision (studio_id, saved_at);

-- The screen before training, and the licensed professionals consulted about it.
CREATE TABLE screening (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  taken_at   TEXT NOT NULL CHECK (taken_at GLOB '????-??-??T??:??:??.???Z'),
  answers    TEXT NOT NULL CHECK (json_valid(answers)),
  beighton   TEXT CHECK (beighton IS NULL OR json_valid(beighton)),
  note       TEXT NOT NULL CHECK (length(note) <= 2000)
) STRICT;
CREATE INDEX screening_by_trainee ON screening (trainee_id, taken_at);

CREATE TABLE consultation (
  id           TEXT PRIMARY KEY,
  studio_id    TEXT NOT NULL REFERENCES studio (id),
  trainee_id   TEXT NOT NULL REFERENCES trainee (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  screening_id TEXT NOT NULL REFERENCES screening (id),
  recorded_at  TEXT NOT NULL CHECK (recorded_at GLOB '????-??-??T??:??:??.???Z'),
  role         TEXT NOT NULL,
  consulted_on TEXT NOT NULL CHECK (consulted_on GLOB '????-??-??'),
  allowed      TEXT NOT NULL CHECK (length(allowed) BETWEEN 5 AND 500),
  caution_ids  TEXT NOT NULL CHECK (json_valid(caution_ids)),
  -- the answers it was about, as they stood
  about        TEXT NOT NULL CHECK (json_valid(about))
) STRICT;
CREATE INDEX consultation_by_trainee ON consultation (trainee_id);
CREATE INDEX consultation_by_studio ON consultation (studio_id);

CREATE TRIGGER screening_is_fact BEFORE UPDATE ON screening BEGIN SELECT RAISE(ABORT, 'screenings are facts'); END;
CREATE TRIGGER screening_stays BEFORE DELETE ON screening BEGIN SELECT RAISE(ABORT, 'screenings are facts'); END;
CREATE TRIGGER consultation_is_fact BEFORE UPDATE ON consultation BEGIN SELECT RAISE(ABORT, 'consultations are facts'); END;
CREATE TRIGGER consultation_stays BEFORE DELETE ON consultation BEGIN SELECT RAISE(ABORT, 'consultations are facts'); END;

-- Cautions were ticked in the profile; each revision becomes the screen it stood for. Questions that
-- the profile never asked stay unanswered, and the app asks for them.
INSERT INTO screening (id, studio_id, trainee_id, coach_id, taken_at, answers, beighton, note)
SELECT r.id, t.studio_id, r.trainee_id, r.coach_id, r.saved_at,
  (SELECT json_group_array(json_object(
     'questionId', q.column1,
     'answer', CASE WHEN EXISTS (SELECT 1 FROM json_each(r.cautions) c WHERE c.value = q.column1) THEN 'yes' ELSE 'no' END,
     'side', 'whole'))
   FROM (VALUES ('shoulder-dislocated'), ('lax-joints'), ('shoulder-injury'), ('wrist-injury'), ('elbow-pain'), ('neck-condition'),
     ('raised-pressure'), ('pregnancy'), ('head-injury'), ('medical-hold')) q),
  NULL, 'Taken over from the profile.'
FROM trainee_revision r JOIN trainee t ON t.id = r.trainee_id;
ALTER TABLE trainee_revision DROP COLUMN cautions;

-- How a set felt, where the dose was by feel.
ALTER TABLE session_set ADD COLUMN feeling TEXT CHECK (feeling IN ('too easy', 'right', 'too much', 'locked up'));

-- Elbow extension and a reach with overlapping hands read below zero.
CREATE TABLE trial_signed (
  id         TEXT PRIMARY KEY,
  check_id   TEXT NOT NULL REFERENCES check_occasion (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  position   INTEGER NOT NULL CHECK (position >= 0),
  measure_id TEXT NOT NULL,
  side       TEXT NOT NULL CHECK (side IN ('left', 'right', 'whole')),
  value      REAL NOT NULL CHECK (value BETWEEN -1000 AND 1000),
  replaces   TEXT UNIQUE REFERENCES trial_signed (id),
  reason     TEXT CHECK ((replaces IS NULL) = (reason IS NULL))
) STRICT;
INSERT INTO trial_signed SELECT id, check_id, coach_id, position, measure_id, side, value, replaces, reason FROM trial ORDER BY rowid;
DROP TRIGGER trial_is_fact;
DROP TRIGGER trial_stays;
DROP TABLE trial;
ALTER TABLE trial_signed RENAME TO trial;
CREATE INDEX trial_by_check ON trial (check_id, position);
CREATE TRIGGER trial_is_fact BEFORE UPDATE ON trial BEGIN SELECT RAISE(ABORT, 'trials are facts'); END;
CREATE TRIGGER trial_stays BEFORE DELETE ON trial BEGIN SELECT RAISE(ABORT, 'trials are facts'); END;

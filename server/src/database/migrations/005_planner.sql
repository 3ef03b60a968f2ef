-- Hand-load dose by joint, as it was logged; NULL for sessions from before it was kept.
ALTER TABLE session ADD COLUMN joint_doses TEXT CHECK (joint_doses IS NULL OR json_valid(joint_doses));

-- The set-up a drill was done in, where it was not the drill's own.
ALTER TABLE session_item ADD COLUMN support TEXT CHECK (support IS NULL OR json_valid(support));

-- What the weeks of a trainee must fit; each save is a new revision.
CREATE TABLE plan_brief_revision (
  id         TEXT PRIMARY KEY,
  studio_id  TEXT NOT NULL REFERENCES studio (id),
  trainee_id TEXT NOT NULL REFERENCES trainee (id),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  based_on   TEXT UNIQUE REFERENCES plan_brief_revision (id),
  saved_at   TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  document   TEXT NOT NULL CHECK (json_valid(document))
) STRICT;
CREATE INDEX plan_brief_by_trainee ON plan_brief_revision (trainee_id, saved_at);
CREATE TRIGGER plan_brief_is_fact BEFORE UPDATE ON plan_brief_revision BEGIN SELECT RAISE(ABORT, 'revisions are facts'); END;
CREATE TRIGGER plan_brief_stays BEFORE DELETE ON plan_brief_revision BEGIN SELECT RAISE(ABORT, 'revisions are facts'); END;

-- Weeks of sessions without a trainee.
CREATE TABLE plan_template (
  id        TEXT PRIMARY KEY,
  studio_id TEXT NOT NULL REFERENCES studio (id),
  coach_id  TEXT NOT NULL REFERENCES coach (id),
  saved_at  TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  name      TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  document  TEXT NOT NULL CHECK (json_valid(document)),
  set_aside INTEGER NOT NULL DEFAULT 0 CHECK (set_aside IN (0, 1))
) STRICT;
CREATE INDEX plan_template_by_studio ON plan_template (studio_id, name);

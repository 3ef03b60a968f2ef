-- What became of a clearance, asked at two, six and twelve weeks. Facts are appended: the newest answer to a question counts.
CREATE TABLE clearance_outcome (
  id           TEXT PRIMARY KEY,
  trainee_id   TEXT NOT NULL REFERENCES trainee (id),
  clearance_id TEXT NOT NULL REFERENCES clearance (id),
  coach_id     TEXT NOT NULL REFERENCES coach (id),
  weeks        INTEGER NOT NULL CHECK (weeks IN (2, 6, 12)),
  outcome      TEXT NOT NULL CHECK (outcome IN ('well', 'flared', 'stepped-back', 'unknown')),
  note         TEXT NOT NULL DEFAULT '' CHECK (length(note) <= 500),
  told_at      TEXT NOT NULL CHECK (told_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX clearance_outcome_by_clearance ON clearance_outcome (clearance_id, weeks, told_at);
CREATE INDEX clearance_outcome_by_trainee ON clearance_outcome (trainee_id);
CREATE TRIGGER clearance_outcome_is_fact BEFORE UPDATE ON clearance_outcome BEGIN SELECT RAISE(ABORT, 'outcomes are facts'); END;

-- The newest answer to each question.
CREATE VIEW outcome_in_force AS
SELECT o.* FROM clearance_outcome o
WHERE NOT EXISTS (
  SELECT 1 FROM clearance_outcome n
  WHERE n.clearance_id = o.clearance_id AND n.weeks = o.weeks AND (n.told_at, n.id) > (o.told_at, o.id)
);

-- Sequences that a studio teaches. Each saving is a revision; the newest is the one that nothing is based on.
CREATE TABLE routine_revision (
  id               TEXT PRIMARY KEY,
  routine_id       TEXT NOT NULL,
  based_on         TEXT UNIQUE REFERENCES routine_revision (id),
  studio_id        TEXT NOT NULL REFERENCES studio (id),
  coach_id         TEXT NOT NULL REFERENCES coach (id),
  name             TEXT NOT NULL CHECK (length(name) BETWEEN 1 AND 80),
  document         TEXT NOT NULL CHECK (json_valid(document)),
  document_version INTEGER NOT NULL DEFAULT 1 CHECK (document_version >= 1),
  saved_at         TEXT NOT NULL CHECK (saved_at GLOB '????-??-??T??:??:??.???Z'),
  retired_at       TEXT CHECK (retired_at GLOB '????-??-??T??:??:??.???Z')
) STRICT;
CREATE INDEX routine_revision_by_routine ON routine_revision (routine_id);

-- The routine that a preparation or a short break went through: it is load, and never a session.
ALTER TABLE session ADD COLUMN preparation TEXT CHECK (length(preparation) BETWEEN 1 AND 80);

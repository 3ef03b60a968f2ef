-- Who did what to whom, when, and from where: one line for each request that changed something.
CREATE TABLE audit (
  id         INTEGER PRIMARY KEY,
  at         TEXT NOT NULL CHECK (at GLOB '????-??-??T??:??:??.???Z'),
  coach_id   TEXT NOT NULL REFERENCES coach (id),
  what       TEXT NOT NULL CHECK (length(what) BETWEEN 1 AND 120),
  trainee_id TEXT,
  address    TEXT NOT NULL CHECK (length(address) <= 64)
) STRICT;
CREATE INDEX audit_by_time ON audit (at);

-- Out of the lists, with all that is on record kept; none while the trainee trains here.
ALTER TABLE trainee ADD COLUMN archived_at TEXT CHECK (archived_at GLOB '????-??-??T??:??:??.???Z');

-- That somebody was erased, by whom and why; not who. The digest lets a device that holds something of the trainee know, and no one else.
CREATE TABLE erasure (
  id             TEXT PRIMARY KEY,
  coach_id       TEXT NOT NULL REFERENCES coach (id),
  erased_at      TEXT NOT NULL CHECK (erased_at GLOB '????-??-??T??:??:??.???Z'),
  trainee_digest TEXT NOT NULL UNIQUE CHECK (length(trainee_digest) = 64),
  reason         TEXT NOT NULL CHECK (length(reason) BETWEEN 3 AND 500),
  rows_erased    INTEGER NOT NULL,
  pictures       INTEGER NOT NULL
) STRICT;

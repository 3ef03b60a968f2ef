-- A studio's own pictures and clips of drills and checks: drawn anew when they come, the bytes gone when they are taken off.
CREATE TABLE library_picture (
  id        TEXT PRIMARY KEY,
  studio_id TEXT NOT NULL REFERENCES studio (id),
  coach_id  TEXT NOT NULL REFERENCES coach (id),
  kind      TEXT NOT NULL CHECK (kind IN ('drill', 'measure')),
  entry_id  TEXT NOT NULL,
  added_at  TEXT NOT NULL CHECK (added_at GLOB '????-??-??T??:??:??.???Z'),
  shows     TEXT NOT NULL CHECK (length(shows) BETWEEN 1 AND 120),
  moving    INTEGER NOT NULL CHECK (moving IN (0, 1)),
  -- WebP; the first frame of a clip stands for it where nothing may move.
  image     BLOB,
  still     BLOB,
  CHECK ((image IS NULL) = (still IS NULL))
) STRICT;
CREATE INDEX library_picture_by_entry ON library_picture (kind, entry_id);

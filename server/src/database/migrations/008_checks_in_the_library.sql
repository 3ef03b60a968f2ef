-- Checks are entries of the library as drills, ladders and faults are.
CREATE TABLE library_entry_with_checks (
  studio_id        TEXT NOT NULL REFERENCES studio (id),
  kind             TEXT NOT NULL CHECK (kind IN ('drill', 'ladder', 'measure', 'fault')),
  entry_id         TEXT NOT NULL CHECK (length(entry_id) BETWEEN 1 AND 64),
  current_revision TEXT NOT NULL UNIQUE REFERENCES library_revision (id) DEFERRABLE INITIALLY DEFERRED,
  PRIMARY KEY (studio_id, kind, entry_id)
) STRICT, WITHOUT ROWID;
INSERT INTO library_entry_with_checks SELECT studio_id, kind, entry_id, current_revision FROM library_entry;
DROP TABLE library_entry;
ALTER TABLE library_entry_with_checks RENAME TO library_entry;

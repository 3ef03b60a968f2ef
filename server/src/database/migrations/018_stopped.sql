-- A movement may also be stopped by worry; what was reached until then stays as trials beside the reason.
CREATE TABLE check_skip_now (
  check_id   TEXT NOT NULL REFERENCES check_occasion (id),
  measure_id TEXT NOT NULL,
  reason     TEXT NOT NULL CHECK (reason IN ('pain', 'worry', 'not safe today', 'no equipment', 'out of time', 'asked not to')),
  PRIMARY KEY (check_id, measure_id)
) STRICT, WITHOUT ROWID;
INSERT INTO check_skip_now SELECT check_id, measure_id, reason FROM check_skip;
DROP TABLE check_skip;
ALTER TABLE check_skip_now RENAME TO check_skip;
CREATE TRIGGER skip_is_fact BEFORE UPDATE ON check_skip BEGIN SELECT RAISE(ABORT, 'skips are facts'); END;
CREATE TRIGGER skip_stays BEFORE DELETE ON check_skip BEGIN SELECT RAISE(ABORT, 'skips are facts'); END;

-- Hand load of a session arm by arm; NULL of sessions from before it was kept.
ALTER TABLE session ADD COLUMN side_doses TEXT CHECK (side_doses IS NULL OR json_valid(side_doses));

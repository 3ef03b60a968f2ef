-- What a licensed professional permits: load on one arm, overhead, hanging, head down, effort, until when. Words recorded before have
-- none, and open nothing that strains until it is recorded.
ALTER TABLE consultation ADD COLUMN permit TEXT CHECK (permit IS NULL OR json_valid(permit));

-- Which way of working out errors a figure has: the program works older ones out again from their trials.
ALTER TABLE capacity ADD COLUMN error_version INTEGER NOT NULL DEFAULT 1 CHECK (error_version >= 1);
CREATE INDEX capacity_error_version ON capacity (error_version);

-- The weight, band or tempo that a drill was done with, where one was named.
ALTER TABLE session_item ADD COLUMN manner TEXT CHECK (manner IS NULL OR json_valid(manner));
ALTER TABLE session_item ADD COLUMN manner_version INTEGER NOT NULL DEFAULT 1 CHECK (manner_version >= 1);

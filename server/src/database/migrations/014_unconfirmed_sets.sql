-- A set that ran to its end by the clock, and of which nobody said that it was done. Sets from before were all logged as done.
ALTER TABLE session_set ADD COLUMN unconfirmed INTEGER NOT NULL DEFAULT 0 CHECK (unconfirmed IN (0, 1));

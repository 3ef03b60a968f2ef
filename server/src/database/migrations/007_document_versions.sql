-- Documents are read through their contract. Each says in which version of it it was written, so that a later program can
-- bring it up to its own.
ALTER TABLE plan_revision ADD COLUMN document_version INTEGER NOT NULL DEFAULT 1 CHECK (document_version >= 1);
ALTER TABLE plan_brief_revision ADD COLUMN document_version INTEGER NOT NULL DEFAULT 1 CHECK (document_version >= 1);
ALTER TABLE plan_template ADD COLUMN document_version INTEGER NOT NULL DEFAULT 1 CHECK (document_version >= 1);
ALTER TABLE library_revision ADD COLUMN document_version INTEGER NOT NULL DEFAULT 1 CHECK (document_version >= 1);
ALTER TABLE clearance ADD COLUMN figures_version INTEGER NOT NULL DEFAULT 1 CHECK (figures_version >= 1);
ALTER TABLE scale_reading ADD COLUMN set_up_version INTEGER NOT NULL DEFAULT 1 CHECK (set_up_version >= 1);
ALTER TABLE session_item ADD COLUMN support_version INTEGER NOT NULL DEFAULT 1 CHECK (support_version >= 1);
ALTER TABLE floor_run ADD COLUMN head_version INTEGER NOT NULL DEFAULT 1 CHECK (head_version >= 1);
ALTER TABLE floor_event ADD COLUMN event_version INTEGER NOT NULL DEFAULT 1 CHECK (event_version >= 1);

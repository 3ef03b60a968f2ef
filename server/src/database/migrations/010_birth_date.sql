-- The day of birth, where it is known: a year alone leaves the age open by one.
ALTER TABLE trainee_revision ADD COLUMN birth_date TEXT CHECK (birth_date IS NULL OR birth_date GLOB '????-??-??');

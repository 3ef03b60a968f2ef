-- A drill and a feeling got plainer names; what is on record is called so too. Nothing else of a fact changes.
DROP TRIGGER session_is_fact;
DROP TRIGGER set_is_fact;
DROP TRIGGER floor_event_is_fact;
DROP TRIGGER plan_brief_is_fact;

UPDATE session_item SET drill_id = 'grip-squeezes' WHERE drill_id = 'towel-wringing';
UPDATE session
SET drill_ids = replace(drill_ids, '"towel-wringing"', '"grip-squeezes"'),
    practised = replace(practised, '"towel-wringing"', '"grip-squeezes"'),
    joint_doses = replace(joint_doses, '"towel-wringing"', '"grip-squeezes"'),
    clean_finding = replace(replace(clean_finding, '"towel-wringing"', '"grip-squeezes"'), '"feeling":"locked up"', '"feeling":"clenched"')
WHERE drill_ids LIKE '%"towel-wringing"%' OR clean_finding LIKE '%"locked up"%' OR clean_finding LIKE '%"towel-wringing"%'
   OR practised LIKE '%"towel-wringing"%';
UPDATE plan_revision SET document = replace(document, '"towel-wringing"', '"grip-squeezes"') WHERE document LIKE '%"towel-wringing"%';
UPDATE plan_brief_revision SET document = replace(document, '"towel-wringing"', '"grip-squeezes"') WHERE document LIKE '%"towel-wringing"%';
UPDATE plan_template SET document = replace(document, '"towel-wringing"', '"grip-squeezes"') WHERE document LIKE '%"towel-wringing"%';
UPDATE floor_run SET head = replace(head, '"towel-wringing"', '"grip-squeezes"') WHERE head LIKE '%"towel-wringing"%';
UPDATE floor_event
SET event = replace(replace(event, '"towel-wringing"', '"grip-squeezes"'), '"feeling":"locked up"', '"feeling":"clenched"')
WHERE event LIKE '%"towel-wringing"%' OR event LIKE '%"feeling":"locked up"%';
UPDATE library_revision SET document = replace(document, '"towel-wringing"', '"grip-squeezes"') WHERE document LIKE '%"towel-wringing"%';
UPDATE library_revision SET entry_id = 'grip-squeezes' WHERE kind = 'drill' AND entry_id = 'towel-wringing';
UPDATE library_entry SET entry_id = 'grip-squeezes' WHERE kind = 'drill' AND entry_id = 'towel-wringing';

ALTER TABLE session_set ADD COLUMN felt TEXT CHECK (felt IN ('too easy', 'right', 'too much', 'clenched'));
UPDATE session_set SET felt = CASE feeling WHEN 'locked up' THEN 'clenched' ELSE feeling END WHERE feeling IS NOT NULL;
ALTER TABLE session_set DROP COLUMN feeling;
ALTER TABLE session_set RENAME COLUMN felt TO feeling;

CREATE TRIGGER session_is_fact BEFORE UPDATE ON session BEGIN SELECT RAISE(ABORT, 'sessions are facts'); END;
CREATE TRIGGER set_is_fact BEFORE UPDATE ON session_set BEGIN SELECT RAISE(ABORT, 'sets are facts'); END;
CREATE TRIGGER floor_event_is_fact BEFORE UPDATE ON floor_event BEGIN SELECT RAISE(ABORT, 'floor events are facts'); END;
CREATE TRIGGER plan_brief_is_fact BEFORE UPDATE ON plan_brief_revision BEGIN SELECT RAISE(ABORT, 'revisions are facts'); END;

const GROUP = `
  SELECT g.id, g.revision, g.name, g.place, g.note, g.routine_id AS routineId, g.days, g.saved_at AS savedAt, c.name AS coach,
         (SELECT json_group_array(m.trainee_id)
          FROM group_member m
          JOIN trainee t ON t.id = m.trainee_id
          WHERE m.group_id = g.id AND t.archived_at IS NULL) AS members
  FROM named_group g
  JOIN coach c ON c.id = g.coach_id
  WHERE g.studio_id = @studioId AND g.retired_at IS NULL`;

export const GROUPS = `${GROUP} ORDER BY g.name COLLATE NOCASE, g.id`;

export const GROUP_BY_ID = 'SELECT revision, retired_at AS retiredAt FROM named_group WHERE id = @id AND studio_id = @studioId';

export const PUT_GROUP = `
  INSERT INTO named_group (id, studio_id, coach_id, revision, name, place, note, routine_id, days, saved_at)
  VALUES (@id, @studioId, @coachId, @revision, @name, @place, @note, @routineId, @days, @savedAt)
  ON CONFLICT (id) DO UPDATE
  SET coach_id = @coachId, revision = @revision, name = @name, place = @place, note = @note, routine_id = @routineId, days = @days,
      saved_at = @savedAt`;

/** Who is archived is not on the list that was saved, and stays a member. */
export const CLEAR_MEMBERS = `
  DELETE FROM group_member
  WHERE group_id = @id AND trainee_id IN (SELECT id FROM trainee WHERE archived_at IS NULL)`;

export const PUT_MEMBER = 'INSERT OR IGNORE INTO group_member (group_id, trainee_id) VALUES (@id, @traineeId)';

export const RETIRE_GROUP = 'UPDATE named_group SET retired_at = @at WHERE id = @id AND studio_id = @studioId AND retired_at IS NULL';

export const SETTINGS_OF_STUDIO = `
  SELECT g.id, g.trainee_id AS traineeId, g.saved_at AS savedAt, g.choices, g.reason, c.name AS coach
  FROM gate_settings g
  JOIN coach c ON c.id = g.coach_id
  WHERE g.studio_id = @studioId
  ORDER BY g.saved_at, g.rowid`;

export const INSERT_SETTINGS = `
  INSERT INTO gate_settings (id, studio_id, trainee_id, coach_id, based_on, saved_at, choices, reason)
  VALUES (@id, @studioId, @traineeId, @coachId, @basedOn, @savedAt, @choices, @reason)`;

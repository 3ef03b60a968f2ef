const EMERGENCY_COLUMNS = `
  e.id, e.trainee_id AS traineeId, e.at, e.recorded_at AS recordedAt, c.name AS coach, m.reason AS mistake,
  (SELECT s.signs FROM emergency_seen s WHERE s.emergency_id = e.id ORDER BY s.recorded_at DESC, s.rowid DESC LIMIT 1) AS signs,
  (SELECT s.note FROM emergency_seen s WHERE s.emergency_id = e.id ORDER BY s.recorded_at DESC, s.rowid DESC LIMIT 1) AS note`;

const FROM = `
  FROM emergency e
  JOIN coach c ON c.id = e.coach_id
  LEFT JOIN emergency_mistake m ON m.emergency_id = e.id`;

export const EMERGENCIES_OF_TRAINEE = `
  SELECT ${EMERGENCY_COLUMNS} ${FROM}
  WHERE e.trainee_id = @traineeId
  ORDER BY e.at DESC, e.id DESC`;

export const EMERGENCIES_OF_STUDIO = `
  SELECT ${EMERGENCY_COLUMNS} ${FROM}
  WHERE e.studio_id = @studioId
  ORDER BY e.at DESC, e.id DESC`;

export const INSERT_EMERGENCY = `
  INSERT INTO emergency (id, studio_id, trainee_id, coach_id, at, recorded_at)
  VALUES (@id, @studioId, @traineeId, @coachId, @at, @recordedAt)`;

export const INSERT_SEEN = `
  INSERT INTO emergency_seen (id, emergency_id, coach_id, recorded_at, signs, note)
  VALUES (@id, @emergencyId, @coachId, @recordedAt, @signs, @note)`;

export const INSERT_MISTAKE = `
  INSERT INTO emergency_mistake (id, emergency_id, coach_id, recorded_at, reason)
  VALUES (@id, @emergencyId, @coachId, @recordedAt, @reason)`;

export const CARE = `
  SELECT id, number, place
  FROM emergency_care
  WHERE studio_id = @studioId
  ORDER BY saved_at DESC, rowid DESC
  LIMIT 1`;

export const INSERT_CARE = `
  INSERT INTO emergency_care (id, studio_id, coach_id, based_on, saved_at, number, place)
  VALUES (@id, @studioId, @coachId, @basedOn, @savedAt, @number, @place)`;

export const TRAINEE_OF_STUDIO = `
  SELECT id FROM trainee WHERE id = @traineeId AND studio_id = @studioId`;

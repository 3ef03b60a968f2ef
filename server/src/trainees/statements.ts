export const TRAINEE_COLUMNS = `
  t.id, r.id AS revision, r.based_on AS basedOn, r.saved_at AS savedAt, r.name, r.birth_year AS birthYear, r.birth_date AS birthDate, r.sex,
  r.stature_cm AS stature, r.mass_kg AS mass, r.dominant_hand AS dominantHand, r.history,
  r.arm_length_cm AS armLength, r.leg_length_cm AS legLength,
  r.ladder_id AS ladderId, r.training_days AS trainingDays, r.session_minutes AS sessionMinutes, r.equipment,
  t.archived_at AS archivedAt`;

export const ALL_TRAINEES = `
  SELECT ${TRAINEE_COLUMNS}
  FROM trainee t
  JOIN trainee_revision r ON r.id = t.current_revision
  WHERE t.studio_id = @studioId AND t.archived_at IS NULL
  ORDER BY r.name COLLATE NOCASE, t.id`;

export const LISTED = `
  SELECT t.id
  FROM trainee t
  JOIN trainee_revision r ON r.id = t.current_revision
  WHERE t.studio_id = @studioId AND t.archived_at IS NULL
  ORDER BY r.name COLLATE NOCASE, t.id`;

export const ONE_TRAINEE = `
  SELECT ${TRAINEE_COLUMNS}
  FROM trainee t
  JOIN trainee_revision r ON r.id = t.current_revision
  WHERE t.id = @traineeId AND t.studio_id = @studioId`;

export const INSERT_TRAINEE = `
  INSERT INTO trainee (id, studio_id, current_revision)
  VALUES (@id, @studioId, @revision)`;

export const POINT_TO_REVISION = `
  UPDATE trainee SET current_revision = @revision
  WHERE id = @id AND studio_id = @studioId`;

export const INSERT_REVISION = `
  INSERT INTO trainee_revision (
    id, trainee_id, coach_id, based_on, saved_at, name, birth_year, birth_date, sex, stature_cm, mass_kg, dominant_hand,
    history, ladder_id, training_days, session_minutes, equipment, arm_length_cm, leg_length_cm
  ) VALUES (
    @revision, @id, @coachId, @basedOn, @savedAt, @name, @birthYear, @birthDate, @sex, @stature, @mass, @dominantHand,
    @history, @ladderId, @trainingDays, @sessionMinutes, @equipment, @armLength, @legLength
  )`;

export const INSERT_TAKEN_BACK = `
  INSERT INTO taken_back (id, studio_id, trainee_id, coach_id, kind, fact_id, at, reason)
  VALUES (@id, @studioId, @traineeId, @coachId, @kind, @factId, @at, @reason)`;

export const TAKEN_BACK_OF_TRAINEE = `
  SELECT b.id, b.kind, b.fact_id AS factId, b.at, b.reason, c.name AS coach,
         coalesce(
           (SELECT performed_at FROM session WHERE id = b.fact_id),
           (SELECT at FROM symptom WHERE id = b.fact_id),
           (SELECT taken_at FROM check_occasion WHERE id = b.fact_id),
           (SELECT taken_at FROM screening WHERE id = b.fact_id)
         ) AS of
  FROM taken_back b
  JOIN coach c ON c.id = b.coach_id
  WHERE b.trainee_id = @traineeId
  ORDER BY b.at DESC, b.id DESC`;

export const SESSION_IN_FORCE = 'SELECT id FROM session_in_force WHERE id = @factId AND trainee_id = @traineeId';
export const SYMPTOM_IN_FORCE = 'SELECT id FROM symptom_in_force WHERE id = @factId AND trainee_id = @traineeId';
export const SCREENING_IN_FORCE = 'SELECT id FROM screening_in_force WHERE id = @factId AND trainee_id = @traineeId';
export const CHECK_OF_TRAINEE = 'SELECT id FROM check_occasion WHERE id = @factId AND trainee_id = @traineeId';

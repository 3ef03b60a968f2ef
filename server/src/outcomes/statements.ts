/** Signed so long ago at most that somebody may still be asked, corrections and all. */
export const CLEARED_SINCE = `
  SELECT c.id AS clearanceId, c.trainee_id AS traineeId, c.ladder_id AS ladderId, c.rung_id AS rungId, c.signed_at AS signedAt,
         w.withdrawn_at AS withdrawnAt, w.cause AS withdrawnBy
  FROM clearance c
  LEFT JOIN withdrawal w ON w.clearance_id = c.id
  WHERE c.signed_at >= @since AND c.signed_at <= @until AND (@traineeId IS NULL OR c.trainee_id = @traineeId)
  ORDER BY c.signed_at`;

export const ANSWERED = `
  SELECT clearance_id AS clearanceId, weeks
  FROM outcome_in_force
  WHERE told_at >= @since`;

export const SESSIONS_SINCE = `
  SELECT performed_at AS at
  FROM session_in_force
  WHERE trainee_id = @traineeId AND performed_at > @since AND performed_at <= @until AND preparation IS NULL`;

export const SYMPTOMS_SINCE = `
  SELECT at, intensity, place, side, kind, moment, retest, judged
  FROM symptom_in_force
  WHERE trainee_id = @traineeId AND at > @since AND at <= @until`;

export const CLEARANCE_OF_TRAINEE = `
  SELECT signed_at AS signedAt
  FROM clearance
  WHERE id = @clearanceId AND trainee_id = @traineeId`;

export const INSERT_OUTCOME = `
  INSERT INTO clearance_outcome (id, trainee_id, clearance_id, coach_id, weeks, outcome, note, told_at)
  VALUES (@id, @traineeId, @clearanceId, @coachId, @weeks, @outcome, @note, @toldAt)`;

/** Every answer that counts, with what its clearance was signed on. */
export const TOLD = `
  SELECT o.clearance_id AS clearanceId, o.trainee_id AS traineeId, o.weeks, o.outcome, o.note, o.told_at AS toldAt,
         c.ladder_id AS ladderId, c.rung_id AS rungId, c.signed_at AS signedAt, c.figures
  FROM outcome_in_force o
  JOIN clearance c ON c.id = o.clearance_id
  ORDER BY o.told_at DESC, o.id DESC`;

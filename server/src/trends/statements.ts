/** Every drill of the sessions of a window; one done twice in a session counts once. */
export const DRILLS_DONE = `
  SELECT DISTINCT s.id AS sessionId, s.trainee_id AS traineeId, i.drill_id AS drillId
  FROM session_in_force s
  JOIN session_item i ON i.session_id = s.id
  WHERE s.performed_at >= @since AND s.performed_at <= @until AND s.preparation IS NULL`;

/** When everybody came, and when each was signed last. */
export const SINCE = `
  SELECT t.id AS traineeId, (SELECT min(r.saved_at) FROM trainee_revision r WHERE r.trainee_id = t.id) AS addedAt
  FROM trainee t`;

export const INSERT_SYMPTOM = `
  INSERT INTO symptom (
    id, studio_id, trainee_id, coach_id, session_id, run_id, class_id, at, intensity, place, side, kind, moment, note,
    stop_reason, replaces, reason, recorded_at, retest, judged, reported_by
  ) VALUES (
    @id, @studioId, @traineeId, @coachId, @sessionId, @runId, @classId, @at, @intensity, @place, @side, @kind, @moment, @note,
    @stopReason, @replaces, @reason, @recordedAt, @retest, @judged, @reportedBy
  )`;

/** The session of a symptom: the one it names, while that is in force, the one that its run or class has become, or its newest version. */
export const SESSION_OF_SYMPTOM = `
  coalesce(
    (SELECT f.id FROM session_in_force f WHERE f.id = symptom.session_id),
    (SELECT f.id FROM session_in_force f WHERE f.run_id = symptom.run_id),
    (SELECT f.id FROM session_in_force f WHERE f.class_id = symptom.class_id AND f.trainee_id = symptom.trainee_id),
    (SELECT f.id FROM session_in_force f WHERE f.run_id = (SELECT o.run_id FROM session o WHERE o.id = symptom.session_id)),
    (SELECT f.id FROM session_in_force f
     WHERE coalesce(f.origin_id, f.id) = (SELECT coalesce(o.origin_id, o.id) FROM session o WHERE o.id = symptom.session_id)),
    session_id
  )`;

export const SYMPTOMS_OF_TRAINEE = `
  SELECT id, ${SESSION_OF_SYMPTOM} AS sessionId, at, intensity, place, side, kind, moment, note, retest, judged, reported_by AS reportedBy
  FROM symptom_in_force symptom
  WHERE trainee_id = @traineeId
  ORDER BY at DESC, id DESC
  LIMIT @limit`;

export const STOP_SIGNS_OF_TRAINEE = `
  SELECT s.id AS symptomId, s.stop_reason AS reason, s.at, c.ground, c.closed_at AS closedAt, c.role, c.consulted_on AS consultedOn
  FROM symptom_in_force s
  LEFT JOIN stop_sign_closure c ON c.symptom_id = s.id
  WHERE s.trainee_id = @traineeId AND s.stop_reason IS NOT NULL
  ORDER BY s.at DESC`;

export const SESSION_OWNER = `
  SELECT trainee_id AS traineeId
  FROM session
  WHERE id = @sessionId`;

export const INSERT_CLOSURE = `
  INSERT INTO stop_sign_closure (id, symptom_id, coach_id, closed_at, ground, role, consulted_on)
  VALUES (@id, @symptomId, @coachId, @closedAt, @ground, @role, @consultedOn)`;

export const SYMPTOM_TO_CORRECT = `
  SELECT s.session_id AS sessionId, s.run_id AS runId, s.class_id AS classId,
         EXISTS (SELECT 1 FROM symptom_in_force f WHERE f.id = s.id) AS inForce
  FROM symptom s
  WHERE s.id = @id AND s.trainee_id = @traineeId`;

export const INSERT_SESSION = `
  INSERT INTO session (
    id, studio_id, trainee_id, coach_id, planned_session_id, performed_at, effort, minutes, note,
    clean, clean_reason, push_dose, pull_dose, joint_doses, drill_ids
  ) VALUES (
    @id, @studioId, @traineeId, @coachId, @plannedSessionId, @performedAt, @effort, @minutes, @note,
    @clean, @cleanReason, @push, @pull, @jointDoses, @drillIds
  )`;

export const INSERT_ITEM = `
  INSERT INTO session_item (id, session_id, position, drill_id, planned_sets, min_dose, max_dose, support)
  VALUES (@id, @sessionId, @position, @drillId, @plannedSets, @min, @max, @support)`;

export const INSERT_SET = `
  INSERT INTO session_set (id, item_id, position, side, amount, faults, feeling)
  VALUES (@id, @itemId, @position, @side, @amount, @faults, @feeling)`;

export const INSERT_SYMPTOM = `
  INSERT INTO symptom (
    id, studio_id, trainee_id, coach_id, session_id, at, intensity, place, side, kind, moment, note, stop_reason
  ) VALUES (
    @id, @studioId, @traineeId, @coachId, @sessionId, @at, @intensity, @place, @side, @kind, @moment, @note, @stopReason
  )`;

export const SESSIONS_OF_TRAINEE = `
  SELECT id, planned_session_id AS plannedSessionId, performed_at AS performedAt, effort, minutes, note,
         clean, clean_reason AS cleanReason, push_dose AS push, pull_dose AS pull
  FROM session
  WHERE trainee_id = @traineeId
  ORDER BY performed_at DESC, id DESC
  LIMIT @limit`;

const SHOWN_SESSIONS = 'SELECT id FROM session WHERE trainee_id = @traineeId ORDER BY performed_at DESC, id DESC LIMIT @limit';

export const ITEMS_OF_TRAINEE = `
  SELECT id, session_id AS sessionId, drill_id AS drillId, planned_sets AS plannedSets, min_dose AS min, max_dose AS max, support
  FROM session_item
  WHERE session_id IN (${SHOWN_SESSIONS})
  ORDER BY session_id, position`;

export const SETS_OF_TRAINEE = `
  SELECT s.id, s.item_id AS itemId, s.side, s.amount, s.feeling, s.faults
  FROM session_set s
  JOIN session_item i ON i.id = s.item_id
  WHERE i.session_id IN (${SHOWN_SESSIONS})
  ORDER BY s.item_id, s.position`;

export const SYMPTOMS_OF_TRAINEE = `
  SELECT id, session_id AS sessionId, at, intensity, place, side, kind, moment, note
  FROM symptom
  WHERE trainee_id = @traineeId
  ORDER BY at DESC, id DESC
  LIMIT @limit`;

export const STOP_SIGNS_OF_TRAINEE = `
  SELECT s.id AS symptomId, s.stop_reason AS reason, s.at, c.ground, c.closed_at AS closedAt
  FROM symptom s
  LEFT JOIN stop_sign_closure c ON c.symptom_id = s.id
  WHERE s.trainee_id = @traineeId AND s.stop_reason IS NOT NULL
  ORDER BY s.at DESC`;

export const SESSION_OWNER = `
  SELECT trainee_id AS traineeId
  FROM session
  WHERE id = @sessionId`;

export const INSERT_CLOSURE = `
  INSERT INTO stop_sign_closure (id, symptom_id, coach_id, closed_at, ground)
  VALUES (@id, @symptomId, @coachId, @closedAt, @ground)`;

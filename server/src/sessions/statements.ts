export const INSERT_SESSION = `
  INSERT INTO session (
    id, studio_id, trainee_id, coach_id, planned_session_id, performed_at, effort, minutes, note,
    clean, clean_reason, clean_finding, practised, rules_version, push_dose, pull_dose, joint_doses, side_doses, drill_ids, run_id, replaces,
    origin_id, reason, recorded_at, reported_by, preparation, class_id
  ) VALUES (
    @id, @studioId, @traineeId, @coachId, @plannedSessionId, @performedAt, @effort, @minutes, @note,
    @clean, '', @cleanFinding, @practised, @rulesVersion, @push, @pull, @jointDoses, @sideDoses, @drillIds, @runId, @replaces,
    @originId, @reason, @recordedAt, @reportedBy, @preparation, @classId
  )`;

export const INSERT_ITEM = `
  INSERT INTO session_item (id, session_id, position, drill_id, planned_sets, min_dose, max_dose, support, manner, skipped)
  VALUES (@id, @sessionId, @position, @drillId, @plannedSets, @min, @max, @support, @manner, @skipped)`;

export const INSERT_SET = `
  INSERT INTO session_set (id, item_id, position, side, amount, faults, feeling, unconfirmed)
  VALUES (@id, @itemId, @position, @side, @amount, @faults, @feeling, @unconfirmed)`;

export const SESSIONS_OF_TRAINEE = `
  SELECT id, planned_session_id AS plannedSessionId, performed_at AS performedAt, effort, minutes, note,
         clean, clean_reason AS cleanReason, clean_finding AS cleanFinding, reason, push_dose AS push, pull_dose AS pull,
         side_doses AS sideDoses, run_id AS runId, replaces, reported_by AS reportedBy, preparation,
         (SELECT r.name FROM class_run r WHERE r.id = class_id) AS inClass,
         coalesce(origin_id, id) AS originId
  FROM session_in_force
  WHERE trainee_id = @traineeId
  ORDER BY performed_at DESC, id DESC
  LIMIT @limit`;

const SHOWN_SESSIONS = 'SELECT id FROM session_in_force WHERE trainee_id = @traineeId ORDER BY performed_at DESC, id DESC LIMIT @limit';

export const ITEMS_OF_TRAINEE = `
  SELECT id, session_id AS sessionId, drill_id AS drillId, planned_sets AS plannedSets, min_dose AS min, max_dose AS max, support, support_version AS supportVersion, manner, manner_version AS mannerVersion, skipped
  FROM session_item
  WHERE session_id IN (${SHOWN_SESSIONS})
  ORDER BY session_id, position`;

export const SETS_OF_TRAINEE = `
  SELECT s.id, s.item_id AS itemId, s.side, s.amount, s.feeling, s.unconfirmed, s.faults
  FROM session_set s
  JOIN session_item i ON i.id = s.item_id
  WHERE i.session_id IN (${SHOWN_SESSIONS})
  ORDER BY s.item_id, s.position`;

export const REPLACED = `
  SELECT s.id, s.effort * s.minutes AS load,
         (SELECT count(*) FROM session_set t JOIN session_item i ON i.id = t.item_id WHERE i.session_id = s.id) AS sets
  FROM session s
  WHERE s.id = @id`;

export const PHOTOS_OF_TRAINEE = `
  SELECT p.id, p.run_id AS runId, p.taken_at AS takenAt, p.image IS NOT NULL AS kept
  FROM floor_photo p
  JOIN floor_run r ON r.id = p.run_id
  WHERE r.trainee_id = @traineeId
  ORDER BY p.taken_at, p.id`;

export const SESSION_OF_RUN = `
  SELECT id
  FROM session_in_force
  WHERE run_id = @runId`;

export const SESSION_OF_CLASS = `
  SELECT id
  FROM session_in_force
  WHERE class_id = @classId AND trainee_id = @traineeId`;

/** Whether the session that a class has become of somebody was taken back. */
export const CLASS_TAKEN_BACK = `
  SELECT 1
  FROM session s
  JOIN taken_back b ON b.fact_id = s.id
  WHERE s.class_id = @classId AND s.trainee_id = @traineeId`;

/** Oldest first, for the workload. */
export const LOADS_OF_TRAINEE = `
  SELECT id, performed_at AS performedAt, effort, minutes, push_dose AS push, pull_dose AS pull, joint_doses AS jointDoses,
         side_doses AS sideDoses
  FROM session_in_force
  WHERE trainee_id = @traineeId AND performed_at >= @since
  ORDER BY performed_at, id`;

/** Whether the session that a run has become was taken back. */
export const RUN_TAKEN_BACK = `
  SELECT 1
  FROM session s
  JOIN taken_back b ON b.fact_id = s.id
  WHERE s.run_id = @runId`;

/** The first version of a session, and whether it still counts. */
export const SESSION_TO_CORRECT = `
  SELECT coalesce(s.origin_id, s.id) AS originId, s.run_id AS runId, s.class_id AS classId, s.preparation,
         EXISTS (SELECT 1 FROM session_in_force f WHERE f.id = s.id) AS inForce
  FROM session s
  WHERE s.id = @id AND s.trainee_id = @traineeId`;

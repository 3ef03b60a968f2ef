import { isTrained } from '../database/trained.ts';
import { CAPACITY_COLUMNS, STOPPED } from '../checks/statements.ts';
import { SESSION_OF_SYMPTOM } from '../symptoms/statements.ts';
import { CLEARANCE_COLUMNS } from '../clearances/statements.ts';

/** The same facts for one trainee or for a whole studio; only the scope differs. */
const SCOPES = {
  trainee: 'trainee_id = @scope',
  studio: 'trainee_id IN (SELECT id FROM trainee WHERE studio_id = @scope)',
} as const;
export type Scope = keyof typeof SCOPES;

export const currentCapacities = (scope: Scope) => `
  SELECT trainee_id AS traineeId, ${CAPACITY_COLUMNS}
  FROM capacity
  WHERE is_current = 1 AND ${SCOPES[scope]}`;

export const lateChecks = (scope: Scope) => `
  SELECT trainee_id AS traineeId, measure_id AS measureId, side, taken_at AS takenAt
  FROM capacity
  WHERE followed_late = 1 AND ${SCOPES[scope]}`;

export const clearances = (scope: Scope) => `
  SELECT ${CLEARANCE_COLUMNS}
  FROM clearance c
  LEFT JOIN withdrawal w ON w.clearance_id = c.id
  WHERE c.${SCOPES[scope]}`;

export const recentSessions = (scope: Scope) => `
  SELECT id, trainee_id AS traineeId, performed_at AS performedAt, planned_session_id AS plannedSessionId, clean, practised, effort,
         minutes, drill_ids AS drillIds
  FROM session_in_force
  WHERE performed_at >= @since AND performed_at <= @until AND ${isTrained()} AND ${SCOPES[scope]}`;

export const recentSymptoms = (scope: Scope) => `
  SELECT trainee_id AS traineeId, ${SESSION_OF_SYMPTOM} AS sessionId, at, intensity, place, side, kind, moment, retest, judged, reported_by AS reportedBy
  FROM symptom_in_force symptom
  WHERE at >= @since AND at <= @until AND ${SCOPES[scope]}`;

/**
 * When the newest stop sign of each trainee was felt, and when one was closed last. The plus keeps the time out of the choice of an
 * index: that of stop signs alone is three hundred times quicker.
 */
export const lastStopSigns = (scope: Scope) => `
  SELECT s.trainee_id AS traineeId, MAX(s.at) AS at, MAX(c.closed_at) AS closedAt
  FROM symptom_in_force s
  LEFT JOIN stop_sign_closure c ON c.symptom_id = s.id AND c.closed_at <= @until
  WHERE s.stop_reason IS NOT NULL AND +s.at <= @until AND s.${SCOPES[scope]}
  GROUP BY s.trainee_id`;

export const openStopSigns = (scope: Scope) => `
  SELECT s.trainee_id AS traineeId, s.at, s.intensity, s.place, s.side, s.kind, s.moment, s.retest, s.judged
  FROM symptom_in_force s
  WHERE s.stop_reason IS NOT NULL AND +s.at <= @until AND s.${SCOPES[scope]}
    AND NOT EXISTS (SELECT 1 FROM stop_sign_closure c WHERE c.symptom_id = s.id AND c.closed_at <= @until)`;

/** The newest time that each check was left out or stopped by pain, worry or for safety. */
export const skips = (scope: Scope) => `
  SELECT o.trainee_id AS traineeId, k.measure_id AS measureId, k.reason, MAX(o.taken_at) AS at
  FROM check_skip k
  JOIN check_occasion o ON o.id = k.check_id
  WHERE k.reason IN (${STOPPED}) AND o.taken_at <= @until AND o.${SCOPES[scope]}
    AND NOT EXISTS (SELECT 1 FROM taken_back b WHERE b.fact_id = o.id)
  GROUP BY o.trainee_id, k.measure_id`;

export const knownSince = (scope: Scope) => `
  SELECT t.id AS traineeId,
         (SELECT MIN(saved_at) FROM trainee_revision r WHERE r.trainee_id = t.id) AS addedAt,
         (SELECT MIN(taken_at) FROM screening_in_force s WHERE s.trainee_id = t.id) AS screenedAt
  FROM trainee t
  WHERE t.${SCOPES[scope].replace('trainee_id', 'id')}`;

/** Every figure of one trainee up to a moment, oldest first: what was the newest then. */
export const CAPACITIES_UNTIL = `
  SELECT trainee_id AS traineeId, ${CAPACITY_COLUMNS}
  FROM capacity
  WHERE trainee_id = @scope AND taken_at <= @until
  ORDER BY taken_at, check_id`;

export const TRAIL_OF_KEY = `
  SELECT ${CAPACITY_COLUMNS}
  FROM capacity
  WHERE trainee_id = @traineeId AND measure_id = @measureId AND side = @side AND is_current = 0
  ORDER BY taken_at DESC
  LIMIT @limit`;

/** What a side showed before its newest figure. */
export const CAPACITY_BEFORE = `
  SELECT ${CAPACITY_COLUMNS}
  FROM capacity
  WHERE trainee_id = @traineeId AND measure_id = @measureId AND side = @side AND taken_at < @before
  ORDER BY taken_at DESC
  LIMIT 1`;

/** Drills of which something was done; one that was skipped is as new as before. */
export const KNOWN_DRILLS = `
  SELECT DISTINCT i.drill_id AS drillId
  FROM session_in_force s
  JOIN session_item i ON i.session_id = s.id
  WHERE s.trainee_id = @traineeId
    AND EXISTS (SELECT 1 FROM session_set e WHERE e.item_id = i.id AND e.amount > 0)`;

/** The most of one set that somebody confirmed and that no fault spoiled, by drill, set-up and side. */
export const DONE_AMOUNTS = `
  SELECT i.drill_id AS drillId, i.support, i.support_version AS supportVersion, i.manner, i.manner_version AS mannerVersion, e.side, MAX(e.amount) AS most, MAX(s.performed_at) AS lastAt
  FROM session_in_force s
  JOIN session_item i ON i.session_id = s.id
  JOIN session_set e ON e.item_id = i.id
  WHERE s.trainee_id = @traineeId AND s.performed_at >= @since AND e.amount > 0 AND e.unconfirmed = 0
    AND (e.feeling IS NULL OR e.feeling IN ('too easy', 'right'))
    AND NOT EXISTS (SELECT 1 FROM json_each(e.faults) f WHERE json_extract(f.value, '$.mended') = 0)
  GROUP BY i.drill_id, i.support, i.manner, e.side`;

/** Newest first: what the planner builds on, and the last loaded day. */
export const SESSIONS_TO_BUILD_ON = `
  SELECT performed_at AS performedAt, drill_ids AS drillIds, push_dose + pull_dose AS dose, joint_doses AS jointDoses, clean
  FROM session_in_force
  WHERE trainee_id = @traineeId AND performed_at >= @since
  ORDER BY performed_at DESC`;

export const FIRST_SESSION = `
  SELECT MIN(performed_at) AS performedAt
  FROM session_in_force
  WHERE trainee_id = @traineeId AND ${isTrained()}`;

/** When anything last loaded the hands. */
export const LAST_LOADED_SESSION = `
  SELECT MAX(performed_at) AS performedAt
  FROM session_in_force
  WHERE trainee_id = @traineeId AND push_dose + pull_dose > 0`;

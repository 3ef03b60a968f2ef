import { STOPPING } from '@myokinet/core/measuring';

export const INSERT_CHECK = `
  INSERT INTO check_occasion (id, studio_id, trainee_id, coach_id, taken_at, note)
  VALUES (@id, @studioId, @traineeId, @coachId, @takenAt, @note)`;

export const INSERT_TRIAL = `
  INSERT INTO trial (id, check_id, coach_id, position, measure_id, side, value, replaces, reason, reading)
  VALUES (@id, @checkId, @coachId, @position, @measureId, @side, @value, @replaces, @reason, @reading)`;

/** Earlier occasions of a trainee at which one of these pictures or traces was read for the same check. */
export const SOURCE_USED = `
  SELECT o.taken_at AS takenAt
  FROM trial t
  JOIN check_occasion o ON o.id = t.check_id
  WHERE o.trainee_id = @traineeId AND o.id <> @checkId AND t.reading IS NOT NULL
    AND json_extract(t.reading, '$.source') = @source AND t.measure_id = @measureId
    AND NOT EXISTS (SELECT 1 FROM taken_back b WHERE b.fact_id = o.id)
  LIMIT 1`;

export const INSERT_SKIP = `
  INSERT INTO check_skip (check_id, measure_id, reason)
  VALUES (@checkId, @measureId, @reason)`;

/** Reasons that stop a movement, as a list of SQL. */
export const STOPPED = STOPPING.map((reason) => `'${reason}'`).join(', ');

/** Trials of one occasion that no correction has replaced, of movements that nothing stopped before their end. */
export const STANDING_TRIALS = `
  SELECT measure_id AS measureId, side, value, reading
  FROM trial t
  WHERE check_id = @checkId AND NOT EXISTS (SELECT 1 FROM trial c WHERE c.replaces = t.id)
    AND NOT EXISTS (SELECT 1 FROM check_skip k WHERE k.check_id = t.check_id AND k.measure_id = t.measure_id AND k.reason IN (${STOPPED}))
  ORDER BY position`;

export const TRIAL_BY_ID = `
  SELECT t.id, t.check_id AS checkId, t.position, t.measure_id AS measureId, t.side, t.reading,
         EXISTS (SELECT 1 FROM trial c WHERE c.replaces = t.id) AS replaced,
         EXISTS (SELECT 1 FROM taken_back b WHERE b.fact_id = t.check_id) AS takenBack
  FROM trial t
  JOIN check_occasion o ON o.id = t.check_id
  WHERE t.id = @id AND o.trainee_id = @traineeId`;

export const UPSERT_CAPACITY = `
  INSERT INTO capacity (
    check_id, trainee_id, measure_id, side, taken_at, value, band, standard_error, trials, error_basis, error_version, scatter, provisional,
    followed_late, is_current
  ) VALUES (
    @checkId, @traineeId, @measureId, @side, @takenAt, @value, @band, @standardError, @trials, @errorBasis, @errorVersion, @scatter, @provisional,
    0, 0
  )
  ON CONFLICT (check_id, measure_id, side) DO UPDATE SET
    value = excluded.value, band = excluded.band, standard_error = excluded.standard_error,
    trials = excluded.trials, error_basis = excluded.error_basis, error_version = excluded.error_version, scatter = excluded.scatter, provisional = excluded.provisional`;

/** Occasions with figures whose error an older program worked out. */
export const OLDER_ERRORS = `
  SELECT DISTINCT check_id AS checkId, trainee_id AS traineeId, taken_at AS takenAt
  FROM capacity
  WHERE error_version < @errorVersion AND taken_at >= @since
  ORDER BY taken_at`;

export const DATES_OF_KEY = `
  SELECT check_id AS checkId, taken_at AS takenAt, provisional IS NOT NULL AS provisional,
         coalesce(provisional = 'in a session', 0) AS inSession
  FROM capacity
  WHERE trainee_id = @traineeId AND measure_id = @measureId AND side = @side
  ORDER BY taken_at, check_id`;

export const FLAG_CAPACITY = `
  UPDATE capacity SET followed_late = @followedLate, is_current = @isCurrent
  WHERE check_id = @checkId AND measure_id = @measureId AND side = @side
    AND (followed_late <> @followedLate OR is_current <> @isCurrent)`;

export const CAPACITY_COLUMNS = `
  measure_id AS measureId, side, value, band, standard_error AS standardError, trials,
  taken_at AS takenAt, error_basis AS errorBasis, provisional`;

export const CAPACITIES_OF_TRAINEE = `
  SELECT check_id AS checkId, ${CAPACITY_COLUMNS}
  FROM capacity
  WHERE trainee_id = @traineeId AND (@checkId IS NULL OR check_id = @checkId)
  ORDER BY taken_at DESC, check_id DESC`;

export const CHECKS_OF_TRAINEE = `
  SELECT o.id, o.taken_at AS takenAt, w.accepted_at AS recordedAt, o.note, c.name AS coach,
         (SELECT b.reason FROM taken_back b WHERE b.fact_id = o.id) AS takenBack
  FROM check_occasion o
  JOIN coach c ON c.id = o.coach_id
  LEFT JOIN accepted_write w ON w.id = o.id
  WHERE o.trainee_id = @traineeId AND (@checkId IS NULL OR o.id = @checkId)
  ORDER BY o.taken_at DESC, o.id DESC
  LIMIT @limit`;

export const TRIALS_OF_TRAINEE = `
  SELECT t.check_id AS checkId, t.id, t.measure_id AS measureId, t.side, t.value, t.replaces, t.reason, t.reading,
         (SELECT c.id FROM trial c WHERE c.replaces = t.id) AS replacedBy
  FROM trial t
  WHERE t.check_id IN (
    SELECT id FROM check_occasion
    WHERE trainee_id = @traineeId AND (@checkId IS NULL OR id = @checkId)
    ORDER BY taken_at DESC, id DESC
    LIMIT @limit
  )
  ORDER BY t.position, t.id`;

export const SKIPS_OF_TRAINEE = `
  SELECT s.check_id AS checkId, s.measure_id AS measureId, s.reason
  FROM check_skip s
  JOIN check_occasion o ON o.id = s.check_id
  WHERE o.trainee_id = @traineeId AND (@checkId IS NULL OR o.id = @checkId)`;

export const KEYS_OF_CHECK = `
  SELECT measure_id AS measureId, side
  FROM capacity
  WHERE check_id = @checkId`;

/** Capacities are worked out from trials: of an occasion that was taken back there are none. */
export const DROP_CAPACITIES = `
  DELETE FROM capacity
  WHERE check_id = @checkId`;

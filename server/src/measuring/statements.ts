/** The coach's newest sets of repeated trials in one check, before a moment; stand-ins never count. */
export const SCATTERS = `
  SELECT c.trainee_id AS traineeId, c.trials, c.scatter AS sumOfSquares
  FROM capacity c
  JOIN check_occasion o ON o.id = c.check_id
  WHERE c.measure_id = @measureId AND c.taken_at < @before AND c.trials > 1 AND c.provisional IS NULL AND o.coach_id = @coachId
  ORDER BY c.taken_at DESC
  LIMIT @limit`;

export const INSERT_TEST = `
  INSERT INTO repeatability_test (id, studio_id, coach_id, taken_at, measure_id, kind, other_coach, repeated)
  VALUES (@id, @studioId, @coachId, @takenAt, @measureId, @kind, @otherCoach, @repeated)`;

export const TESTS = `
  SELECT t.id, t.taken_at AS takenAt, t.measure_id AS measureId, t.kind, t.other_coach AS otherCoach, t.repeated, c.name AS coach
  FROM repeatability_test t
  JOIN coach c ON c.id = t.coach_id
  WHERE t.studio_id = @studioId
  ORDER BY t.taken_at DESC, t.id DESC`;

/** The coach's newest test of a check on their own, before a moment. */
export const OWN_TEST = `
  SELECT repeated
  FROM repeatability_test
  WHERE studio_id = @studioId AND coach_id = @coachId AND measure_id = @measureId AND kind = 'one coach' AND taken_at < @before
  ORDER BY taken_at DESC
  LIMIT 1`;

export const BATTERY_OF_TRAINEE = `
  SELECT r.id, r.started_at AS startedAt, r.touched_at AS touchedAt, r.scope, r.note, c.name AS coach
  FROM battery_run r
  JOIN coach c ON c.id = r.coach_id
  WHERE r.trainee_id = @traineeId`;

/** Batteries become checks of the same id. */
export const SAVED_LATELY = `
  SELECT id
  FROM check_occasion
  WHERE trainee_id = @traineeId
  ORDER BY taken_at DESC
  LIMIT 20`;

export const CELLS_OF_BATTERY = `
  SELECT measure_id AS measureId, side, ordinal, trial_id AS trialId, text, reading
  FROM battery_cell
  WHERE run_id = @batteryId
  ORDER BY measure_id, side, ordinal`;

export const SKIPS_OF_BATTERY = `
  SELECT measure_id AS measureId, reason
  FROM battery_skip
  WHERE run_id = @batteryId`;

/** What it is about stays as it was begun: a device that joins for other checks changes nothing of that. */
export const UPSERT_BATTERY = `
  INSERT INTO battery_run (id, studio_id, trainee_id, coach_id, started_at, touched_at, scope, note)
  VALUES (@id, @studioId, @traineeId, @coachId, @startedAt, @touchedAt, @scope, @note)
  ON CONFLICT (trainee_id) DO UPDATE SET touched_at = excluded.touched_at, note = excluded.note`;

export const UPSERT_CELL = `
  INSERT INTO battery_cell (run_id, measure_id, side, ordinal, trial_id, text, reading)
  VALUES (@batteryId, @measureId, @side, @ordinal, @trialId, @text, @reading)
  ON CONFLICT DO UPDATE SET trial_id = excluded.trial_id, text = excluded.text, reading = excluded.reading`;

export const UPSERT_SKIP = `
  INSERT INTO battery_skip (run_id, measure_id, reason)
  VALUES (@batteryId, @measureId, @reason)
  ON CONFLICT DO UPDATE SET reason = excluded.reason`;

export const DELETE_SKIP = `
  DELETE FROM battery_skip
  WHERE run_id = @batteryId AND measure_id = @measureId`;

export const DELETE_BATTERY = `
  DELETE FROM battery_run
  WHERE trainee_id = @traineeId AND id = @id`;

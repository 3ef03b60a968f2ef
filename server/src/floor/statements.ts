export const INSERT_RUN = `
  INSERT INTO floor_run (id, studio_id, trainee_id, coach_id, opened_at, head)
  VALUES (@id, @studioId, @traineeId, @coachId, @openedAt, @head)`;

export const RUN_BY_ID = `
  SELECT id, trainee_id AS traineeId, opened_at AS openedAt, head AS document, head_version AS version
  FROM floor_run
  WHERE id = @id AND studio_id = @studioId`;

export const RUNS_OF_TRAINEE = `
  SELECT r.id, r.head AS document, r.head_version AS version, r.opened_at AS openedAt, r.ended, c.name AS coach,
         (SELECT count(*) FROM floor_event e WHERE e.run_id = r.id AND e.event ->> '$.kind' = 'set') AS sets
  FROM floor_run r
  JOIN coach c ON c.id = r.coach_id
  WHERE r.trainee_id = @traineeId AND r.studio_id = @studioId AND (r.ended = 0 OR r.opened_at >= @since)
  ORDER BY r.opened_at DESC`;

export const END_RUN = 'UPDATE floor_run SET ended = 1 WHERE id = @id';

export const EVENTS_OF_RUN = `
  SELECT event AS document, event_version AS version
  FROM floor_event
  WHERE run_id = @runId
  ORDER BY ordinal, id`;

export const EVENT_BY_ID = 'SELECT run_id AS runId, event FROM floor_event WHERE id = @id';

export const INSERT_EVENT = `
  INSERT INTO floor_event (id, run_id, ordinal, received_at, event)
  VALUES (@id, @runId, @order, @receivedAt, @event)`;

export const INSERT_PHOTO = `
  INSERT INTO floor_photo (id, run_id, taken_at, image)
  VALUES (@id, @runId, @takenAt, @image)`;

export const PHOTO = 'SELECT image FROM floor_photo WHERE id = @id AND run_id = @runId';

export const TAKE_OFF_PHOTO = 'UPDATE floor_photo SET image = NULL WHERE id = @id AND run_id = @runId';

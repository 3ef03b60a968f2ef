import { isTrained } from '../database/trained.ts';

export const INSERT_LINK = `
  INSERT INTO trainee_link (id, trainee_id, coach_id, token_hash, feed_hash, pin_hash, lapses_on, progress, made_at)
  VALUES (@id, @traineeId, @coachId, @tokenHash, @feedHash, @pinHash, @lapsesOn, @progress, @madeAt)`;

export const REVOKE_LINK = `
  UPDATE trainee_link
  SET revoked_at = @at
  WHERE trainee_id = @traineeId AND revoked_at IS NULL`;

const LINK = `
  SELECT l.id, l.trainee_id AS traineeId, l.coach_id AS coachId, l.pin_hash AS pinHash, l.lapses_on AS lapsesOn, l.progress, l.made_at AS madeAt,
         c.name AS coach
  FROM trainee_link l
  JOIN coach c ON c.id = l.coach_id`;
/** One that was taken back opens nothing, nor does that of somebody who trains here no more. */
const STANDS = 'l.revoked_at IS NULL AND (SELECT archived_at FROM trainee t WHERE t.id = l.trainee_id) IS NULL';

export const LINK_OF_TRAINEE = `${LINK} WHERE l.trainee_id = @traineeId AND l.revoked_at IS NULL`;
export const LINK_BY_TOKEN = `${LINK} WHERE l.token_hash = @hash AND ${STANDS}`;
export const LINK_BY_FEED = `${LINK} WHERE l.feed_hash = @hash AND ${STANDS}`;
export const LINK_BY_DEVICE = `
  SELECT l.id, l.trainee_id AS traineeId, l.coach_id AS coachId, l.pin_hash AS pinHash, l.lapses_on AS lapsesOn, l.progress, l.made_at AS madeAt,
         c.name AS coach, d.id AS deviceId, d.seen_at AS seenAt
  FROM trainee_device d
  JOIN trainee_link l ON l.id = d.link_id
  JOIN coach c ON c.id = l.coach_id
  WHERE d.token_hash = @hash AND ${STANDS}`;

export const INSERT_DEVICE = `
  INSERT INTO trainee_device (id, link_id, token_hash, device, opened_at, seen_at)
  VALUES (@id, @linkId, @tokenHash, @device, @at, @at)`;

export const DEVICE_SEEN = 'UPDATE trainee_device SET seen_at = @at WHERE id = @id';

/** The phones seen longest ago make room for new ones. */
export const FORGET_DEVICES = `
  DELETE FROM trainee_device
  WHERE link_id = @linkId
    AND id NOT IN (SELECT id FROM trainee_device WHERE link_id = @linkId ORDER BY seen_at DESC, id DESC LIMIT @most)`;

export const DEVICES_OF_LINK = `
  SELECT device, opened_at AS openedAt, seen_at AS seenAt
  FROM trainee_device
  WHERE link_id = @linkId
  ORDER BY seen_at DESC`;

export const INSERT_MORNING = `
  INSERT INTO morning (id, trainee_id, session_id, at, how, recorded_at)
  VALUES (@id, @traineeId, @sessionId, @at, @how, @recordedAt)`;

export const MORNINGS_OF_TRAINEE = `
  SELECT at, how
  FROM morning
  WHERE trainee_id = @traineeId
  ORDER BY at DESC
  LIMIT @limit`;

/** Sessions of a day, newest first, whose morning after nobody has told. */
export const MORNING_TO_ASK = `
  SELECT s.id AS sessionId
  FROM session_in_force s
  WHERE s.trainee_id = @traineeId AND s.performed_at >= @from AND s.performed_at < @until AND ${isTrained('s.')}
    AND NOT EXISTS (SELECT 1 FROM morning m WHERE m.session_id = s.id)
  ORDER BY s.performed_at DESC
  LIMIT 1`;

export const SESSION_OF_TRAINEE = 'SELECT id FROM session WHERE id = @sessionId AND trainee_id = @traineeId';

/** Which planned sessions are on record, and which were reported only. */
export const DONE_PLANNED = `
  SELECT DISTINCT planned_session_id AS id
  FROM session_in_force
  WHERE trainee_id = @traineeId AND planned_session_id IS NOT NULL AND performed_at >= @since`;

export const INSERT_NOTE = `
  INSERT INTO note (id, trainee_id, coach_id, drill_id, at, text, recorded_at)
  VALUES (@id, @traineeId, @coachId, @drillId, @at, @text, @recordedAt)`;

/** The newest, oldest of them first. */
export const NOTES_OF_TRAINEE = `
  SELECT *
  FROM (
    SELECT n.id, n.at, n.text, n.drill_id AS drillId, c.name AS coach, n.seen_at IS NOT NULL AS seen
    FROM note n
    LEFT JOIN coach c ON c.id = n.coach_id
    WHERE n.trainee_id = @traineeId
    ORDER BY n.at DESC, n.id DESC
    LIMIT @limit
  )
  ORDER BY at, id`;

export const NOTES_SEEN = `
  UPDATE note
  SET seen_at = @seenAt
  WHERE trainee_id = @traineeId AND coach_id IS NULL AND seen_at IS NULL AND at <= @upTo`;

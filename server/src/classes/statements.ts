export const CLASS_BY_ID = `
  SELECT id, head AS document, head_version AS version
  FROM class_run
  WHERE id = @id AND studio_id = @studioId`;

export const INSERT_CLASS = `
  INSERT INTO class_run (id, studio_id, coach_id, group_id, name, opened_at, head)
  VALUES (@id, @studioId, @coachId, @groupId, @name, @openedAt, @head)`;

export const END_CLASS = 'UPDATE class_run SET ended = 1 WHERE id = @id';

/** Whoever was known first stands. */
export const INSERT_MEMBER = 'INSERT OR IGNORE INTO class_member (class_id, trainee_id, document) VALUES (@id, @traineeId, @document)';

export const MEMBERS_OF_CLASS = `
  SELECT document, document_version AS version
  FROM class_member
  WHERE class_id = @id
  ORDER BY trainee_id`;

export const EVENTS_OF_CLASS = `
  SELECT event AS document, event_version AS version
  FROM class_event
  WHERE class_id = @id
  ORDER BY ordinal, id`;

export const EVENT_BY_ID = 'SELECT class_id AS classId, event FROM class_event WHERE id = @id';

export const INSERT_EVENT = `
  INSERT INTO class_event (id, class_id, trainee_id, ordinal, received_at, event)
  VALUES (@id, @classId, @traineeId, @order, @receivedAt, @event)`;

/** Those that go on, and those of the last weeks. */
export const CLASSES = `
  SELECT r.id, r.name, r.group_id AS groupId, r.opened_at AS openedAt, r.ended, c.name AS coach,
         (SELECT json_group_array(trainee_id) FROM class_member WHERE class_id = r.id) AS members,
         (SELECT json_group_array(s.trainee_id) FROM session_in_force s WHERE s.class_id = r.id) AS trained
  FROM class_run r
  JOIN coach c ON c.id = r.coach_id
  WHERE r.studio_id = @studioId AND (r.ended = 0 OR r.opened_at >= @since)
  ORDER BY r.opened_at DESC, r.id`;

/** Whether somebody was erased: the digest is all that is known of them. */
export const WAS_ERASED = 'SELECT 1 FROM erasure WHERE trainee_digest = @digest';

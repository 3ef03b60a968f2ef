const NEWEST = 'NOT EXISTS (SELECT 1 FROM routine_revision n WHERE n.based_on = r.id)';
const ROUTINE = `
  SELECT r.routine_id AS id, r.id AS revision, r.name, r.saved_at AS savedAt, c.name AS coach, r.document, r.document_version AS version
  FROM routine_revision r
  JOIN coach c ON c.id = r.coach_id`;

export const ROUTINES = `${ROUTINE}
  WHERE r.studio_id = @studioId AND r.retired_at IS NULL AND ${NEWEST}
  ORDER BY r.name COLLATE NOCASE, r.routine_id`;

export const NEWEST_OF_ROUTINE = `${ROUTINE} WHERE r.routine_id = @id AND r.studio_id = @studioId AND r.retired_at IS NULL AND ${NEWEST}`;

/** Whatever was ever called so: what was begun before a change is still told by its old name. */
export const DOCUMENTS_NAMED =
  'SELECT document, document_version AS version FROM routine_revision WHERE name = @name AND studio_id = @studioId';

export const INSERT_REVISION = `
  INSERT INTO routine_revision (id, routine_id, based_on, studio_id, coach_id, name, document, saved_at)
  VALUES (@id, @routineId, @basedOn, @studioId, @coachId, @name, @document, @savedAt)`;

export const RETIRE = `
  UPDATE routine_revision
  SET retired_at = @at
  WHERE routine_id = @id AND studio_id = @studioId AND retired_at IS NULL`;

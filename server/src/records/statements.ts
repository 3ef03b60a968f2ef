export const ARCHIVED = `
  SELECT t.id, r.name, t.archived_at AS archivedAt
  FROM trainee t
  JOIN trainee_revision r ON r.id = t.current_revision
  WHERE t.archived_at IS NOT NULL
  ORDER BY r.name COLLATE NOCASE, t.id`;

export const SET_ARCHIVED = 'UPDATE trainee SET archived_at = @archivedAt WHERE id = @traineeId';

export const INSERT_ERASURE = `
  INSERT INTO erasure (id, coach_id, erased_at, trainee_digest, reason, rows_erased, pictures)
  VALUES (@id, @coachId, @erasedAt, @digest, @reason, @rows, @pictures)`;

export const ERASURES = 'SELECT trainee_digest AS digest, erased_at AS erasedAt FROM erasure ORDER BY erased_at';

export const FORGET_IN_AUDIT = 'UPDATE audit SET trainee_id = NULL WHERE trainee_id = @id';

/** Readings of a test of repeatability stay as figures of nobody. */
export const FORGET_IN_TESTS = `
  UPDATE repeatability_test SET repeated = replace(repeated, @id, '00000000-0000-7000-8000-000000000000')
  WHERE instr(repeated, @id) > 0`;

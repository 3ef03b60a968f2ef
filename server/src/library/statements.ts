export const OWN_ENTRIES = `
  SELECT r.kind, r.entry_id AS id, r.id AS revision, r.saved_at AS savedAt, r.built_in_version AS builtInVersion, r.standing, r.document, r.document_version AS version,
    c.name AS coach
  FROM library_entry e
  JOIN library_revision r ON r.id = e.current_revision
  JOIN coach c ON c.id = r.coach_id
  WHERE e.studio_id = @studioId
  ORDER BY r.saved_at, r.id`;

export const CURRENT_REVISION = `
  SELECT current_revision AS revision
  FROM library_entry
  WHERE studio_id = @studioId AND kind = @kind AND entry_id = @id`;

export const INSERT_ENTRY = `
  INSERT INTO library_entry (studio_id, kind, entry_id, current_revision)
  VALUES (@studioId, @kind, @id, @revision)`;

export const POINT_TO_REVISION = `
  UPDATE library_entry SET current_revision = @revision
  WHERE studio_id = @studioId AND kind = @kind AND entry_id = @id`;

export const INSERT_REVISION = `
  INSERT INTO library_revision (id, studio_id, kind, entry_id, coach_id, based_on, saved_at, built_in_version, standing, document, document_version)
  VALUES (@revision, @studioId, @kind, @id, @coachId, @basedOn, @savedAt, @builtInVersion, @standing, @document, @documentVersion)`;

export const CURRENT_SCHOOLS = `
  SELECT id AS revision, saved_at AS savedAt, choices
  FROM schools_revision
  WHERE studio_id = @studioId
  ORDER BY saved_at DESC, id DESC
  LIMIT 1`;

export const INSERT_SCHOOLS = `
  INSERT INTO schools_revision (id, studio_id, coach_id, based_on, saved_at, choices)
  VALUES (@revision, @studioId, @coachId, @basedOn, @savedAt, @choices)`;

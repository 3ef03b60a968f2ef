export const PICTURES = `
  SELECT p.id, p.kind, p.entry_id AS entry, p.shows, p.moving, p.added_at AS addedAt, c.name AS coach
  FROM library_picture p
  JOIN coach c ON c.id = p.coach_id
  WHERE p.studio_id = @studioId AND p.image IS NOT NULL
  ORDER BY p.added_at, p.id`;

export const IMAGE = 'SELECT image, still FROM library_picture WHERE id = @id AND studio_id = @studioId';

export const KNOWN = 'SELECT 1 FROM library_picture WHERE id = @id';

export const INSERT = `
  INSERT INTO library_picture (id, studio_id, coach_id, kind, entry_id, added_at, shows, moving, image, still)
  VALUES (@id, @studioId, @coachId, @kind, @entry, @addedAt, @shows, @moving, @image, @still)`;

export const TAKE_OFF = `
  UPDATE library_picture SET image = NULL, still = NULL
  WHERE id = @id AND studio_id = @studioId AND image IS NOT NULL`;

export const INSERT_PICTURE = `
  INSERT INTO picture (
    id, studio_id, trainee_id, coach_id, taken_at, measure_id, side, width, height, facing, points, value, standard_error, image
  ) VALUES (
    @id, @studioId, @traineeId, @coachId, @takenAt, @measureId, @side, @width, @height, @facing, @points, @value, @standardError, @image
  )`;

export const PICTURES_OF_TRAINEE = `
  SELECT p.id, p.taken_at AS takenAt, p.measure_id AS measureId, p.side, p.width, p.height, p.facing, p.points, p.value,
         p.standard_error AS standardError, p.image IS NOT NULL AS kept, c.name AS coach
  FROM picture p
  JOIN coach c ON c.id = p.coach_id
  WHERE p.trainee_id = @traineeId
  ORDER BY p.taken_at DESC, p.id DESC`;

export const IMAGE = `
  SELECT image
  FROM picture
  WHERE id = @id AND trainee_id = @traineeId`;

export const TAKE_OFF = `
  UPDATE picture SET image = NULL
  WHERE id = @id AND trainee_id = @traineeId`;

const READING_COLUMNS = `
  s.id, s.trainee_id AS traineeId, s.taken_at AS takenAt, s.set_up AS document, s.set_up_version AS version, s.under, s.kg, s.mass_kg AS massKg, s.insisted,
  s.note, c.name AS coach, a.reason, a.at`;

export const READINGS_OF_TRAINEE = `
  SELECT ${READING_COLUMNS}
  FROM scale_reading s
  JOIN coach c ON c.id = s.coach_id
  LEFT JOIN scale_reading_set_aside a ON a.reading_id = s.id
  WHERE s.trainee_id = @traineeId
  ORDER BY s.taken_at, s.id`;

export const READINGS_OF_STUDIO = `
  SELECT ${READING_COLUMNS}
  FROM scale_reading s
  JOIN coach c ON c.id = s.coach_id
  LEFT JOIN scale_reading_set_aside a ON a.reading_id = s.id
  WHERE s.studio_id = @studioId
  ORDER BY s.taken_at, s.id`;

export const INSERT_READING = `
  INSERT INTO scale_reading (id, studio_id, trainee_id, coach_id, taken_at, set_up, under, kg, mass_kg, insisted, note)
  VALUES (@id, @studioId, @traineeId, @coachId, @takenAt, @setUp, @under, @kg, @massKg, @insisted, @note)`;

export const INSERT_SET_ASIDE = `
  INSERT INTO scale_reading_set_aside (reading_id, coach_id, at, reason)
  VALUES (@readingId, @coachId, @at, @reason)`;

const NEWEST_BANDS = `
  SELECT b.band_id AS id, b.id AS revision, b.based_on AS basedOn, b.saved_at AS savedAt, b.name, b.slack_cm AS slackCm, b.readings,
    b.in_use AS inUse, c.name AS coach
  FROM band_revision b
  JOIN coach c ON c.id = b.coach_id
  WHERE b.studio_id = @studioId
    AND NOT EXISTS (SELECT 1 FROM band_revision n WHERE n.based_on = b.id)`;

export const BANDS = `${NEWEST_BANDS} ORDER BY b.name COLLATE NOCASE, b.band_id`;

export const ONE_BAND = `${NEWEST_BANDS} AND b.band_id = @id`;

export const INSERT_BAND = `
  INSERT INTO band_revision (id, band_id, studio_id, coach_id, based_on, saved_at, name, slack_cm, readings, in_use)
  VALUES (@revision, @id, @studioId, @coachId, @basedOn, @savedAt, @name, @slackCm, @readings, @inUse)`;

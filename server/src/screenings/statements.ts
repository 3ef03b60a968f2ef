const SCREENING_COLUMNS = `s.id, s.trainee_id AS traineeId, s.taken_at AS takenAt, s.answers, s.beighton, s.note, c.name AS coach`;
const CONSULTATION_COLUMNS = `
  k.id, k.trainee_id AS traineeId, k.screening_id AS screeningId, k.recorded_at AS recordedAt, k.role, k.consulted_on AS consultedOn,
  k.allowed, k.permit, k.caution_ids AS cautionIds, k.about, c.name AS coach`;

export const TRAINEE_OF_STUDIO = `
  SELECT id FROM trainee WHERE id = @traineeId AND studio_id = @studioId`;

export const SCREENINGS_OF_TRAINEE = `
  SELECT ${SCREENING_COLUMNS}
  FROM screening_in_force s JOIN coach c ON c.id = s.coach_id
  WHERE s.trainee_id = @traineeId
  ORDER BY s.taken_at DESC, s.id DESC`;

/** Newest first: a yes of an earlier one may still count. */
export const SCREENINGS_OF_STUDIO = `
  SELECT ${SCREENING_COLUMNS}
  FROM screening_in_force s JOIN coach c ON c.id = s.coach_id
  WHERE s.studio_id = @studioId
  ORDER BY s.taken_at DESC, s.id DESC`;

/** Taken back later than a slip is noticed: what it said yes to still counts until a professional spoke. */
const WITHDRAWN = `
  SELECT ${SCREENING_COLUMNS}
  FROM screening s JOIN coach c ON c.id = s.coach_id JOIN taken_back b ON b.fact_id = s.id
  WHERE julianday(b.at) - julianday(s.taken_at) > @slipMinutes / 1440.0`;

export const WITHDRAWN_OF_TRAINEE = `${WITHDRAWN} AND s.trainee_id = @traineeId ORDER BY s.taken_at DESC, s.id DESC`;

export const WITHDRAWN_OF_STUDIO = `${WITHDRAWN} AND s.studio_id = @studioId ORDER BY s.taken_at DESC, s.id DESC`;

export const CONSULTATIONS_OF_TRAINEE = `
  SELECT ${CONSULTATION_COLUMNS}
  FROM consultation k JOIN coach c ON c.id = k.coach_id
  WHERE k.trainee_id = @traineeId
  ORDER BY k.recorded_at DESC, k.id DESC`;

export const CONSULTATIONS_OF_STUDIO = `
  SELECT ${CONSULTATION_COLUMNS}
  FROM consultation k JOIN coach c ON c.id = k.coach_id
  WHERE k.studio_id = @studioId`;

export const INSERT_SCREENING = `
  INSERT INTO screening (id, studio_id, trainee_id, coach_id, taken_at, answers, beighton, note)
  VALUES (@id, @studioId, @traineeId, @coachId, @takenAt, @answers, @beighton, @note)`;

export const INSERT_CONSULTATION = `
  INSERT INTO consultation (
    id, studio_id, trainee_id, coach_id, screening_id, recorded_at, role, consulted_on, allowed, permit, caution_ids, about
  ) VALUES (
    @id, @studioId, @traineeId, @coachId, @screeningId, @recordedAt, @role, @consultedOn, @allowed, @permit, @cautionIds, @about
  )`;

const LASTING = `
  SELECT id, trainee_id AS traineeId, place, side, level, role, consulted_on AS consultedOn, said, recorded_at AS recordedAt
  FROM lasting_pain`;

export const LASTING_OF_TRAINEE = `${LASTING} WHERE trainee_id = @traineeId ORDER BY recorded_at DESC, id DESC`;

export const LASTING_OF_STUDIO = `${LASTING} WHERE studio_id = @studioId ORDER BY recorded_at DESC, id DESC`;

export const INSERT_LASTING = `
  INSERT INTO lasting_pain (id, studio_id, trainee_id, coach_id, place, side, level, role, consulted_on, said, recorded_at)
  VALUES (@id, @studioId, @traineeId, @coachId, @place, @side, @level, @role, @consultedOn, @said, @recordedAt)`;

/** An illness and what changed since the screening are asked for no longer than the screening itself lasts. */
const FORMS = `
  SELECT b.id, b.trainee_id AS traineeId, b.at, b.yes, b.ill_since AS illSince, b.clear_since AS clearSince, b.replaces,
    b.recorded_at AS recordedAt, c.name AS coach
  FROM before_session b JOIN coach c ON c.id = b.coach_id`;

export const FORMS_OF_TRAINEE = `${FORMS} WHERE b.trainee_id = @traineeId ORDER BY b.at DESC, b.id DESC LIMIT 60`;

/** A yes counts; of the forms without one the newest is enough to end an illness, and they all say the same. */
export const FORMS_OF_STUDIO = `
  ${FORMS}
  WHERE b.studio_id = @studioId AND b.trainee_id IN (
    SELECT trainee_id FROM before_session WHERE studio_id = @studioId AND yes <> '[]' GROUP BY trainee_id
  )
  ORDER BY b.at DESC, b.id DESC`;

const PRESSURES = `
  SELECT p.id, p.trainee_id AS traineeId, p.taken_at AS takenAt, p.systolic, p.diastolic, p.recorded_at AS recordedAt, c.name AS coach
  FROM blood_pressure p JOIN coach c ON c.id = p.coach_id`;

export const PRESSURES_OF_TRAINEE = `${PRESSURES} WHERE p.trainee_id = @traineeId ORDER BY p.taken_at DESC, p.id DESC LIMIT 20`;

export const PRESSURES_OF_STUDIO = `${PRESSURES} WHERE p.studio_id = @studioId ORDER BY p.taken_at DESC, p.id DESC`;

const CONSENTS = `
  SELECT g.id, g.trainee_id AS traineeId, g.role, g.given_on AS givenOn, g.agreed, g.recorded_at AS recordedAt, c.name AS coach
  FROM guardian_consent g JOIN coach c ON c.id = g.coach_id`;

export const CONSENTS_OF_TRAINEE = `${CONSENTS} WHERE g.trainee_id = @traineeId ORDER BY g.recorded_at DESC, g.id DESC LIMIT 20`;

export const CONSENTS_OF_STUDIO = `${CONSENTS} WHERE g.studio_id = @studioId ORDER BY g.recorded_at DESC, g.id DESC`;

export const INSERT_FORM = `
  INSERT INTO before_session (id, studio_id, trainee_id, coach_id, at, yes, ill_since, clear_since, replaces, recorded_at)
  VALUES (@id, @studioId, @traineeId, @coachId, @at, @yes, @illSince, @clearSince, @replaces, @recordedAt)`;

export const INSERT_PRESSURE = `
  INSERT INTO blood_pressure (id, studio_id, trainee_id, coach_id, taken_at, systolic, diastolic, recorded_at)
  VALUES (@id, @studioId, @traineeId, @coachId, @takenAt, @systolic, @diastolic, @recordedAt)`;

export const INSERT_CONSENT = `
  INSERT INTO guardian_consent (id, studio_id, trainee_id, coach_id, role, given_on, agreed, recorded_at)
  VALUES (@id, @studioId, @traineeId, @coachId, @role, @givenOn, @agreed, @recordedAt)`;

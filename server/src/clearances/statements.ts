export const CLEARANCE_COLUMNS = `
  c.id, c.trainee_id AS traineeId, c.ladder_id AS ladderId, c.rung_id AS rungId, c.initials, c.signed_at AS signedAt,
  c.figures, c.figures_version AS figuresVersion, c.findings, c.rules_version AS rulesVersion, c.likelihood, c.against,
  w.withdrawn_at AS withdrawnAt, w.reason AS withdrawnReason, w.cause AS withdrawnBy`;

export const CLEARANCES_OF_TRAINEE = `
  SELECT ${CLEARANCE_COLUMNS}
  FROM clearance c
  LEFT JOIN withdrawal w ON w.clearance_id = c.id
  WHERE c.trainee_id = @traineeId
  ORDER BY c.signed_at DESC, c.id DESC`;

export const INSERT_CLEARANCE = `
  INSERT INTO clearance (id, studio_id, trainee_id, coach_id, ladder_id, rung_id, initials, signed_at, figures, findings,
                         rules_version, likelihood, against)
  VALUES (@id, @studioId, @traineeId, @coachId, @ladderId, @rungId, @initials, @signedAt, @figures, @findings,
          @rulesVersion, @likelihood, @against)`;

export const INSERT_WITHDRAWAL = `
  INSERT INTO withdrawal (id, clearance_id, coach_id, symptom_id, withdrawn_at, reason, cause)
  VALUES (@id, @clearanceId, @coachId, @symptomId, @withdrawnAt, @reason, @cause)`;

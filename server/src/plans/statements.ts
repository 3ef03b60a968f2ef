export const PLAN_OF_WEEK = `
  SELECT p.id, r.id AS revision, r.based_on AS basedOn, r.saved_at AS savedAt, r.document, r.document_version AS version
  FROM plan p
  JOIN plan_revision r ON r.id = p.current_revision
  WHERE p.trainee_id = @traineeId AND p.week_start = @weekStart AND p.studio_id = @studioId`;

export const PLANS_WITH_DRILL = `
  SELECT p.trainee_id AS traineeId, n.name, p.week_start AS weekStart, json_group_array(DISTINCT s.value ->> 'day') AS days
  FROM plan p
  JOIN plan_revision r ON r.id = p.current_revision
  JOIN trainee t ON t.id = p.trainee_id
  JOIN trainee_revision n ON n.id = t.current_revision
  JOIN json_each(r.document, '$.sessions') s
  JOIN json_each(s.value, '$.items') i ON i.value ->> 'drillId' = @drillId
  WHERE p.studio_id = @studioId AND p.week_start >= @from
  GROUP BY p.id
  ORDER BY p.week_start, n.name COLLATE NOCASE, p.id`;

export const INSERT_PLAN = `
  INSERT INTO plan (id, studio_id, trainee_id, week_start, current_revision, session_days)
  VALUES (@id, @studioId, @traineeId, @weekStart, @revision, @sessionDays)`;

export const POINT_TO_REVISION = `
  UPDATE plan SET current_revision = @revision, session_days = @sessionDays
  WHERE id = @id`;

export const INSERT_REVISION = `
  INSERT INTO plan_revision (id, plan_id, coach_id, based_on, saved_at, document)
  VALUES (@revision, @id, @coachId, @basedOn, @savedAt, @document)`;

/** Weeks of a trainee from one on, in order. */
export const PLANS_FROM = `
  SELECT p.id, p.week_start AS weekStart, r.id AS revision, r.based_on AS basedOn, r.saved_at AS savedAt, r.document, r.document_version AS version
  FROM plan p
  JOIN plan_revision r ON r.id = p.current_revision
  WHERE p.trainee_id = @traineeId AND p.studio_id = @studioId AND p.week_start >= @from AND p.week_start < @to
  ORDER BY p.week_start`;

export const CURRENT_BRIEF = `
  SELECT id AS revision, document, document_version AS version
  FROM plan_brief_revision b
  WHERE trainee_id = @traineeId AND NOT EXISTS (SELECT 1 FROM plan_brief_revision n WHERE n.based_on = b.id)`;

export const INSERT_BRIEF = `
  INSERT INTO plan_brief_revision (id, studio_id, trainee_id, coach_id, based_on, saved_at, document)
  VALUES (@revision, @studioId, @traineeId, @coachId, @basedOn, @savedAt, @document)`;

export const TEMPLATES = `
  SELECT t.id, t.name, t.saved_at AS savedAt, c.name AS coach, t.document, t.document_version AS version
  FROM plan_template t
  JOIN coach c ON c.id = t.coach_id
  WHERE t.studio_id = @studioId AND t.set_aside = 0
  ORDER BY t.name COLLATE NOCASE, t.id`;

export const INSERT_TEMPLATE = `
  INSERT INTO plan_template (id, studio_id, coach_id, saved_at, name, document)
  VALUES (@id, @studioId, @coachId, @savedAt, @name, @document)`;

export const SET_TEMPLATE_ASIDE = 'UPDATE plan_template SET set_aside = 1 WHERE id = @id AND studio_id = @studioId AND set_aside = 0';

/** Every version of the weeks from one on, oldest first. */
export const VERSIONS_FROM = `
  SELECT p.id, r.saved_at AS savedAt, r.id = p.current_revision AS isCurrent, r.document, r.document_version AS version
  FROM plan p
  JOIN plan_revision r ON r.plan_id = p.id
  WHERE p.trainee_id = @traineeId AND p.studio_id = @studioId AND p.week_start >= @from
  ORDER BY p.id, r.saved_at, r.id`;

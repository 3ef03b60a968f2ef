export const PLAN_OF_WEEK = `
  SELECT p.id, r.id AS revision, r.based_on AS basedOn, r.saved_at AS savedAt, r.document
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

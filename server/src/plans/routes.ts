import { PlanBlockDto, PlanBriefDto, PlanDto, PlanTemplateDto, validated, WeekQueryDto, WeeksQueryDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { fittedTo } from '@myokinet/core/library';
import { calendarDay } from '@myokinet/core/quantities';
import { traineeBody } from '@myokinet/core/statics';
import type { FastifyInstance } from 'fastify';
import { calendarFile } from './calendar.ts';
import type { Services } from '../services.ts';

type OfWeek = { Params: { id: string; weekStart: string } };

interface OfTrainee {
  Params: { id: string };
}
type Range = OfTrainee & { Querystring: { from?: string; weeks?: string } };

export function planRoutes(
  app: FastifyInstance,
  { plans, briefs, templates, trainees, library, caseload, scope, now: clock }: Services,
): void {
  app.get<Range>('/api/trainees/:id/plans', ({ params, query }) => {
    const { from, weeks } = validated(WeeksQueryDto, { ...query, weeks: Number(query.weeks ?? 1) }, scope());
    return plans.between(params.id, from, weeks);
  });

  app.put<OfTrainee>('/api/trainees/:id/plans', ({ params, body }) => plans.saveBlock(params.id, validated(PlanBlockDto, body, scope())));

  app.get<OfTrainee>('/api/trainees/:id/brief', ({ params }) => briefs.find(params.id));

  app.put<OfTrainee>('/api/trainees/:id/brief', ({ params, body }) => briefs.save(params.id, validated(PlanBriefDto, body, scope())));

  app.get<OfTrainee>('/api/trainees/:id/calendar.ics', ({ params }, reply) => {
    const trainee = trainees.find(params.id);
    const now = clock();
    const file = calendarFile({
      trainee,
      library: fittedTo(library.current(), traineeBody(trainee)),
      brief: briefs.find(params.id),
      sessions: plans.dated(params.id, calendarDay(now)),
      rechecks: caseload.rechecks().filter((r) => r.traineeId === params.id),
      now,
    });
    return reply.type('text/calendar; charset=utf-8').send(file);
  });

  app.get('/api/plan-templates', () => templates.all());

  app.post('/api/plan-templates', ({ body }, reply) => {
    reply.code(201);
    return templates.save(validated(PlanTemplateDto, body, scope()));
  });

  app.delete<OfTrainee>('/api/plan-templates/:id', ({ params }) => templates.setAside(params.id));

  app.get<OfWeek>('/api/trainees/:id/plans/:weekStart', ({ params }) =>
    plans.find(params.id, validated(WeekQueryDto, { weekStart: params.weekStart }, scope()).weekStart),
  );

  app.get<{ Params: { drillId: string } }>('/api/drills/:drillId/plans', ({ params }) => plans.uses(params.drillId));

  app.put<OfWeek>('/api/trainees/:id/plans/:weekStart', (request) => {
    const dto = validated(PlanDto, request.body, scope());
    if (dto.weekStart !== request.params.weekStart) throw new Refusal('plan-missing', 'The address and the plan name two different weeks.');
    return plans.save(request.params.id, dto);
  });
}

import { PlanBlockDto, PlanBriefDto, PlanDto, PlanTemplateDto, validated, WeekQueryDto, WeeksQueryDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import { calendarOf } from './calendarOf.ts';

type OfWeek = { Params: { id: string; weekStart: string } };

interface OfTrainee {
  Params: { id: string };
}
type Range = OfTrainee & { Querystring: { from?: string; weeks?: string } };

export function planRoutes(app: FastifyInstance): void {
  app.get<Range>('/api/trainees/:id/plans', ({ params, query, studio }) => {
    const { from, weeks } = validated(WeeksQueryDto, { ...query, weeks: Number(query.weeks ?? 1) }, studio.scope());
    return studio.plans.between(params.id, from, weeks);
  });

  app.put<OfTrainee>('/api/trainees/:id/plans', ({ params, body, studio, actor }) =>
    studio.plans.saveBlock(actor, params.id, validated(PlanBlockDto, body, studio.scope())),
  );

  app.get<OfTrainee>('/api/trainees/:id/brief', ({ params, studio }) => studio.briefs.find(params.id));

  app.put<OfTrainee>('/api/trainees/:id/brief', ({ params, body, studio, actor }) =>
    studio.briefs.save(actor, params.id, validated(PlanBriefDto, body, studio.scope())),
  );

  app.get<OfTrainee>('/api/trainees/:id/calendar.ics', ({ params, studio }, reply) =>
    reply.type('text/calendar; charset=utf-8').send(calendarOf(studio, params.id)),
  );

  app.get('/api/plan-templates', ({ studio }) => studio.templates.all());

  app.post('/api/plan-templates', ({ body, studio, actor }, reply) => {
    reply.code(201);
    return studio.templates.save(actor, validated(PlanTemplateDto, body, studio.scope()));
  });

  app.delete<OfTrainee>('/api/plan-templates/:id', ({ params, studio, actor }) => studio.templates.setAside(actor, params.id));

  app.get<OfWeek>('/api/trainees/:id/plans/:weekStart', ({ params, studio }) =>
    studio.plans.find(params.id, validated(WeekQueryDto, { weekStart: params.weekStart }, studio.scope()).weekStart),
  );

  app.get<{ Params: { drillId: string } }>('/api/drills/:drillId/plans', ({ params, studio }) => studio.plans.uses(params.drillId));

  app.put<OfWeek>('/api/trainees/:id/plans/:weekStart', ({ body, studio, params, actor }) => {
    const dto = validated(PlanDto, body, studio.scope());
    if (dto.weekStart !== params.weekStart) throw new Refusal('plan-missing', 'The address and the plan name two different weeks.');
    return studio.plans.save(actor, params.id, dto);
  });
}

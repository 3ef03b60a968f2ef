import { PlanDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfWeek = { Params: { id: string; weekStart: string } };

export function planRoutes(app: FastifyInstance, { plans, scope }: Services): void {
  app.get<OfWeek>('/api/trainees/:id/plans/:weekStart', ({ params }) => plans.find(params.id, params.weekStart));

  app.get<{ Params: { drillId: string } }>('/api/drills/:drillId/plans', ({ params }) => plans.uses(params.drillId));

  app.put<OfWeek>('/api/trainees/:id/plans/:weekStart', (request) => {
    const dto = validated(PlanDto, request.body, scope());
    if (dto.weekStart !== request.params.weekStart) throw new Refusal('plan-missing', 'The address and the plan name two different weeks.');
    return plans.save(request.params.id, dto);
  });
}

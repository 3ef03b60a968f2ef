import { CheckDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function checkRoutes(app: FastifyInstance, { checks, scope }: Services): void {
  app.get<OfTrainee & { Querystring: { all?: string } }>('/api/trainees/:id/checks', ({ params, query }) =>
    checks.history(params.id, query.all !== undefined),
  );

  app.post<OfTrainee>('/api/trainees/:id/checks', (request, reply) => {
    reply.code(201);
    return checks.record(request.params.id, validated(CheckDto, request.body, scope()));
  });
}

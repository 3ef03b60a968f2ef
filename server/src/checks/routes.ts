import { CheckDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function checkRoutes(app: FastifyInstance): void {
  app.get<OfTrainee & { Querystring: { all?: string } }>('/api/trainees/:id/checks', ({ params, query, studio }) =>
    studio.checks.history(params.id, query.all !== undefined),
  );

  app.post<OfTrainee>('/api/trainees/:id/checks', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.checks.record(actor, params.id, validated(CheckDto, body, studio.scope()));
  });
}

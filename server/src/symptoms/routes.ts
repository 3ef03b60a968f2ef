import { StopSignClosureDto, SymptomDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function symptomRoutes(app: FastifyInstance): void {
  app.post<OfTrainee>('/api/trainees/:id/symptoms', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.symptoms.report(actor, params.id, validated(SymptomDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/stop-sign-closures', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.symptoms.closeStopSign(actor, params.id, validated(StopSignClosureDto, body, studio.scope()));
  });
}

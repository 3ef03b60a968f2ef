import { StopSignClosureDto, SymptomDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function symptomRoutes(app: FastifyInstance, { symptoms, scope }: Services): void {
  app.post<OfTrainee>('/api/trainees/:id/symptoms', (request, reply) => {
    reply.code(201);
    return symptoms.report(request.params.id, validated(SymptomDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/stop-sign-closures', (request, reply) => {
    reply.code(201);
    return symptoms.closeStopSign(request.params.id, validated(StopSignClosureDto, request.body, scope()));
  });
}

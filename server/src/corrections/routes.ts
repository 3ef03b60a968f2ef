import { SessionCorrectionDto, SymptomCorrectionDto, TakenBackDto, TrialCorrectionDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function correctionRoutes(app: FastifyInstance, { corrections, trainees, scope }: Services): void {
  app.post<OfTrainee>('/api/trainees/:id/trial-corrections', (request, reply) => {
    const { id } = trainees.find(request.params.id);
    reply.code(201);
    return corrections.correctTrial(id, validated(TrialCorrectionDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/session-corrections', (request, reply) => {
    const { id } = trainees.find(request.params.id);
    reply.code(201);
    return corrections.correctSession(id, validated(SessionCorrectionDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/symptom-corrections', (request, reply) => {
    const { id } = trainees.find(request.params.id);
    reply.code(201);
    return corrections.correctSymptom(id, validated(SymptomCorrectionDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/taken-back', (request, reply) => {
    const { id } = trainees.find(request.params.id);
    reply.code(201);
    return corrections.takeBack(id, validated(TakenBackDto, request.body, scope()));
  });
}

import { SessionCorrectionDto, SymptomCorrectionDto, TakenBackDto, TrialCorrectionDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function correctionRoutes(app: FastifyInstance): void {
  app.post<OfTrainee>('/api/trainees/:id/trial-corrections', ({ studio, params, actor, body }, reply) => {
    const { id } = studio.trainees.find(params.id);
    reply.code(201);
    return studio.corrections.correctTrial(actor, id, validated(TrialCorrectionDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/session-corrections', ({ studio, params, actor, body }, reply) => {
    const { id } = studio.trainees.find(params.id);
    reply.code(201);
    return studio.corrections.correctSession(actor, id, validated(SessionCorrectionDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/symptom-corrections', ({ studio, params, actor, body }, reply) => {
    const { id } = studio.trainees.find(params.id);
    reply.code(201);
    return studio.corrections.correctSymptom(actor, id, validated(SymptomCorrectionDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/taken-back', ({ studio, params, actor, body }, reply) => {
    const { id } = studio.trainees.find(params.id);
    reply.code(201);
    return studio.corrections.takeBack(actor, id, validated(TakenBackDto, body, studio.scope()));
  });
}

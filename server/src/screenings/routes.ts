import {
  BeforeSessionDto,
  BloodPressureDto,
  ConsultationDto,
  GuardianConsentDto,
  LastingPainDto,
  ScreeningDto,
  validated,
} from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function screeningRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/screenings', ({ params, studio }) => studio.screenings.reply(params.id));

  app.post<OfTrainee>('/api/trainees/:id/screenings', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.screenings.record(actor, params.id, validated(ScreeningDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/lasting-pains', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.lastingPains.record(actor, params.id, validated(LastingPainDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/before-session', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.health.beforeSession(actor, params.id, validated(BeforeSessionDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/blood-pressures', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.health.bloodPressure(actor, params.id, validated(BloodPressureDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/consents', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.health.consent(actor, params.id, validated(GuardianConsentDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/consultations', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.screenings.consult(actor, params.id, validated(ConsultationDto, body, studio.scope()));
  });
}

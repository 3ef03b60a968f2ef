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
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function screeningRoutes(app: FastifyInstance, { screenings, lastingPains, health, scope }: Services): void {
  app.get<OfTrainee>('/api/trainees/:id/screenings', ({ params }) => screenings.reply(params.id));

  app.post<OfTrainee>('/api/trainees/:id/screenings', (request, reply) => {
    reply.code(201);
    return screenings.record(request.params.id, validated(ScreeningDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/lasting-pains', (request, reply) => {
    reply.code(201);
    return lastingPains.record(request.params.id, validated(LastingPainDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/before-session', (request, reply) => {
    reply.code(201);
    return health.beforeSession(request.params.id, validated(BeforeSessionDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/blood-pressures', (request, reply) => {
    reply.code(201);
    return health.bloodPressure(request.params.id, validated(BloodPressureDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/consents', (request, reply) => {
    reply.code(201);
    return health.consent(request.params.id, validated(GuardianConsentDto, request.body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/consultations', (request, reply) => {
    reply.code(201);
    return screenings.consult(request.params.id, validated(ConsultationDto, request.body, scope()));
  });
}

import { EmergencyCareDto, EmergencyDto, EmergencyMistakeDto, EmergencySeenDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function emergencyRoutes(app: FastifyInstance, { emergencies, scope }: Services): void {
  app.get('/api/emergency-care', () => emergencies.care());
  app.put('/api/emergency-care', ({ body }) => emergencies.saveCare(validated(EmergencyCareDto, body, scope())));

  app.get<OfTrainee>('/api/trainees/:id/emergencies', ({ params }) => emergencies.list(params.id));
  app.post<OfTrainee>('/api/trainees/:id/emergencies', ({ params, body }, reply) => {
    reply.code(201);
    return emergencies.press(params.id, validated(EmergencyDto, body, scope()));
  });
  app.post<OfTrainee>('/api/trainees/:id/emergencies/seen', ({ params, body }, reply) => {
    reply.code(201);
    return emergencies.seen(params.id, validated(EmergencySeenDto, body, scope()));
  });
  app.post<OfTrainee>('/api/trainees/:id/emergencies/mistake', ({ params, body }, reply) => {
    reply.code(201);
    return emergencies.mistake(params.id, validated(EmergencyMistakeDto, body, scope()));
  });
}

import { EmergencyCareDto, EmergencyDto, EmergencyMistakeDto, EmergencySeenDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function emergencyRoutes(app: FastifyInstance): void {
  app.get('/api/emergency-care', ({ studio }) => studio.emergencies.care());
  app.put('/api/emergency-care', ({ body, studio, actor }) =>
    studio.emergencies.saveCare(actor, validated(EmergencyCareDto, body, studio.scope())),
  );

  app.get<OfTrainee>('/api/trainees/:id/emergencies', ({ params, studio }) => studio.emergencies.list(params.id));
  app.post<OfTrainee>('/api/trainees/:id/emergencies', ({ params, body, studio, actor }, reply) => {
    reply.code(201);
    return studio.emergencies.press(actor, params.id, validated(EmergencyDto, body, studio.scope()));
  });
  app.post<OfTrainee>('/api/trainees/:id/emergencies/seen', ({ params, body, studio, actor }, reply) => {
    reply.code(201);
    return studio.emergencies.seen(actor, params.id, validated(EmergencySeenDto, body, studio.scope()));
  });
  app.post<OfTrainee>('/api/trainees/:id/emergencies/mistake', ({ params, body, studio, actor }, reply) => {
    reply.code(201);
    return studio.emergencies.mistake(actor, params.id, validated(EmergencyMistakeDto, body, studio.scope()));
  });
}

import { SessionDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function sessionRoutes(app: FastifyInstance, { sessions, corrections, scope }: Services): void {
  app.get<OfTrainee>('/api/trainees/:id/record', ({ params }) => ({
    ...sessions.record(params.id),
    takenBack: corrections.takenBack(params.id),
  }));

  app.get<OfTrainee>('/api/trainees/:id/workload', ({ params }) => sessions.workload(params.id));

  app.post<OfTrainee>('/api/trainees/:id/sessions', (request, reply) => {
    reply.code(201);
    return sessions.log(request.params.id, validated(SessionDto, request.body, scope()));
  });
}

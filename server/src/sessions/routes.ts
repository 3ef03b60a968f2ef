import { SessionDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function sessionRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/record', ({ params, studio }) => ({
    ...studio.sessions.record(params.id),
    takenBack: studio.corrections.takenBack(params.id),
    mornings: studio.own.mornings(params.id),
  }));

  app.get<OfTrainee>('/api/trainees/:id/workload', ({ params, studio }) => studio.sessions.workload(params.id));

  app.post<OfTrainee>('/api/trainees/:id/sessions', ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.sessions.log(actor, params.id, validated(SessionDto, body, studio.scope()));
  });
}

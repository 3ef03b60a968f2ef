import { TraineeDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';

export function traineeRoutes(app: FastifyInstance): void {
  app.get('/api/trainees', ({ studio }) => studio.trainees.all());

  app.get<{ Params: { id: string } }>('/api/trainees/:id', ({ params, studio }) => studio.trainees.find(params.id));

  app.post('/api/trainees', ({ studio, actor, body }, reply) => {
    reply.code(201);
    return studio.trainees.save(actor, validated(TraineeDto, body, studio.scope()));
  });

  app.put<{ Params: { id: string } }>('/api/trainees/:id', ({ body, studio, params, actor }) => {
    const dto = validated(TraineeDto, body, studio.scope());
    if (dto.id !== params.id) throw new Refusal('trainee-missing', 'The address and the profile name two different studio.trainees.');
    return studio.trainees.save(actor, dto);
  });
}

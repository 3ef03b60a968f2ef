import { TraineeDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

export function traineeRoutes(app: FastifyInstance, { trainees, scope }: Services): void {
  app.get('/api/trainees', () => trainees.all());

  app.get<{ Params: { id: string } }>('/api/trainees/:id', ({ params }) => trainees.find(params.id));

  app.post('/api/trainees', (request, reply) => {
    reply.code(201);
    return trainees.save(validated(TraineeDto, request.body, scope()));
  });

  app.put<{ Params: { id: string } }>('/api/trainees/:id', (request) => {
    const dto = validated(TraineeDto, request.body, scope());
    if (dto.id !== request.params.id) throw new Refusal('trainee-missing', 'The address and the profile name two different trainees.');
    return trainees.save(dto);
  });
}

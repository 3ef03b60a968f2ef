import { ClearanceDto, validated, WithdrawalDto } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function clearanceRoutes(app: FastifyInstance, { clearances, readiness, trainees, scope }: Services): void {
  app.post<OfTrainee>('/api/trainees/:id/clearances', (request, reply) => {
    const { id } = trainees.find(request.params.id);
    const dto = validated(ClearanceDto, request.body, scope());
    reply.code(201);
    return clearances.sign(id, dto, () => readiness.verdict(id, dto.ladderId));
  });

  app.post<OfTrainee>('/api/trainees/:id/withdrawals', (request, reply) => {
    const { id } = trainees.find(request.params.id);
    reply.code(201);
    return clearances.withdraw(id, validated(WithdrawalDto, request.body, scope()));
  });
}

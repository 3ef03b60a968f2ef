import { ClearanceDto, validated, WithdrawalDto } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function clearanceRoutes(app: FastifyInstance): void {
  app.post<OfTrainee>('/api/trainees/:id/clearances', ({ studio, params, body, actor }, reply) => {
    const { id } = studio.trainees.find(params.id);
    const dto = validated(ClearanceDto, body, studio.scope());
    reply.code(201);
    return studio.clearances.sign(actor, id, dto, () => studio.readiness.verdict(id, dto.ladderId));
  });

  app.post<OfTrainee>('/api/trainees/:id/withdrawals', ({ studio, params, actor, body }, reply) => {
    const { id } = studio.trainees.find(params.id);
    reply.code(201);
    return studio.clearances.withdraw(actor, id, validated(WithdrawalDto, body, studio.scope()));
  });
}

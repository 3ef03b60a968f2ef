import { OutcomeDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

export function outcomeRoutes(app: FastifyInstance): void {
  app.get('/api/outcomes', ({ studio }) => studio.outcomes.reply());

  app.post<{ Params: { id: string } }>('/api/trainees/:id/outcomes', ({ studio, params, body, actor }, reply) => {
    const { id } = studio.trainees.find(params.id);
    studio.outcomes.tell(actor, id, validated(OutcomeDto, body, studio.scope()));
    reply.code(201);
    return { told: true };
  });
}

import { RepeatabilityTestDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

export function measuringRoutes(app: FastifyInstance): void {
  app.get('/api/measuring', ({ studio, actor }) => studio.measuring.reply(actor));

  app.post('/api/repeatability-tests', ({ body, studio, actor }, reply) => {
    reply.code(201);
    return studio.measuring.recordTest(actor, validated(RepeatabilityTestDto, body, studio.scope()));
  });
}

import { RepeatabilityTestDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

export function measuringRoutes(app: FastifyInstance, { measuring, scope }: Services): void {
  app.get('/api/measuring', () => measuring.reply());

  app.post('/api/repeatability-tests', ({ body }, reply) => {
    reply.code(201);
    return measuring.recordTest(validated(RepeatabilityTestDto, body, scope()));
  });
}

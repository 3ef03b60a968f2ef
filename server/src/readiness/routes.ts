import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

export function readinessRoutes(app: FastifyInstance, { readiness }: Services): void {
  app.get<{ Params: { id: string } }>('/api/trainees/:id/readiness', ({ params }) => readiness.reply(params.id));
}

import type { FastifyInstance } from 'fastify';

export function readinessRoutes(app: FastifyInstance): void {
  app.get<{ Params: { id: string } }>('/api/trainees/:id/readiness', ({ params, studio }) => studio.readiness.reply(params.id));
}

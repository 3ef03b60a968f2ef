import type { FastifyInstance } from 'fastify';

export function trendRoutes(app: FastifyInstance): void {
  app.get('/api/trends', ({ studio }) => studio.trends.reply());
}

import type { FastifyInstance } from 'fastify';

export function caseloadRoutes(app: FastifyInstance): void {
  app.get('/api/caseload', ({ studio }) => studio.caseload.rows());
  app.get('/api/rechecks', ({ studio }) => studio.caseload.rechecks());
  app.get('/api/today', ({ studio }) => studio.caseload.today());
}

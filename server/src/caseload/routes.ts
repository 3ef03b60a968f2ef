import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

export function caseloadRoutes(app: FastifyInstance, { caseload }: Services): void {
  app.get('/api/caseload', () => caseload.rows());
  app.get('/api/rechecks', () => caseload.rechecks());
  app.get('/api/today', () => caseload.today());
}

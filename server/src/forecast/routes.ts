import type { FastifyInstance } from 'fastify';

export function forecastRoutes(app: FastifyInstance): void {
  app.get<{ Params: { id: string } }>('/api/trainees/:id/forecast', ({ params, studio }) => studio.forecasts.of(params.id));
  app.get('/api/forecasts', ({ studio }) => studio.forecasts.listed());
  app.get('/api/forecasts/calibration', ({ studio }) => studio.forecasts.calibration());
}

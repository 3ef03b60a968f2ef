import { BatteryPatchDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function batteryRoutes(app: FastifyInstance, { batteries, scope }: Services): void {
  app.get<OfTrainee>('/api/trainees/:id/battery', ({ params }) => batteries.of(params.id));

  app.put<OfTrainee>('/api/trainees/:id/battery', ({ body, params }) => {
    batteries.patch(params.id, validated(BatteryPatchDto, body, scope()));
    return batteries.of(params.id);
  });

  app.delete<{ Params: { id: string; batteryId: string } }>('/api/trainees/:id/battery/:batteryId', ({ params }) => {
    batteries.end(params.id, params.batteryId);
    return batteries.of(params.id);
  });
}

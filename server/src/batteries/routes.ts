import { BatteryPatchDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function batteryRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/battery', ({ params, studio }) => studio.batteries.of(params.id));

  app.put<OfTrainee>('/api/trainees/:id/battery', ({ body, params, studio, actor }) => {
    studio.batteries.patch(actor, params.id, validated(BatteryPatchDto, body, studio.scope()));
    return studio.batteries.of(params.id);
  });

  app.delete<{ Params: { id: string; batteryId: string } }>('/api/trainees/:id/battery/:batteryId', ({ params, studio, actor }) => {
    studio.batteries.end(actor, params.id, params.batteryId);
    return studio.batteries.of(params.id);
  });
}

import { RoutineDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import { validate as isUuid } from 'uuid';

type OfRoutine = { Params: { id: string } };

export function routineRoutes(app: FastifyInstance): void {
  app.get('/api/routines', ({ studio }) => studio.routines.all());

  app.put<OfRoutine>('/api/routines/:id', ({ params, body, studio, actor }) => {
    if (!isUuid(params.id)) throw new Refusal('routine-missing');
    return studio.routines.save(actor, params.id, validated(RoutineDto, body, studio.scope()));
  });

  app.delete<OfRoutine>('/api/routines/:id', ({ params, studio, actor }) => studio.routines.retire(actor, params.id));
}

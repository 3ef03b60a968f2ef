import { ClassPatchDto, ClassSheetDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import { validate as isUuid } from 'uuid';

type OfClass = { Params: { id: string } };

export function classRoutes(app: FastifyInstance): void {
  app.get('/api/classes', ({ studio }) => studio.classes.list());

  app.get<OfClass>('/api/classes/:id', ({ params, studio }) => studio.classes.of(params.id));

  app.get<OfClass>('/api/classes/:id/people', ({ params, studio }) => studio.classes.people(params.id));

  app.put<OfClass>('/api/classes/:id', ({ params, body, studio, actor }) => {
    if (!isUuid(params.id)) throw new Refusal('class-missing');
    return studio.classes.takeIn(actor, params.id, validated(ClassPatchDto, body, studio.scope()));
  });

  app.post('/api/class-sheets', ({ body, studio }) => studio.classes.sheet(validated(ClassSheetDto, body, studio.scope())));
}

import { GroupDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import { validate as isUuid } from 'uuid';

type OfGroup = { Params: { id: string } };

export function groupRoutes(app: FastifyInstance): void {
  app.get('/api/groups', ({ studio }) => studio.groups.all());

  app.put<OfGroup>('/api/groups/:id', ({ params, body, studio, actor }) => {
    if (!isUuid(params.id)) throw new Refusal('group-missing');
    return studio.groups.save(actor, params.id, validated(GroupDto, body, studio.scope()));
  });

  app.delete<OfGroup>('/api/groups/:id', ({ params, studio, actor }) => studio.groups.retire(actor, params.id));
}

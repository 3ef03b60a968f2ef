import { FloorPatchDto, FloorPhotoDto, LIMITS, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfRun = { Params: { runId: string } };
type OfPhoto = { Params: { runId: string; photoId: string } };

/** A picture and what is said about it. */
const BODY_LIMIT = LIMITS.pictureCharacters + 64 * 1024;

export function floorRoutes(app: FastifyInstance): void {
  app.get<{ Params: { id: string } }>('/api/trainees/:id/floor', ({ params, studio }) => studio.floor.listOf(params.id));

  app.get<OfRun>('/api/floor/:runId', ({ params, studio }) => studio.floor.of(params.runId));

  app.put<OfRun>('/api/floor/:runId', ({ body, params, studio, actor }) =>
    studio.floor.takeIn(actor, params.runId, validated(FloorPatchDto, body, studio.scope())),
  );

  app.post<OfRun>('/api/floor/:runId/photos', { bodyLimit: BODY_LIMIT }, ({ body, params, studio, actor }, reply) => {
    reply.code(201);
    return studio.floor.keepPhoto(actor, params.runId, validated(FloorPhotoDto, body, studio.scope()));
  });

  app.get<OfPhoto>('/api/floor/:runId/photos/:photoId', ({ params, studio }, reply) =>
    reply.type('image/jpeg').header('cache-control', 'private, max-age=3600').send(studio.floor.photo(params.runId, params.photoId)),
  );

  app.delete<OfPhoto>('/api/floor/:runId/photos/:photoId', ({ params, studio, actor }) =>
    studio.floor.takeOffPhoto(actor, params.runId, params.photoId),
  );
}

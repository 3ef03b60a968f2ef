import { FloorPatchDto, FloorPhotoDto, LIMITS, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfRun = { Params: { runId: string } };
type OfPhoto = { Params: { runId: string; photoId: string } };

/** A picture and what is said about it. */
const BODY_LIMIT = LIMITS.pictureCharacters + 64 * 1024;

export function floorRoutes(app: FastifyInstance, { floor, scope }: Services): void {
  app.get<{ Params: { id: string } }>('/api/trainees/:id/floor', ({ params }) => floor.listOf(params.id));

  app.get<OfRun>('/api/floor/:runId', ({ params }) => floor.of(params.runId));

  app.put<OfRun>('/api/floor/:runId', ({ body, params }) => floor.takeIn(params.runId, validated(FloorPatchDto, body, scope())));

  app.post<OfRun>('/api/floor/:runId/photos', { bodyLimit: BODY_LIMIT }, ({ body, params }, reply) => {
    reply.code(201);
    return floor.keepPhoto(params.runId, validated(FloorPhotoDto, body, scope()));
  });

  app.get<OfPhoto>('/api/floor/:runId/photos/:photoId', ({ params }, reply) =>
    reply.type('image/jpeg').header('cache-control', 'private, max-age=3600').send(floor.photo(params.runId, params.photoId)),
  );

  app.delete<OfPhoto>('/api/floor/:runId/photos/:photoId', ({ params }) => floor.takeOffPhoto(params.runId, params.photoId));
}

import { LIMITS, PictureDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };
type OfPicture = { Params: { id: string; pictureId: string } };

/** A picture and what is said about it. */
const BODY_LIMIT = LIMITS.pictureCharacters + 64 * 1024;

export function pictureRoutes(app: FastifyInstance, { pictures, scope }: Services): void {
  app.get<OfTrainee>('/api/trainees/:id/pictures', ({ params }) => pictures.list(params.id));

  app.post<OfTrainee>('/api/trainees/:id/pictures', { bodyLimit: BODY_LIMIT }, (request, reply) => {
    reply.code(201);
    return pictures.keep(request.params.id, validated(PictureDto, request.body, scope()));
  });

  app.get<OfPicture>('/api/trainees/:id/pictures/:pictureId/image', ({ params }, reply) =>
    // A picture never changes, and whoever may see it is on this machine.
    reply.type('image/jpeg').header('cache-control', 'private, max-age=3600').send(pictures.image(params.id, params.pictureId)),
  );

  app.delete<OfPicture>('/api/trainees/:id/pictures/:pictureId/image', ({ params }) => pictures.takeOff(params.id, params.pictureId));
}

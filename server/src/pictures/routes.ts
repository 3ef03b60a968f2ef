import { LIMITS, PictureDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };
type OfPicture = { Params: { id: string; pictureId: string } };

/** A picture and what is said about it. */
const BODY_LIMIT = LIMITS.pictureCharacters + 64 * 1024;

export function pictureRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/pictures', ({ params, studio }) => studio.pictures.list(params.id));

  app.post<OfTrainee>('/api/trainees/:id/pictures', { bodyLimit: BODY_LIMIT }, ({ studio, actor, params, body }, reply) => {
    reply.code(201);
    return studio.pictures.keep(actor, params.id, validated(PictureDto, body, studio.scope()));
  });

  app.get<OfPicture>('/api/trainees/:id/pictures/:pictureId/image', ({ params, studio }, reply) =>
    // A picture never changes, and whoever may see it is on this machine.
    reply.type('image/jpeg').header('cache-control', 'private, max-age=3600').send(studio.pictures.image(params.id, params.pictureId)),
  );

  app.delete<OfPicture>('/api/trainees/:id/pictures/:pictureId/image', ({ params, studio, actor }) =>
    studio.pictures.takeOff(actor, params.id, params.pictureId),
  );
}

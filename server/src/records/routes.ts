import { ArchiveDto, ErasureDto, validated } from '@myokinet/core/contracts';
import { calendarDay } from '@myokinet/core/quantities';
import type { FastifyInstance } from 'fastify';

type OfTrainee = { Params: { id: string } };

export function recordRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/records.zip', ({ params, studio, actor }, reply) => {
    const name = `records-${calendarDay(studio.now())}.zip`;
    return reply
      .type('application/zip')
      .header('content-disposition', `attachment; filename="${name}"`)
      .send(studio.records.take(actor, params.id));
  });

  app.get('/api/records.zip', async ({ studio, actor }, reply) => {
    const name = `studio-${calendarDay(studio.now())}.zip`;
    return reply
      .type('application/zip')
      .header('content-disposition', `attachment; filename="${name}"`)
      .send(await studio.records.takeAll(actor));
  });

  app.get('/api/archived', ({ studio }) => studio.records.archived());
  app.post<OfTrainee>('/api/trainees/:id/archived', ({ params, body, studio, actor }) =>
    studio.records.archive(actor, params.id, validated(ArchiveDto, body, studio.scope())),
  );

  app.get('/api/erasures', ({ studio }) => studio.records.erasures());
  app.post<OfTrainee>('/api/trainees/:id/erasure', ({ params, body, studio, actor }) => {
    studio.records.erase(actor, params.id, validated(ErasureDto, body, studio.scope()));
    return { erased: true };
  });
}

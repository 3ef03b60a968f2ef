import { BandDto, ReadingSetAsideDto, ScaleReadingDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';

interface OfTrainee {
  Params: { id: string };
}

export function labRoutes(app: FastifyInstance): void {
  app.get<OfTrainee>('/api/trainees/:id/calibration', ({ params, studio }) => studio.calibrations.reply(studio.trainees.find(params.id)));

  app.post<OfTrainee>('/api/trainees/:id/scale-readings', ({ params, body, studio, actor }, reply) => {
    reply.code(201);
    return studio.calibrations.record(actor, studio.trainees.find(params.id), validated(ScaleReadingDto, body, studio.scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/scale-readings/set-aside', ({ params, body, studio, actor }) =>
    studio.calibrations.setAside(actor, studio.trainees.find(params.id), validated(ReadingSetAsideDto, body, studio.scope())),
  );

  app.get('/api/bands', ({ studio }) => studio.bands.all());

  app.put<OfTrainee>('/api/bands/:id', ({ params, body, studio, actor }) => {
    const dto = validated(BandDto, body, studio.scope());
    if (dto.id !== params.id) throw new Refusal('contract-broken', 'The address and the band name two different studio.bands.');
    return studio.bands.save(actor, dto);
  });
}

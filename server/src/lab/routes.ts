import { BandDto, ReadingSetAsideDto, ScaleReadingDto, validated } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

interface OfTrainee {
  Params: { id: string };
}

export function labRoutes(app: FastifyInstance, { bands, calibrations, trainees, scope }: Services): void {
  app.get<OfTrainee>('/api/trainees/:id/calibration', ({ params }) => calibrations.reply(trainees.find(params.id)));

  app.post<OfTrainee>('/api/trainees/:id/scale-readings', ({ params, body }, reply) => {
    reply.code(201);
    return calibrations.record(trainees.find(params.id), validated(ScaleReadingDto, body, scope()));
  });

  app.post<OfTrainee>('/api/trainees/:id/scale-readings/set-aside', ({ params, body }) =>
    calibrations.setAside(trainees.find(params.id), validated(ReadingSetAsideDto, body, scope())),
  );

  app.get('/api/bands', () => bands.all());

  app.put<OfTrainee>('/api/bands/:id', ({ params, body }) => {
    const dto = validated(BandDto, body, scope());
    if (dto.id !== params.id) throw new Refusal('contract-broken', 'The address and the band name two different bands.');
    return bands.save(dto);
  });
}

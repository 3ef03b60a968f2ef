import { RunPatchDto, validated } from '@myokinet/core/contracts';
import type { FastifyInstance } from 'fastify';
import type { Services } from '../services.ts';

type OfTrainee = { Params: { id: string } };

export function runRoutes(app: FastifyInstance, { runs, scope }: Services): void {
  app.get<OfTrainee>('/api/trainees/:id/run', ({ params }) => ({ run: runs.of(params.id) }));

  app.put<OfTrainee>('/api/trainees/:id/run', ({ body, params }) => ({
    run: runs.patch(params.id, validated(RunPatchDto, body, scope())),
  }));

  app.delete<{ Params: { id: string; runId: string } }>('/api/trainees/:id/run/:runId', ({ params }) => {
    runs.end(params.id, params.runId);
    return { run: runs.of(params.id) };
  });
}

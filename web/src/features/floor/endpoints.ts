import type { FloorPatchDto, FloorPhotoDto, FloorRunReply, FloorRunRow } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    floorRuns: build.query<readonly FloorRunRow[], string>({
      query: (traineeId) => `trainees/${traineeId}/floor`,
      providesTags: (_r, _e, id) => rests('FloorRuns', id),
    }),
    floorRun: build.query<FloorRunReply, string>({ query: (runId) => `floor/${runId}`, keepUnusedDataFor: 0 }),
    sendFloor: build.mutation<FloorRunReply, { readonly runId: string; readonly body: FloorPatchDto }>({
      query: ({ runId, body }) => ({ url: `floor/${runId}`, method: 'PUT', body }),
      // Looking whether there is news touches nothing.
      invalidatesTags: (_r, error, { body }) => (body.events.length === 0 ? [] : stales('session', body.traineeId, error)),
    }),
    sendPhoto: build.mutation<FloorRunReply, { readonly runId: string; readonly traineeId: string; readonly body: FloorPhotoDto }>({
      query: ({ runId, body }) => ({ url: `floor/${runId}/photos`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('session', traineeId, error),
    }),
  }),
});

export const floorEndpoints = endpoints.endpoints;
export const { useFloorRunsQuery } = endpoints;

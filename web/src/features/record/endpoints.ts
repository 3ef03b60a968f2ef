import type { FloorRunReply, RecordReply, SymptomDto } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    record: build.query<RecordReply, string>({
      query: (id) => `trainees/${id}/record`,
      providesTags: (_r, _e, id) => rests('Record', id),
    }),
    reportSymptom: build.mutation<SymptomDto, About<SymptomDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/symptoms`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('symptom', traineeId, error),
    }),
    takeOffFloorPhoto: build.mutation<FloorRunReply, { readonly runId: string; readonly traineeId: string; readonly photoId: string }>({
      query: ({ runId, photoId }) => ({ url: `floor/${runId}/photos/${photoId}`, method: 'DELETE' }),
      invalidatesTags: (_r, error, { traineeId }) => stales('session', traineeId, error),
    }),
  }),
});

/** What is asked outside the hooks. */
export const recordEndpoints = endpoints.endpoints;

export const { useRecordQuery, useReportSymptomMutation, useTakeOffFloorPhotoMutation } = endpoints;

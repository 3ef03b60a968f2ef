import type { MeasuringReply, RepeatabilityTestDto } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { isOffline } from '../../client/problem.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    measuring: build.query<MeasuringReply, void>({ query: () => 'measuring', providesTags: ['Measuring'] }),
    recordRepeatability: build.mutation<MeasuringReply, RepeatabilityTestDto>({
      query: (body) => ({ url: 'repeatability-tests', method: 'POST', body }),
      // Another error of the coach is another band on every capacity.
      invalidatesTags: (_r, error) => (isOffline(error) ? [] : ['Measuring', 'Checks', 'Readiness', 'Verdicts']),
    }),
  }),
});

export const { useMeasuringQuery, useRecordRepeatabilityMutation } = endpoints;

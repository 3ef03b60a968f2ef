import type { MeasuringReply, RepeatabilityTestDto } from '@myokinet/core/contracts';
import { api } from '../app/api.ts';
import { isOffline } from '../app/problem.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    measuring: build.query<MeasuringReply, void>({ query: () => 'measuring', providesTags: ['Lists'] }),
    recordRepeatability: build.mutation<MeasuringReply, RepeatabilityTestDto>({
      query: (body) => ({ url: 'repeatability-tests', method: 'POST', body }),
      // Another error of the coach is another band on every capacity.
      invalidatesTags: (_r, error) => (isOffline(error) ? [] : ['Lists', 'Trainee']),
    }),
  }),
});

export const { useMeasuringQuery, useRecordRepeatabilityMutation } = endpoints;

import type { ForecastCalibrationReply, OutcomeDto, OutcomesReply, StudioTrendsReply } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    outcomes: build.query<OutcomesReply, void>({ query: () => 'outcomes', providesTags: ['Outcomes'] }),
    calibration: build.query<ForecastCalibrationReply, void>({ query: () => 'forecasts/calibration', providesTags: ['Verdicts'] }),
    trends: build.query<StudioTrendsReply, void>({ query: () => 'trends', providesTags: ['Verdicts'] }),
    tellOutcome: build.mutation<unknown, About<OutcomeDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/outcomes`, method: 'POST', body }),
      invalidatesTags: ['Outcomes', 'Verdicts'],
    }),
  }),
});

export const { useOutcomesQuery, useCalibrationQuery, useTrendsQuery, useTellOutcomeMutation } = endpoints;

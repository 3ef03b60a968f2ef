import type {
  ClearanceDto,
  ClearanceReply,
  ForecastReply,
  ReadinessReply,
  StopSignClosureDto,
  StopSignReply,
  WithdrawalDto,
} from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    readiness: build.query<ReadinessReply, string>({
      query: (id) => `trainees/${id}/readiness`,
      providesTags: (_r, _e, id) => rests('Readiness', id),
    }),
    forecast: build.query<ForecastReply, string>({
      query: (id) => `trainees/${id}/forecast`,
      providesTags: (_r, _e, id) => rests('Readiness', id),
    }),
    closeStopSign: build.mutation<readonly StopSignReply[], About<StopSignClosureDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/stop-sign-closures`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('symptom', traineeId, error),
    }),
    signClearance: build.mutation<ClearanceReply, About<ClearanceDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/clearances`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('clearance', traineeId, error),
    }),
    withdrawClearance: build.mutation<ClearanceReply, About<WithdrawalDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/withdrawals`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('clearance', traineeId, error),
    }),
  }),
});

/** What is asked outside the hooks. */
export const readinessEndpoints = endpoints.endpoints;

export const { useReadinessQuery, useForecastQuery, useCloseStopSignMutation, useSignClearanceMutation, useWithdrawClearanceMutation } =
  endpoints;

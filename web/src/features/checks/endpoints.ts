import type { BatteryPatchDto, CheckDto, CheckReply, OpenBattery, TrialCorrectionDto } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    checks: build.query<readonly CheckReply[], string>({
      query: (id) => `trainees/${id}/checks`,
      providesTags: (_r, _e, id) => rests('Checks', id),
    }),
    /** Every occasion, where the page of checks has the newest ones. */
    allChecks: build.query<readonly CheckReply[], string>({
      query: (id) => `trainees/${id}/checks?all=1`,
      providesTags: (_r, _e, id) => rests('Checks', id),
    }),
    recordCheck: build.mutation<CheckReply, About<CheckDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/checks`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('check', traineeId, error),
    }),
    correctTrial: build.mutation<CheckReply, About<TrialCorrectionDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/trial-corrections`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
    battery: build.query<OpenBattery, string>({
      query: (id) => `trainees/${id}/battery`,
      providesTags: (_r, _e, id) => rests('Checks', id),
    }),
    // A figure of a battery touches nothing else until the battery is saved: only the battery is put anew.
    patchBattery: build.mutation<OpenBattery, About<BatteryPatchDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/battery`, method: 'PUT', body }),
      onQueryStarted: async ({ traineeId }, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) dispatch(batteryIs(traineeId, data));
      },
    }),
    dropBattery: build.mutation<OpenBattery, { traineeId: string; batteryId: string }>({
      query: ({ traineeId, batteryId }) => ({ url: `trainees/${traineeId}/battery/${batteryId}`, method: 'DELETE' }),
      onQueryStarted: async ({ traineeId }, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) dispatch(batteryIs(traineeId, data));
      },
    }),
  }),
});

function batteryIs(traineeId: string, open: OpenBattery) {
  return endpoints.util.upsertQueryData('battery', traineeId, open);
}

/** What is asked outside the hooks. */
export const checkEndpoints = endpoints.endpoints;

export const {
  useAllChecksQuery,
  useBatteryQuery,
  useChecksQuery,
  useCorrectTrialMutation,
  useDropBatteryMutation,
  usePatchBatteryMutation,
  useRecordCheckMutation,
} = endpoints;

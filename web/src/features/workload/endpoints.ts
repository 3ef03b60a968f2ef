import type { WorkloadReply } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { rests } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    workload: build.query<WorkloadReply, string>({
      query: (id) => `trainees/${id}/workload`,
      providesTags: (_r, _e, id) => rests('Workload', id),
    }),
  }),
});

export const { useWorkloadQuery } = endpoints;

import type { CaseloadRow, RecheckReply, TodayItem } from '@myokinet/core/contracts';
import { api } from '../app/api.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    caseload: build.query<readonly CaseloadRow[], void>({ query: () => 'caseload', providesTags: ['Lists'] }),
    rechecks: build.query<readonly RecheckReply[], void>({ query: () => 'rechecks', providesTags: ['Lists'] }),
    today: build.query<readonly TodayItem[], void>({ query: () => 'today', providesTags: ['Lists'] }),
  }),
});

export const { useCaseloadQuery, useRechecksQuery, useTodayQuery } = endpoints;

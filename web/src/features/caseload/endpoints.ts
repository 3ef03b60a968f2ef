import type { ArchivedReply, CaseloadRow, RecheckReply, TodayItem } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    caseload: build.query<readonly CaseloadRow[], void>({ query: () => 'caseload', providesTags: ['Verdicts'] }),
    rechecks: build.query<readonly RecheckReply[], void>({ query: () => 'rechecks', providesTags: ['Verdicts'] }),
    archived: build.query<readonly ArchivedReply[], void>({ query: () => 'archived', providesTags: ['Archived'] }),
    today: build.query<readonly TodayItem[], void>({ query: () => 'today', providesTags: ['Verdicts'] }),
  }),
});

export const { useCaseloadQuery, useRechecksQuery, useTodayQuery, useArchivedQuery } = endpoints;

import type { ArchivedReply, CaseloadRow, ForecastsReply, GroupReply, RecheckReply, TodayItem } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    caseload: build.query<readonly CaseloadRow[], void>({ query: () => 'caseload', providesTags: ['Verdicts'] }),
    forecasts: build.query<ForecastsReply, void>({ query: () => 'forecasts', providesTags: ['Verdicts'] }),
    rechecks: build.query<readonly RecheckReply[], void>({ query: () => 'rechecks', providesTags: ['Verdicts'] }),
    groups: build.query<readonly GroupReply[], void>({ query: () => 'groups', providesTags: ['Groups'] }),
    archived: build.query<readonly ArchivedReply[], void>({ query: () => 'archived', providesTags: ['Archived'] }),
    today: build.query<readonly TodayItem[], void>({ query: () => 'today', providesTags: ['Verdicts'] }),
  }),
});

export const { useCaseloadQuery, useForecastsQuery, useGroupsQuery, useRechecksQuery, useTodayQuery, useArchivedQuery } = endpoints;

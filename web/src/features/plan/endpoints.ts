import type { PlanBlockDto, PlanBriefDto, PlanBriefReply, PlanReply, PlanTemplateDto, PlanTemplateReply } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    plan: build.query<PlanReply | null, { traineeId: string; weekStart: string }>({
      queryFn: async ({ traineeId, weekStart }, _api, _options, baseQuery) => {
        const result = await baseQuery(`trainees/${traineeId}/plans/${weekStart}`);
        // No plan for a week is an answer, not a failure.
        if (result.error?.status === 404 && (result.error.data as { code?: string }).code === 'plan-missing') return { data: null };
        return result.error ? { error: result.error } : { data: result.data as PlanReply };
      },
      providesTags: (_r, _e, { traineeId }) => rests('Plans', traineeId),
    }),
    plans: build.query<readonly PlanReply[], { traineeId: string; from: string; weeks: number }>({
      query: ({ traineeId, from, weeks }) => `trainees/${traineeId}/plans?from=${from}&weeks=${weeks}`,
      providesTags: (_r, _e, { traineeId }) => rests('Plans', traineeId),
    }),
    brief: build.query<PlanBriefReply, string>({
      query: (id) => `trainees/${id}/brief`,
      providesTags: (_r, _e, id) => rests('Brief', id),
    }),
    savePlans: build.mutation<readonly PlanReply[], About<PlanBlockDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/plans`, method: 'PUT', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('plan', traineeId, error),
    }),
    saveBrief: build.mutation<PlanBriefReply, About<PlanBriefDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/brief`, method: 'PUT', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('brief', traineeId, error),
    }),
    templates: build.query<readonly PlanTemplateReply[], void>({ query: () => 'plan-templates', providesTags: ['Templates'] }),
    keepTemplate: build.mutation<readonly PlanTemplateReply[], PlanTemplateDto>({
      query: (body) => ({ url: 'plan-templates', method: 'POST', body }),
      invalidatesTags: ['Templates'],
    }),
    dropTemplate: build.mutation<readonly PlanTemplateReply[], string>({
      query: (id) => ({ url: `plan-templates/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Templates'],
    }),
  }),
});

/** What is asked of several trainees at once, outside the hooks. */
export const planEndpoints = endpoints.endpoints;

export const {
  useBriefQuery,
  useDropTemplateMutation,
  useKeepTemplateMutation,
  usePlanQuery,
  usePlansQuery,
  useSaveBriefMutation,
  useSavePlansMutation,
  useTemplatesQuery,
} = endpoints;

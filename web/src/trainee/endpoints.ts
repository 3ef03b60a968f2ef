import type {
  CheckDto,
  CheckReply,
  ClearanceDto,
  ClearanceReply,
  ConsultationDto,
  PlanBlockDto,
  PlanBriefDto,
  PlanBriefReply,
  PlanReply,
  PlanTemplateDto,
  PlanTemplateReply,
  ReadinessReply,
  PictureDto,
  PictureReply,
  RecordReply,
  RunPatchDto,
  RunReply,
  ScreeningDto,
  ScreenReply,
  SessionDto,
  SessionReply,
  StopSignClosureDto,
  StopSignReply,
  SymptomDto,
  TraineeDto,
  TraineeReply,
  TrialCorrectionDto,
  WithdrawalDto,
  WorkloadReply,
} from '@myokinet/core/contracts';
import { api, touches } from '../app/api.ts';

/** A write about one trainee. */
interface About<Dto> {
  readonly traineeId: string;
  readonly body: Dto;
}

/** The battery that is being taken, if one is. */
interface OpenRun {
  readonly run: RunReply | null;
}

const endpoints = api.injectEndpoints({
  endpoints: (build) => {
    const about = <Reply>(path: string) =>
      build.query<Reply, string>({ query: (id) => `trainees/${id}${path}`, providesTags: (_r, _e, id) => [{ type: 'Trainee', id }] });
    const post = <Reply, Dto>(path: string) =>
      build.mutation<Reply, About<Dto>>({
        query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/${path}`, method: 'POST', body }),
        invalidatesTags: (_r, error, { traineeId }) => touches(traineeId, error),
      });
    return {
      trainee: about<TraineeReply>(''),
      readiness: about<ReadinessReply>('/readiness'),
      checks: about<readonly CheckReply[]>('/checks'),
      /** Every occasion, where the page of checks has the newest ones. */
      allChecks: about<readonly CheckReply[]>('/checks?all=1'),
      pictures: about<readonly PictureReply[]>('/pictures'),
      run: about<OpenRun>('/run'),
      screen: about<ScreenReply>('/screen'),
      record: about<RecordReply>('/record'),
      workload: about<WorkloadReply>('/workload'),
      plan: build.query<PlanReply | null, { traineeId: string; weekStart: string }>({
        queryFn: async ({ traineeId, weekStart }, _api, _options, baseQuery) => {
          const result = await baseQuery(`trainees/${traineeId}/plans/${weekStart}`);
          // No plan for a week is an answer, not a failure.
          if (result.error?.status === 404 && (result.error.data as { code?: string }).code === 'plan-missing') return { data: null };
          return result.error ? { error: result.error } : { data: result.data as PlanReply };
        },
        providesTags: (_r, _e, { traineeId }) => [{ type: 'Trainee', id: traineeId }],
      }),
      plans: build.query<readonly PlanReply[], { traineeId: string; from: string; weeks: number }>({
        query: ({ traineeId, from, weeks }) => `trainees/${traineeId}/plans?from=${from}&weeks=${weeks}`,
        providesTags: (_r, _e, { traineeId }) => [{ type: 'Trainee', id: traineeId }],
      }),
      brief: about<PlanBriefReply>('/brief'),
      // A figure of a battery touches nothing else until the battery is saved: only the run is put anew.
      patchRun: build.mutation<OpenRun, About<RunPatchDto>>({
        query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/run`, method: 'PUT', body }),
        onQueryStarted: async ({ traineeId }, { dispatch, queryFulfilled }) => {
          const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
          if (data) dispatch(runIs(traineeId, data));
        },
      }),
      dropRun: build.mutation<OpenRun, { traineeId: string; runId: string }>({
        query: ({ traineeId, runId }) => ({ url: `trainees/${traineeId}/run/${runId}`, method: 'DELETE' }),
        onQueryStarted: async ({ traineeId }, { dispatch, queryFulfilled }) => {
          const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
          if (data) dispatch(runIs(traineeId, data));
        },
      }),
      keepPicture: post<readonly PictureReply[], PictureDto>('pictures'),
      takeOffPicture: build.mutation<readonly PictureReply[], { traineeId: string; pictureId: string }>({
        query: ({ traineeId, pictureId }) => ({ url: `trainees/${traineeId}/pictures/${pictureId}/image`, method: 'DELETE' }),
        invalidatesTags: (_r, error, { traineeId }) => touches(traineeId, error),
      }),
      addTrainee: build.mutation<TraineeReply, TraineeDto>({
        query: (body) => ({ url: 'trainees', method: 'POST', body }),
        invalidatesTags: ['Lists'],
      }),
      editTrainee: build.mutation<TraineeReply, TraineeDto>({
        query: (body) => ({ url: `trainees/${body.id}`, method: 'PUT', body }),
        invalidatesTags: (_r, error, { id }) => touches(id, error),
      }),
      savePlans: build.mutation<readonly PlanReply[], About<PlanBlockDto>>({
        query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/plans`, method: 'PUT', body }),
        invalidatesTags: (_r, error, { traineeId }) => touches(traineeId, error),
      }),
      saveBrief: build.mutation<PlanBriefReply, About<PlanBriefDto>>({
        query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/brief`, method: 'PUT', body }),
        invalidatesTags: (_r, error, { traineeId }) => touches(traineeId, error),
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
      recordScreening: post<ScreenReply, ScreeningDto>('screenings'),
      recordConsultation: post<ScreenReply, ConsultationDto>('consultations'),
      recordCheck: post<CheckReply, CheckDto>('checks'),
      correctTrial: post<CheckReply, TrialCorrectionDto>('trial-corrections'),
      logSession: post<SessionReply, SessionDto>('sessions'),
      reportSymptom: post<SymptomDto, SymptomDto>('symptoms'),
      closeStopSign: post<readonly StopSignReply[], StopSignClosureDto>('stop-sign-closures'),
      signClearance: post<ClearanceReply, ClearanceDto>('clearances'),
      withdrawClearance: post<ClearanceReply, WithdrawalDto>('withdrawals'),
    };
  },
});

function runIs(traineeId: string, open: OpenRun) {
  return endpoints.util.upsertQueryData('run', traineeId, open);
}

/** What is asked of several trainees at once, outside the hooks. */
export const planEndpoints = endpoints.endpoints;

export const {
  useAllChecksQuery,
  useDropRunMutation,
  useKeepPictureMutation,
  usePatchRunMutation,
  usePicturesQuery,
  useRunQuery,
  useTakeOffPictureMutation,
  useTraineeQuery,
  useReadinessQuery,
  useChecksQuery,
  useRecordQuery,
  useWorkloadQuery,
  usePlanQuery,
  useAddTraineeMutation,
  useEditTraineeMutation,
  useBriefQuery,
  useDropTemplateMutation,
  useKeepTemplateMutation,
  usePlansQuery,
  useSaveBriefMutation,
  useSavePlansMutation,
  useTemplatesQuery,
  useRecordCheckMutation,
  useRecordConsultationMutation,
  useRecordScreeningMutation,
  useScreenQuery,
  useCorrectTrialMutation,
  useLogSessionMutation,
  useReportSymptomMutation,
  useCloseStopSignMutation,
  useSignClearanceMutation,
  useWithdrawClearanceMutation,
} = endpoints;

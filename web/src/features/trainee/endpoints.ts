import type {
  ArchivedReply,
  ArchiveDto,
  ErasureDto,
  NewLinkReply,
  TraineeDto,
  TraineeLinkDto,
  TraineeLinkReply,
  TraineeReply,
} from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { isOffline } from '../../client/problem.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    trainee: build.query<TraineeReply, string>({
      query: (id) => `trainees/${id}`,
      providesTags: (_r, _e, id) => rests('Trainee', id),
    }),
    addTrainee: build.mutation<TraineeReply, TraineeDto>({
      query: (body) => ({ url: 'trainees', method: 'POST', body }),
      invalidatesTags: ['Verdicts'],
    }),
    editTrainee: build.mutation<TraineeReply, TraineeDto>({
      query: (body) => ({ url: `trainees/${body.id}`, method: 'PUT', body }),
      // What was saved is what is shown, at once: a form must not start again from older figures while news is on its way.
      onQueryStarted: async ({ id }, { dispatch, queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) void dispatch(endpoints.util.upsertQueryData('trainee', id, data));
      },
      invalidatesTags: (_r, error, { id }) => stales('profile', id, error),
    }),
    archive: build.mutation<readonly ArchivedReply[], About<ArchiveDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/archived`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => (isOffline(error) ? [] : [...rests('Trainee', traineeId), 'Verdicts', 'Archived']),
    }),
    link: build.query<TraineeLinkReply | null, string>({
      query: (id) => `trainees/${id}/link`,
      providesTags: (_r, _e, id) => rests('Link', id),
    }),
    makeLink: build.mutation<NewLinkReply, About<TraineeLinkDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/link`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => (isOffline(error) ? [] : rests('Link', traineeId)),
    }),
    revokeLink: build.mutation<null, string>({
      query: (traineeId) => ({ url: `trainees/${traineeId}/link`, method: 'DELETE' }),
      invalidatesTags: (_r, error, traineeId) => (isOffline(error) ? [] : rests('Link', traineeId)),
    }),
    erase: build.mutation<{ readonly erased: true }, About<ErasureDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/erasure`, method: 'POST', body }),
      invalidatesTags: (_r, error) => (isOffline(error) ? [] : ['Verdicts', 'Archived', 'PlanUses', 'Measuring']),
    }),
  }),
});

/** What is asked outside the hooks. */
export const traineeEndpoints = endpoints.endpoints;

export const {
  useTraineeQuery,
  useAddTraineeMutation,
  useEditTraineeMutation,
  useArchiveMutation,
  useEraseMutation,
  useLinkQuery,
  useMakeLinkMutation,
  useRevokeLinkMutation,
} = endpoints;

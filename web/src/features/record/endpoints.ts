import type {
  FloorRunReply,
  NoteDto,
  NoteReply,
  NotesSeenDto,
  RecordReply,
  SessionCorrectionDto,
  SessionReply,
  SymptomCorrectionDto,
  SymptomDto,
  TakenBackDto,
  TakenBackReply,
} from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { isOffline } from '../../client/problem.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    record: build.query<RecordReply, string>({
      query: (id) => `trainees/${id}/record`,
      providesTags: (_r, _e, id) => rests('Record', id),
    }),
    reportSymptom: build.mutation<SymptomDto, About<SymptomDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/symptoms`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('symptom', traineeId, error),
    }),
    notes: build.query<readonly NoteReply[], string>({
      query: (id) => `trainees/${id}/notes`,
      providesTags: (_r, _e, id) => rests('Notes', id),
    }),
    writeNote: build.mutation<readonly NoteReply[], About<NoteDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/notes`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => (isOffline(error) ? [] : [...rests('Notes', traineeId), 'Verdicts']),
    }),
    notesSeen: build.mutation<readonly NoteReply[], About<NotesSeenDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/notes-seen`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => (isOffline(error) ? [] : [...rests('Notes', traineeId), 'Verdicts']),
    }),
    takeBack: build.mutation<readonly TakenBackReply[], About<TakenBackDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/taken-back`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
    correctSession: build.mutation<SessionReply, About<SessionCorrectionDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/session-corrections`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
    correctSymptom: build.mutation<SymptomDto, About<SymptomCorrectionDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/symptom-corrections`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
    takeOffFloorPhoto: build.mutation<FloorRunReply, { readonly runId: string; readonly traineeId: string; readonly photoId: string }>({
      query: ({ runId, photoId }) => ({ url: `floor/${runId}/photos/${photoId}`, method: 'DELETE' }),
      invalidatesTags: (_r, error, { traineeId }) => stales('session', traineeId, error),
    }),
  }),
});

/** What is asked outside the hooks. */
export const recordEndpoints = endpoints.endpoints;

export const {
  useCorrectSessionMutation,
  useCorrectSymptomMutation,
  useRecordQuery,
  useNotesQuery,
  useNotesSeenMutation,
  useWriteNoteMutation,
  useReportSymptomMutation,
  useTakeBackMutation,
  useTakeOffFloorPhotoMutation,
} = endpoints;

import type {
  BeforeSessionDto,
  BloodPressureDto,
  ConsultationDto,
  GuardianConsentDto,
  HealthReply,
  LastingPainDto,
  LastingPainReply,
  ScreeningDto,
  ScreeningsReply,
} from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    screenings: build.query<ScreeningsReply, string>({
      query: (id) => `trainees/${id}/screenings`,
      providesTags: (_r, _e, id) => rests('Screening', id),
    }),
    recordScreening: build.mutation<ScreeningsReply, About<ScreeningDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/screenings`, method: 'POST', body }),
      // The next form starts from this one at once: what is answered before the lists come again must build on it.
      async onQueryStarted({ traineeId }, { dispatch, queryFulfilled }) {
        const reply = await queryFulfilled.catch(() => undefined);
        if (reply) dispatch(endpoints.util.updateQueryData('screenings', traineeId, () => reply.data));
      },
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
    recordLastingPain: build.mutation<readonly LastingPainReply[], About<LastingPainDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/lasting-pains`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
    recordBeforeSession: build.mutation<HealthReply, About<BeforeSessionDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/before-session`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
    recordBloodPressure: build.mutation<HealthReply, About<BloodPressureDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/blood-pressures`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
    recordConsent: build.mutation<HealthReply, About<GuardianConsentDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/consents`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
    recordConsultation: build.mutation<ScreeningsReply, About<ConsultationDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/consultations`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
  }),
});

/** What is asked outside the hooks. */
export const screeningEndpoints = endpoints.endpoints;

export const {
  useScreeningsQuery,
  useRecordScreeningMutation,
  useRecordConsultationMutation,
  useRecordLastingPainMutation,
  useRecordBeforeSessionMutation,
  useRecordBloodPressureMutation,
  useRecordConsentMutation,
} = endpoints;

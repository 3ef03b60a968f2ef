import type { ConsultationDto, LastingPainDto, LastingPainReply, ScreeningDto, ScreeningsReply } from '@myokinet/core/contracts';
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
    recordConsultation: build.mutation<ScreeningsReply, About<ConsultationDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/consultations`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('screening', traineeId, error),
    }),
  }),
});

export const { useScreeningsQuery, useRecordScreeningMutation, useRecordConsultationMutation, useRecordLastingPainMutation } = endpoints;

import type { SessionDto, SessionReply } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    logSession: build.mutation<SessionReply, About<SessionDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/sessions`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('session', traineeId, error),
    }),
  }),
});

export const { useLogSessionMutation } = endpoints;
